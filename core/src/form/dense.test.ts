import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { cholesky, dotOf, inverseWith, item, logDeterminant, nth, rowsTimes, solveWith } from './dense.ts'

/** Symmetric and positive definite: a matrix times its own transpose, and a little on the diagonal. */
const definite = fc.integer({ min: 1, max: 6 }).chain((n) =>
  fc.array(fc.double({ min: -3, max: 3, noNaN: true }), { minLength: n * n, maxLength: n * n }).map((b) => {
    const a = new Float64Array(n * n)
    for (let i = 0; i < n; i++)
      for (let j = 0; j < n; j++) for (let k = 0; k < n; k++) a[i * n + j] = (a[i * n + j] ?? 0) + (b[i * n + k] ?? 0) * (b[j * n + k] ?? 0)
    for (let i = 0; i < n; i++) a[i * n + i] = (a[i * n + i] ?? 0) + 0.5
    return { n, a }
  }),
)
const times = (a: Float64Array, x: ArrayLike<number>, n: number): number[] =>
  Array.from({ length: n }, (_, i) => Array.from({ length: n }, (_, j) => nth(a, i * n + j) * item(x, j)).reduce((sum, each) => sum + each, 0))

describe('small dense matrices', () => {
  it('have the factor of the textbook: 4 12 -16, 12 37 -43, -16 -43 98 has 2, 6 1, -8 5 3', () => {
    const lower = cholesky(Float64Array.from([4, 12, -16, 12, 37, -43, -16, -43, 98]), 3)
    expect([...lower]).toEqual([2, 0, 0, 6, 1, 0, -8, 5, 3])
    expect(logDeterminant(lower, 3)).toBeCloseTo(Math.log(36), 12)
  })

  it('solve, and invert, what they were made of', () => {
    fc.assert(
      fc.property(definite, ({ n, a }) => {
        const lower = cholesky(a, n)
        const wanted = Array.from({ length: n }, (_, i) => i - 1.5)
        const x = solveWith(lower, n, times(a, wanted, n))
        for (let i = 0; i < n; i++) expect(nth(x, i)).toBeCloseTo(wanted[i] as number, 6)
        const inverse = inverseWith(lower, n)
        for (const [j, row] of rowsTimes([inverse.slice(0, n)], a, n).entries()) for (let i = 0; i < n; i++) expect(nth(row, i)).toBeCloseTo(i === j ? 1 : 0, 6)
      }),
    )
  })

  it('on the edge get the least ridge; what is nowhere near is an error', () => {
    const flat = cholesky(Float64Array.from([1, 1, 1, 1]), 2)
    expect(nth(flat, 3)).toBeGreaterThan(0)
    expect(nth(flat, 3)).toBeLessThan(1e-4)
    expect(() => cholesky(Float64Array.from([-1e9, 0, 0, 1]), 2)).toThrow(RangeError)
  })

  it('have no number off their end', () => {
    expect(dotOf(Float64Array.from([1, 2, 3]), Float64Array.from([4, 5, 6]))).toBe(32)
    expect(() => dotOf(Float64Array.from([1, 2]), Float64Array.from([1]))).toThrow('no number 1 in a row of 1')
    expect(() => nth(new Float64Array(2), -1)).toThrow(RangeError)
    expect(() => item([1, 2], 2)).toThrow(RangeError)
  })
})
