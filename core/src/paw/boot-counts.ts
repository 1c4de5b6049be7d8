/** Logarithm of the gamma function (Lanczos 1964, g = 7, nine terms; about 15 digits). */
export function logGamma(x: number): number {
  if (x < 0.5) return Math.log(Math.PI / Math.abs(Math.sin(Math.PI * x))) - logGamma(1 - x)
  const z = x - 1
  let sum = 0.99999999999980993
  const terms = [676.5203681218851, -1259.1392167224028, 771.32342877765313, -176.61502916214059, 12.507343278686905, -0.13857109526572012, 9.9843695780195716e-6, 1.5056327351493116e-7] // prettier-ignore
  terms.forEach((term, i) => (sum += term / (z + i + 1)))
  const t = z + 7.5
  return 0.5 * Math.log(2 * Math.PI) + (z + 0.5) * Math.log(t) - t + Math.log(sum)
}

const askMean = (mean: number): void => {
  if (!(mean >= 0) || !Number.isFinite(mean)) throw new RangeError(`a mean is 0 or more: ${mean}`)
}
const askShape = (shape: number | null): void => {
  if (shape !== null && !(shape > 0 && Number.isFinite(shape))) throw new RangeError(`a shape is over 0: ${shape}`)
}

/** Poisson chances of 0 to k, summed. */
export function poissonCdf(k: number, mean: number): number {
  if (k < 0) return 0
  if (mean === 0) return 1
  // From the top down where the mean is large, so that nothing underflows early.
  let term = Math.exp(Math.floor(k) * Math.log(mean) - mean - logGamma(Math.floor(k) + 1))
  let sum = 0
  for (let i = Math.floor(k); i >= 0 && term > 0; i--) {
    sum += term
    term *= i / mean
    if (term < sum * 1e-17) break
  }
  return Math.min(1, sum)
}

/**
 * Chance of at most `k` boots used up, of a mean: Poisson, or where seasons differ by a gamma of that shape negative
 * binomial (`Var = m + m² / shape`).
 *
 * @param shape `null`: every season is like every other
 * @throws RangeError for a mean or a shape that is none
 */
export function countCdf(k: number, mean: number, shape: number | null): number {
  askMean(mean)
  askShape(shape)
  if (!(k >= 0)) return 0
  if (mean === 0) return 1
  if (shape === null) return poissonCdf(k, mean)
  const p = mean / (mean + shape)
  let sum = 0
  for (let i = 0; i <= Math.floor(k); i++) sum += Math.exp(logGamma(i + shape) - logGamma(shape) - logGamma(i + 1) + shape * Math.log(1 - p) + i * Math.log(p))
  return Math.min(1, sum)
}

/**
 * Boots used up per kilometre or outing: what is usual, weighed with one's own counts, and how much seasons differ.
 *
 * @param prior usual rate and how many counts it is worth; @param own counts and what they were counted over
 * @param seasonCv how much seasons differ, share; `1/shape = 1/(weight + count) + cv²` (first two moments, ours)
 * @throws RangeError for a rate, count or exposure that is none
 */
export function bootRate(prior: { per: number; weight: number }, own: { count: number; exposure: number }, seasonCv: number): { per: number; shape: number } {
  for (const value of [prior.per, prior.weight, own.count, own.exposure, seasonCv]) askMean(value)
  const count = prior.weight + own.count
  // A prior of no weight says nothing, and a rate of nothing was counted over nothing.
  const exposure = (prior.per > 0 ? prior.weight / prior.per : 0) + own.exposure
  const per = exposure > 0 ? count / exposure : prior.per
  const spread = (count > 0 ? 1 / count : 0) + seasonCv ** 2
  return { per, shape: spread > 0 ? 1 / spread : 1e9 }
}
