import type { Body } from '../measures/index.ts'
import type { About } from './about.ts'
import { causesOf, type WeighedCause } from './causes.ts'
import type { EarlierVisit } from './readings.ts'
import type { Form } from './form-type.ts'
import { fitOf, formOf } from './solve-form.ts'

export interface Suspect {
  measure: string
  readMm: number
  /** What the other tapes, the earlier visits and the kind of dog make of it; what a tape there would read, and its deviation. */
  expectedMm: number
  expectedSigmaMm: number
  /** Deviation on the scale of a standard normal; positive: read longer than expected. */
  t: number
  causes: WeighedCause[]
}

export interface CrossCheck {
  /** `unusual`: a slip or an unusual dog; one model speaks, so it is never called wrong. */
  state: 'agrees' | 'unusual'
  /** Most suspicious first; empty where all agree. */
  suspects: Suspect[]
}

export interface CrossCheckOptions {
  /** Earlier visits of the same dog, with the days and the weight between. */
  earlier?: readonly EarlierVisit[]
  /** Readings as typed, by measure: for swapped digits. */
  asTyped?: Readonly<Record<string, string | undefined>>
}

/** Deviations at fourteen readings; frozen on generated dogs of another seed than the one reported on (docs/decisions/0009). */
const AT_FOURTEEN = 3.6

/**
 * A set of readings is unusual when one is further off than so many deviations: of more readings one is further off by
 * chance alone, so that the share of calm sets asked about stays the same.
 *
 * t(n)^2 = 3.6^2 + 2 ln(n / 14)
 */
export const unusualT = (readings: number): number => Math.sqrt(AT_FOURTEEN ** 2 + 2 * Math.log(Math.max(1, readings) / 14))
/** M00 is a weight: its slips are asked about by the rules of the catalogue. */
const NOT_JUDGED = new Set(['M00'])
/** A slip pulls the others after it: no more than this many are named. */
const MOST = 3

type Solved = ReturnType<typeof fitOf>

/** The readings of one fit, most suspicious first whether or not they are asked about, and the largest deviation among them. */
export function rankReadings(solved: Solved, form: Form, asTyped?: CrossCheckOptions['asTyped']): { suspects: (Suspect & { odds: number })[]; worst: number } {
  const { rows, leftOut } = solved.fit
  const suspects = rows
    .flatMap((row, i) => {
      const left = leftOut[i]
      if (row.visit !== 0 || !left || NOT_JUDGED.has(row.measure)) return []
      const readMm = Math.exp(row.log)
      const { causes, odds } = causesOf(row.measure, readMm, left, form.measures, asTyped?.[row.measure])
      const expectedMm = readMm * Math.exp(-left.off)
      return [{ measure: row.measure, readMm, expectedMm, expectedSigmaMm: expectedMm * left.sd, t: left.t, causes, odds }]
    })
    .sort((a, b) => b.odds - a.odds || a.measure.localeCompare(b.measure))
  return { suspects, worst: Math.max(0, ...suspects.map(({ t }) => Math.abs(t))) }
}

/**
 * Judges a solved fit: the most suspicious reading is named, taken out, and the rest solved again exactly, so that what
 * it pulled along is not named with it.
 */
export function judge(solved: Solved, form: Form, options: CrossCheckOptions = {}): CrossCheck {
  const suspects: Suspect[] = []
  let [now, body] = [rankReadings(solved, form, options.asTyped), solved.body]
  while (now.worst > unusualT(Object.keys(body).length) && suspects.length < MOST) {
    const first = now.suspects[0]
    if (!first) break
    const { measure, readMm, expectedMm, expectedSigmaMm, t, causes } = first
    suspects.push({ measure, readMm, expectedMm, expectedSigmaMm, t, causes })
    body = Object.fromEntries(Object.entries(body).filter(([id]) => id !== measure))
    const again = fitOf(body, solved.about, options.earlier ?? [])
    now = rankReadings(again, formOf(again.fit, again.kind, again.names), options.asTyped)
  }
  return { state: suspects.length > 0 ? 'unusual' : 'agrees', suspects }
}

/**
 * Holds each reading against what all the others, the kind of dog and the earlier visits expect, and names what may
 * have made the odd one: never a correction, never "wrong".
 */
export function crossCheck(body: Body, about: About | null, options: CrossCheckOptions = {}): CrossCheck {
  const solved = fitOf(body, about, options.earlier ?? [])
  return judge(solved, formOf(solved.fit, solved.kind, solved.names), options)
}
