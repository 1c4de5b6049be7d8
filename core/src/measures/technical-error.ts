import { measures } from './catalogue.ts'

/**
 * Technical error of measurement of pairs of readings, Dahlberg's form: TEM = sqrt(sum of squared differences / 2n).
 *
 * @param pairs two readings of the same thing, any unit, the same for all
 * @returns TEM in that unit; 0 for no pairs
 * Source: Ulijaszek SJ & Kerr DA 1999, Br J Nutr 82:165-177 (formula from memory)
 */
export function technicalErrorOfMeasurement(pairs: readonly (readonly [number, number])[]): number {
  if (pairs.length === 0) return 0
  const squares = pairs.reduce((sum, [a, b]) => sum + (a - b) ** 2, 0)
  return Math.sqrt(squares / (2 * pairs.length))
}

/** Standard deviation, in mm, to expect of one reading of `measure` at `mm` as taken, before any was repeated. */
export function technicalErrorMm(measure: string, mm: number): number {
  const error = measures[measure]?.technicalError ?? { fixedMm: 6, share: 0.015 }
  return Math.hypot(error.fixedMm, error.share * mm)
}
