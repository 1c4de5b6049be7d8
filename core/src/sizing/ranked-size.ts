import type { Basis, Because, Grade, MeasureId } from '../model/index.ts'
import type { Danger } from '../gear/index.ts'

/** Measures that disagree about one size, and what practitioners do then (handbook 6.3). */
export type Conflict =
  /** The neck fits, the length is far past the tail: leave the full-length family, whatever the neck says. */
  | { code: 'length-veto'; measures: MeasureId[]; byMm: number }
  /** The neck fits, the end lies a little past the tail, all else is right: accept. */
  | { code: 'past-tail-accept'; measures: MeasureId[]; byMm: number }
  /** The neck fits, the sides are too short for the armpit. */
  | { code: 'armpit'; measures: MeasureId[]; byMm: number }
  /** The girth says this size, an adjustable neck another: the girth decides. */
  | { code: 'girth-decides'; measures: MeasureId[]; byMm: number }
  /** The neck cannot be adjusted, so it decides. */
  | { code: 'neck-decides'; measures: MeasureId[]; byMm: number }
  /** The neck is thicker than the head: the dog may back out. */
  | { code: 'neck-over-head'; measures: MeasureId[]; byMm: number }
  /** Sized by girth alone on a short dog: look where the rear strap comes. */
  | { code: 'girth-alone-short-dog'; measures: MeasureId[]; byMm: number }

export interface MeasureFit {
  measure: MeasureId
  mm: number | null
  /** Half width of where the dog may truly be: 2 sigma, mm. */
  spreadMm: number | null
  fromMm: number
  toMm: number
  /** 0 inside the band, negative below, positive above; `null` without a reading. */
  byMm: number | null
  grade: Grade
  /** Probability that the true value lies in the band; `null` without a reading or a guess. */
  chance: number | null
  /** Not read on this dog: what its form expects. */
  guess: boolean
  /** What goes wrong on the dog if this misses, by the end it lies nearer; `null` where the trade names nothing. */
  danger: Danger | null
}

export interface RankedSize {
  label: string
  /** The worst of what is known; `none` when nothing is. */
  grade: Grade
  /** From tapes and tables: never shown as a finding. */
  basis: Extract<Basis, 'predicted'>
  perMeasure: MeasureFit[]
  /** Product over the measures that are known; `null` when none is. */
  chance: number | null
  because: Because
  /** Measures that disagree, and what the trade does then (handbook 6.3). */
  conflict: Conflict | null
}

/** Room down to a band's smaller end and up to its larger, negative past it, mm; `null` without a reading or a guess. */
export const spareOf = ({ mm, fromMm, toMm }: MeasureFit): { below: number; above: number } | null =>
  mm === null ? null : { below: mm - fromMm, above: toMm - mm }
