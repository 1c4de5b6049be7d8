import { cholesky, dotOf, inverseWith, item, logDeterminant, nth, rowsTimes, solveWith } from './dense.ts'
import { PARAMETERS } from './parameters.ts'

/** A bell over the parameters. */
export interface Bell {
  mean: Float64Array
  covariance: Float64Array
}

const N = PARAMETERS

/** What linear readings (rows times parameters, with their noise covariance) say of a bell. */
export interface Innovation {
  /** Rows times covariance. */
  spread: Float64Array[]
  lower: Float64Array
  /** Inverse of the readings' own covariance under the bell. */
  inverse: Float64Array
  residual: Float64Array
  /** Inverse times residual. */
  weighed: Float64Array
  /** Log density of the readings, without the constant. */
  logLikelihood: number
  chi2: number
}

/**
 * @param residual reading minus what the bell's mean would read
 * @param noise covariance of the readings, n x n
 */
export function innovate(bell: Bell, rows: readonly Float64Array[], residual: Float64Array, noise: Float64Array): Innovation {
  const n = rows.length
  const spread = rowsTimes(rows, bell.covariance, N)
  const s = Float64Array.from(noise)
  for (let i = 0; i < n; i++) {
    for (let j = 0; j <= i; j++) {
      const add = dotOf(spread[i] as Float64Array, rows[j] as Float64Array)
      s[i * n + j] = nth(s, i * n + j) + add
      if (i !== j) s[j * n + i] = nth(s, j * n + i) + add
    }
  }
  const lower = cholesky(s, n)
  const weighed = solveWith(lower, n, residual)
  const chi2 = dotOf(weighed, residual)
  return { spread, lower, inverse: inverseWith(lower, n), residual, weighed, chi2, logLikelihood: -0.5 * (chi2 + logDeterminant(lower, n)) }
}

/** The mean after the readings. */
export function movedMean(bell: Bell, { spread, weighed }: Innovation): Float64Array {
  const out = bell.mean.slice()
  spread.forEach((row, i) => {
    const by = nth(weighed, i)
    for (let k = 0; k < N; k++) out[k] = nth(out, k) + by * nth(row, k)
  })
  return out
}

/** The covariance after the readings. */
export function narrowed(bell: Bell, { spread, lower }: Innovation): Float64Array {
  const n = spread.length
  const out = bell.covariance.slice()
  // Whitened rows: covariance - sum of their outer products.
  const white = spread.map((row) => row.slice())
  for (let i = 0; i < n; i++) {
    const row = white[i] as Float64Array
    for (let k = 0; k < i; k++) {
      const by = nth(lower, i * n + k)
      const before = white[k] as Float64Array
      if (by !== 0) for (let j = 0; j < N; j++) row[j] = nth(row, j) - by * nth(before, j)
    }
    const own = nth(lower, i * n + i)
    for (let j = 0; j < N; j++) row[j] = nth(row, j) / own
  }
  for (const row of white) {
    for (let a = 0; a < N; a++) {
      const by = nth(row, a)
      if (by === 0) continue
      for (let b = 0; b < N; b++) out[a * N + b] = nth(out, a * N + b) - by * nth(row, b)
    }
  }
  return out
}

/** One bell with the mean and covariance of several, weighed. */
export function merged(bells: readonly Bell[], weights: readonly number[]): Bell {
  const mean = new Float64Array(N)
  bells.forEach((bell, i) => {
    for (let k = 0; k < N; k++) mean[k] = nth(mean, k) + item(weights, i) * nth(bell.mean, k)
  })
  const covariance = new Float64Array(N * N)
  bells.forEach((bell, i) => {
    const weight = item(weights, i)
    if (weight < 1e-9) return
    const off = bell.mean.map((value, k) => value - nth(mean, k))
    for (let a = 0; a < N; a++) {
      for (let b = 0; b < N; b++) {
        covariance[a * N + b] = nth(covariance, a * N + b) + weight * (nth(bell.covariance, a * N + b) + nth(off, a) * nth(off, b))
      }
    }
  })
  return { mean, covariance }
}

/** Log weights to weights that sum to one. */
export function shares(logWeights: readonly number[]): number[] {
  const most = Math.max(...logWeights)
  const raw = logWeights.map((value) => Math.exp(value - most))
  const sum = raw.reduce((total, value) => total + value, 0)
  return raw.map((value) => value / sum)
}
