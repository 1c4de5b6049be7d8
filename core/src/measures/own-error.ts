import { mean } from 'simple-statistics'
import { dayOf, type Reading } from '../model/index.ts'
import { readingsByTape } from './body-of.ts'
import type { Body } from './finding.ts'
import { technicalErrorMm } from './technical-error.ts'

/** Trust in the usual technical error, in repeated readings. Ours. */
const PRIOR_WEIGHT = 8
/** Who measured where no fitter did: names of a part, not of a person, so that there is no own error to learn. */
export const HANDS_ELSEWHERE = ['The owner', 'Somebody else'] as const
const NOBODY: ReadonlySet<string> = new Set(['', ...HANDS_ELSEWHERE])
/** Hitches of before, kept as readings of the dog, and the fitter's fingers: no repeats of a tape on a dog. */
const NO_TAPES: ReadonlySet<string> = new Set(['M48', 'M49'])
/** A hand is never taken to be better or worse than this many times the usual one. */
const LEAST = 0.6
const MOST = 3

/**
 * A measurer's own technical error beside the usual one, learnt from the readings they repeated: pairs and more of one
 * tape on one day, pooled as within-subject variance over the usual variance, drawn to 1 while they are few.
 *
 * factor^2 = (k + sum ((x - mean) / usual)^2) / (k + sum (n - 1)), k = 8
 * Source: pooled technical error as in Ulijaszek & Kerr 1999 (from memory); the shrinking is ours.
 *
 * @param by the measurer's name, as on the readings
 * @returns 1 where nothing was repeated, and for nobody in particular (the owner, somebody else, no name)
 */
export function ownErrorFactor(readings: readonly Reading[], by: string): number {
  if (NOBODY.has(by)) return 1
  let [squares, free] = [0, 0]
  const own = readings.filter((reading) => !reading.struck && reading.by === by && !NO_TAPES.has(reading.measure))
  for (const list of Object.values(readingsByTape(own))) {
    for (const day of grouped(list).values()) {
      if (day.length < 2) continue
      const centre = mean(day.map(({ mm }) => mm))
      for (const reading of day) squares += ((reading.mm - centre) / technicalErrorMm(reading.measure, reading.mm, reading.method)) ** 2
      free += day.length - 1
    }
  }
  return Math.min(MOST, Math.max(LEAST, Math.sqrt((PRIOR_WEIGHT + squares) / (PRIOR_WEIGHT + free))))
}

const sameThing = (reading: Reading): string => `${dayOf(reading.on, reading.takenAt)} ${reading.side} ${reading.place ?? ''} ${reading.method}`

function grouped(list: readonly Reading[]): Map<string, Reading[]> {
  const out = new Map<string, Reading[]>()
  for (const reading of list) out.set(sameThing(reading), [...(out.get(sameThing(reading)) ?? []), reading])
  return out
}

/**
 * A body whose standard deviations carry the own error of whoever took each measure last.
 *
 * @param factors own errors known already, by name; what is worked out is added, so that many bodies of one dog share them
 */
export function withOwnError<B extends Body>(body: B, readings: readonly Reading[], factors = new Map<string, number>()): B {
  const last = new Map<string, string>(readings.filter((reading) => !reading.struck).map((reading) => [reading.measure, reading.by]))
  return Object.fromEntries(
    Object.entries(body).map(([key, value]) => {
      const by = last.get(key.split('/')[0] ?? '')
      if (!value || by === undefined || value.sigmaMm == null) return [key, value]
      let factor = factors.get(by)
      if (factor === undefined) factors.set(by, (factor = ownErrorFactor(readings, by)))
      return [key, { ...value, sigmaMm: value.sigmaMm * factor }]
    }),
  ) as B
}
