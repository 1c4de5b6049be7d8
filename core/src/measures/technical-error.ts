import { sum, sumNthPowerDeviations } from 'simple-statistics'
import type { Method } from '../model/index.ts'
import { measures } from './catalogue.ts'

/**
 * Technical error of measurement of repeated readings.
 *
 * TEM = sqrt((sum of x^2 - sum over subjects of (sum x)^2 / K) / (n (K - 1))), n subjects with K readings each; for
 * pairs this is Dahlberg's sqrt(sum d^2 / 2n), for one subject the standard deviation.
 *
 * @param subjects readings of one thing each, any unit, the same number of them for all
 * @returns TEM in that unit; 0 without a repeated reading
 * @throws RangeError when subjects have different numbers of readings
 * Source: Ulijaszek SJ & Kerr DA 1999, Br J Nutr 82:165-177 (formula from memory)
 */
export function technicalErrorOfMeasurement(subjects: readonly (readonly number[])[]): number {
  const trials = subjects[0]?.length ?? 0
  if (subjects.some((readings) => readings.length !== trials)) throw new RangeError('every subject needs as many readings')
  if (trials < 2) return 0
  // About the mean, not as a difference of large sums: the same, without losing digits.
  const within = sum(subjects.map((readings) => sumNthPowerDeviations([...readings], 2)))
  return Math.sqrt(within / (subjects.length * (trials - 1)))
}

/**
 * How much wider a method reads than a soft tape on the same path. A string is pinched, marked and straightened; a
 * loop is fed by the thumb; a garment carries its own ease; a digital tape leaves only the placing.
 * Source: from memory, unverified.
 */
const METHOD_FACTOR: Readonly<Record<Method, number>> = {
  tape: 1,
  string: 1.5,
  loop: 1.4,
  garment: 3,
  digital: 0.9,
  square: 1,
  tracing: 1,
  scale: 1,
}

/**
 * Standard deviation to expect of one reading before any was repeated: mm, for M00 kg.
 *
 * @param mm the reading as taken
 * @param method how it was taken; a soft tape where nothing is said
 * @param doubted the stance was doubtful: half as much again (from memory, unverified)
 */
export function technicalErrorMm(measure: string, mm: number, method: Method = 'tape', doubted = false): number {
  const error = measures[measure]?.technicalError ?? { fixedMm: 6, share: 0.015 }
  return Math.hypot(error.fixedMm, error.share * mm) * METHOD_FACTOR[method] * (doubted ? 1.5 : 1)
}
