/** Fronts of a growing dog are half as wide again as meeting ones: 6 and 6 over a span of 8 (handbook 9.1, V33). */
const GROWING = 1.5
/** Holes in a growing rug's row (W07). */
export const HOLES = 5

/** A rug's fronts over a span from shoulder to shoulder, mm. */
export interface RugFronts {
  eachMm: number
  /** How far they cross; 0 where they meet. */
  overlapMm: number
  /** From hole to hole over the overlap; `null` where there is none. */
  holeSpacingMm: number | null
}

/** Fronts that meet, or that cross so as to grow along (handbook 9.1; the overlap arithmetic is team knowledge). */
export function rugFronts(spanMm: number, growing: boolean, holes = HOLES): RugFronts {
  const eachMm = (spanMm / 2) * (growing ? GROWING : 1)
  const overlapMm = 2 * eachMm - spanMm
  return { eachMm, overlapMm, holeSpacingMm: overlapMm > 0 && holes > 1 ? overlapMm / (holes - 1) : null }
}
