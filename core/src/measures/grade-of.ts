import type { Grade } from '../model/index.ts'

/** Nine in ten holds, one in twenty fails. Ours. */
const HOLDS = 0.9
const FAILS = 0.05

/** The standard normal's distribution. Source: Abramowitz and Stegun 26.2.17, value from memory; error below 1e-7. */
function below(z: number): number {
  const t = 1 / (1 + 0.2316419 * Math.abs(z))
  const tail =
    (Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI)) * t * (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))))
  return z > 0 ? 1 - tail : tail
}

/** How likely a figure passes: nine in ten holds, one in twenty fails. */
export function gradeOf(mm: number, sigmaMm: number, [from, to]: readonly [number, number]): Exclude<Grade, 'none'> {
  const share = sigmaMm > 0 ? below((to - mm) / sigmaMm) - below((from - mm) / sigmaMm) : mm >= from && mm <= to ? 1 : 0
  return share >= HOLDS ? 'holds' : share <= FAILS ? 'fails' : 'doubt'
}
