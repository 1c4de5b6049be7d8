import type { Body } from '../measures/index.ts'
import type { About } from './about.ts'
import { causesOf, type WeighedCause } from './causes.ts'
import type { EarlierVisit } from './readings.ts'
import { fitOf, formOf, type Form } from './solve-form.ts'

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

/**
 * A set of readings is unusual when one is further off than this many deviations; few readings can't be.
 * Frozen on generated dogs of another seed than the one reported on (docs/decisions/0009).
 */
export const UNUSUAL_T = 3.6
/** Others shown beside the first. */
const SHOWN_T = 2.6
/** M00 is a weight: its slips are asked about by the rules of the catalogue. */
const NOT_JUDGED = new Set(['M00'])

/** Judges a solved fit; see `crossCheck`. */
export function judge(solved: ReturnType<typeof fitOf>, form: Form, options: CrossCheckOptions = {}): CrossCheck {
  const { rows, leftOut } = solved.fit
  const judged = rows
    .map((row, i) => ({ row, left: leftOut[i] }))
    .flatMap(({ row, left }) => {
      if (row.visit !== 0 || !left || NOT_JUDGED.has(row.measure)) return []
      const readMm = Math.exp(row.log)
      const { causes, odds } = causesOf(row.measure, readMm, left, form.measures, options.asTyped?.[row.measure])
      const expectedMm = readMm * Math.exp(-left.off)
      return [{ measure: row.measure, readMm, expectedMm, expectedSigmaMm: expectedMm * left.sd, t: left.t, causes, odds }]
    })
    .sort((a, b) => b.odds - a.odds || a.measure.localeCompare(b.measure))
  const worst = Math.max(0, ...judged.map(({ t }) => Math.abs(t)))
  // With one or two readings nothing can be told from the kind of dog alone, but a gross slip can.
  const unusual = worst > UNUSUAL_T
  const suspects = unusual ? judged.filter(({ t }, i) => i === 0 || Math.abs(t) > SHOWN_T).slice(0, 5) : []
  return { state: unusual ? 'unusual' : 'agrees', suspects: suspects.map(({ odds: _, ...suspect }) => suspect) }
}

/**
 * Holds each reading against what all the others, the kind of dog and the earlier visits expect, and names what may
 * have made the odd one: never a correction, never "wrong".
 */
export function crossCheck(body: Body, about: About | null, options: CrossCheckOptions = {}): CrossCheck {
  const solved = fitOf(body, about, options.earlier ?? [])
  return judge(solved, formOf(solved.fit, solved.kind, solved.names), options)
}
