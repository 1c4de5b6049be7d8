/** Numerator and denominator of Hart's rational function for the normal tail, highest power first. */
const UPPER = Float64Array.of(3.52624965998911e-2, 0.700383064443688, 6.37396220353165, 33.912866078383, 112.079291497871, 221.213596169931, 220.206867912376)
const LOWER = Float64Array.of(
  8.83883476483184e-2, 1.75566716318264, 16.064177579207, 86.7807322029461, 296.564248779674, 637.333633378831, 793.826512519948, 440.413735824752,
) // prettier-ignore
const CENTRE = 7.07106781186547

function polynomial(coefficients: Float64Array, z: number): number {
  let sum = 0
  for (let i = 0; i < coefficients.length; i++) sum = sum * z + (coefficients[i] as number)
  return sum
}

/**
 * Standard normal distribution function, about 14 digits at constant cost: thousands of sizes are judged in one frame.
 *
 * Source: Hart et al. 1968, Computer Approximations, algorithm 5666, in West's double-precision form (2005); values
 * from memory, checked against the power series of Abramowitz & Stegun 26.2.11.
 */
export function normalCdf(x: number): number {
  if (Number.isNaN(x)) return Number.NaN
  const z = Math.abs(x)
  if (z > 37) return x > 0 ? 1 : 0
  const e = Math.exp((-z * z) / 2)
  const tail = z < CENTRE ? (e * polynomial(UPPER, z)) / polynomial(LOWER, z) : e / (z + 1 / (z + 2 / (z + 3 / (z + 4 / (z + 0.65))))) / Math.sqrt(2 * Math.PI)
  return x > 0 ? 1 - tail : tail
}

/** Beyond this many standard deviations a band end makes no difference to a choice. */
const FAR = 8.5

/**
 * Probability that a true value, normal about `mm` with standard deviation `sigmaMm`, lies from `fromMm` to `toMm`.
 * Without spread it is 1 inside the band, ends included, and 0 outside.
 */
export function chanceWithin(mm: number, sigmaMm: number, fromMm: number, toMm: number): number {
  if (sigmaMm <= 0) return mm >= fromMm && mm <= toMm ? 1 : 0
  const low = (fromMm - mm) / sigmaMm
  const high = (toMm - mm) / sigmaMm
  if (low > FAR || high < -FAR) return 0
  if (low < -FAR && high > FAR) return 1
  // The upper tail by symmetry, so that a band far above keeps its digits.
  return Math.max(0, low > 0 ? normalCdf(-low) - normalCdf(-high) : normalCdf(high) - normalCdf(low))
}
