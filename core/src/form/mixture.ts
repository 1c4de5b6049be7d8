import { innovate, shares, type Bell } from './gaussian.ts'

/** What one reading should have been, from all the others, over every kind of dog this may be. */
export interface LeftOut {
  /** Reading minus expectation, logarithm. */
  off: number
  /** Standard deviation of the expectation, the reading's own error included. */
  sd: number
  /** Signed deviation on the scale of a standard normal. */
  t: number
  /** The same by kind of dog, with the weights they have without this reading. */
  byKind: { weight: number; off: number; variance: number }[]
}

/** Log density of another value in a left-out reading's place, `by` above it (logarithm). */
export function densityAt({ byKind }: LeftOut, by: number): number {
  const terms = byKind.map(({ weight, off, variance }) => Math.log(weight + 1e-300) - 0.5 * ((off + by) ** 2 / variance + Math.log(2 * Math.PI * variance)))
  const most = Math.max(...terms)
  return most + Math.log(terms.reduce((sum, term) => sum + Math.exp(term - most), 0))
}

export interface Weighed {
  weights: number[]
  leftOut: LeftOut[]
}

interface Kinded extends Bell {
  logWeight: number
}

/**
 * Weighs kinds of dog by the readings and leaves each reading out in turn, in closed form: with S the readings'
 * covariance under a kind, the left-out residual is [S^-1 d]_i / [S^-1]_ii and its variance 1 / [S^-1]_ii.
 *
 * @param rows slopes of the readings at one place
 * @param residualOf reading minus what a kind's mean reads, by kind
 */
export function weigh(
  kinds: readonly Kinded[],
  rowsOf: (kind: number) => readonly Float64Array[],
  residualOf: (kind: number) => Float64Array,
  noise: Float64Array,
): Weighed {
  const said = kinds.map((kind, i) => innovate(kind, rowsOf(i), residualOf(i), noise))
  const logs = kinds.map((kind, i) => kind.logWeight + (said[i]?.logLikelihood ?? 0))
  const n = said[0]?.residual.length ?? 0
  const leftOut = Array.from({ length: n }, (_, i): LeftOut => {
    const each = said.map(({ inverse, weighed }) => {
      const precision = Math.max(1e-12, inverse[i * n + i] ?? 1)
      return { off: (weighed[i] ?? 0) / precision, variance: 1 / precision }
    })
    // Without the reading: its own density under each kind is taken out of the weight.
    const without = shares(logs.map((log, k) => log + 0.5 * ((each[k]?.off ?? 0) ** 2 / (each[k]?.variance ?? 1) + Math.log(each[k]?.variance ?? 1))))
    let off = 0
    let square = 0
    without.forEach((share, k) => {
      const { off: o, variance } = each[k] ?? { off: 0, variance: 1 }
      off += share * o
      square += share * (variance + o * o)
    })
    const byKind = without.map((weight, k) => ({ weight, ...(each[k] ?? { off: 0, variance: 1 }) }))
    const tail = without.map((share, k) => Math.log(share + 1e-300) - 0.5 * ((each[k]?.off ?? 0) ** 2 / (each[k]?.variance ?? 1)))
    const most = Math.max(...tail)
    const t = Math.sqrt(Math.max(0, -2 * (most + Math.log(tail.reduce((sum, term) => sum + Math.exp(term - most), 0)))))
    return { off, sd: Math.sqrt(Math.max(1e-9, square - off * off)), t: Math.sign(off) * t, byKind }
  })
  return { weights: shares(logs), leftOut }
}
