import { cholesky, solveWith } from '../../core/src/form/dense.ts'
import { kindOf } from '../../core/src/form/about.ts'
import { PARAMETERS } from '../../core/src/form/parameters.ts'
import { priorFor } from '../../core/src/form/prior.ts'
import { DISCREPANCY } from '../../core/src/form/readings.ts'
import { shapeOf } from '../../core/src/form/shape.ts'
import { FORM_MEASURES, laysFor, logTapes } from '../../core/src/form/tapes.ts'
import { shares } from '../../core/src/form/gaussian.ts'
import { normal, seeded } from './random.ts'

/*
 * The plain alternative: one log-Gaussian over the measures themselves, learnt from dogs drawn from the solver's own
 * prior, and conditioned on the readings. No form, no kinds.
 */
export function logTable(draws: number, seed: number) {
  const random = seeded(seed)
  const gauss = normal(random)
  const components = priorFor(kindOf(null))
  const weights = shares(components.map(({ logWeight }) => logWeight))
  const factors = components.map(({ covariance }) => cholesky(covariance, PARAMETERS))
  const traits = { ears: 'drop', sex: 'male' } as const
  const n = FORM_MEASURES.length
  const rows = Array.from({ length: draws }, () => {
    let [k, rest] = [0, random()]
    while (k < weights.length - 1 && rest > (weights[k] ?? 0)) rest -= weights[k++] ?? 0
    const x = components[k]?.mean.slice() ?? new Float64Array(PARAMETERS)
    const z = Array.from({ length: PARAMETERS }, gauss)
    const lower = factors[k] as Float64Array
    for (let a = 0; a < PARAMETERS; a++) for (let b = 0; b <= a; b++) x[a] = (x[a] ?? 0) + (lower[a * PARAMETERS + b] ?? 0) * (z[b] ?? 0)
    return logTapes(x, traits, FORM_MEASURES, laysFor(shapeOf(x, traits), FORM_MEASURES))
  }).filter((values) => values.every(Number.isFinite))
  const mean = Float64Array.from({ length: n }, (_, i) => rows.reduce((sum, values) => sum + (values[i] ?? 0), 0) / rows.length)
  const covariance = new Float64Array(n * n)
  for (const values of rows) for (let a = 0; a < n; a++) for (let b = 0; b < n; b++) covariance[a * n + b] = (covariance[a * n + b] ?? 0) + (((values[a] ?? 0) - (mean[a] ?? 0)) * ((values[b] ?? 0) - (mean[b] ?? 0))) / rows.length // prettier-ignore
  return {
    predict(body: Readonly<Record<string, { mm: number; sigmaMm: number }>>): Record<string, number> {
      const read = Object.keys(body).map((id) => FORM_MEASURES.indexOf(id))
      const m = read.length
      const own = new Float64Array(m * m)
      read.forEach((a, i) => {
        read.forEach((b, j) => (own[i * m + j] = covariance[a * n + b] ?? 0))
        const id = FORM_MEASURES[a] ?? ''
        own[i * m + i] = (own[i * m + i] ?? 0) + ((body[id]?.sigmaMm ?? 1) / (body[id]?.mm ?? 1)) ** 2 + DISCREPANCY ** 2
      })
      const weighed = solveWith(cholesky(own, m), m, read.map((a) => Math.log(body[FORM_MEASURES[a] ?? '']?.mm ?? 1) - (mean[a] ?? 0))) // prettier-ignore
      return Object.fromEntries(FORM_MEASURES.map((id, i) => [id, Math.exp((mean[i] ?? 0) + read.reduce((sum, a, k) => sum + (covariance[i * n + a] ?? 0) * (weighed[k] ?? 0), 0))])) // prettier-ignore
    },
  }
}
