/**
 * Standard normal distribution function.
 *
 * Phi(x) = 1/2 + phi(x) (x + x^3/3 + x^5/15 + ...) for |x| < 6, which converges fast there; beyond, 0 or 1.
 * Source: Abramowitz & Stegun 1964, Handbook of Mathematical Functions, 26.2.11 (formula from memory).
 */
export function normalCdf(x: number): number {
  if (Number.isNaN(x)) return Number.NaN
  if (x <= -6) return 0
  if (x >= 6) return 1
  let term = x
  let sum = x
  for (let i = 1; i < 200; i++) {
    term *= (x * x) / (2 * i + 1)
    sum += term
    if (Math.abs(term) < 1e-17) break
  }
  return Math.min(1, Math.max(0, 0.5 + (sum * Math.exp((-x * x) / 2)) / Math.sqrt(2 * Math.PI)))
}

/**
 * Probability that a true value, normal about `mm` with standard deviation `sigmaMm`, lies from `fromMm` to `toMm`.
 * Without spread it is 1 inside the band, ends included, and 0 outside.
 */
export function chanceWithin(mm: number, sigmaMm: number, fromMm: number, toMm: number): number {
  if (sigmaMm <= 0) return mm >= fromMm && mm <= toMm ? 1 : 0
  const low = (fromMm - mm) / sigmaMm
  const high = (toMm - mm) / sigmaMm
  // The upper tail by symmetry, so that a band far above keeps its digits.
  return Math.max(0, low > 0 ? normalCdf(-low) - normalCdf(-high) : normalCdf(high) - normalCdf(low))
}
