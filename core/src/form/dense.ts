/** Small dense symmetric matrices, row after row in one array. */

const offEnd = (k: number, list: ArrayLike<number>): never => {
  throw new RangeError(`no number ${k} in a row of ${list.length}`)
}

/**
 * The k-th number of a row. Throws RangeError off its end: there it would be a 0 that nobody wrote.
 * Rows of numbers alone, so that the engine knows what it reads: in the solver's loops that is a third of the time.
 */
export function nth(row: Float64Array, k: number): number {
  const value = row[k]
  return value === undefined ? offEnd(k, row) : value
}

/** The same of any list. */
export function item(list: ArrayLike<number>, k: number): number {
  const value = list[k]
  return value === undefined ? offEnd(k, list) : value
}

/** Lower Cholesky factor of a positive definite matrix; a matrix on the edge gets the least ridge that makes it one. */
export function cholesky(matrix: Float64Array, n: number): Float64Array {
  for (let ridge = 0; ; ridge = ridge === 0 ? 1e-12 : ridge * 10) {
    const lower = factor(matrix, n, ridge)
    if (lower) return lower
    if (ridge > 1e6) throw new RangeError('the matrix is not positive definite')
  }
}

function factor(matrix: Float64Array, n: number, ridge: number): Float64Array | null {
  const lower = new Float64Array(n * n)
  for (let i = 0; i < n; i++) {
    for (let j = 0; j <= i; j++) {
      let sum = nth(matrix, i * n + j) + (i === j ? ridge : 0)
      for (let k = 0; k < j; k++) sum -= nth(lower, i * n + k) * nth(lower, j * n + k)
      if (i !== j) lower[i * n + j] = sum / nth(lower, j * n + j)
      else if (sum > 0) lower[i * n + i] = Math.sqrt(sum)
      else return null
    }
  }
  return lower
}

/** Solves A x = b from the factor of A. */
export function solveWith(lower: Float64Array, n: number, right: ArrayLike<number>): Float64Array {
  const out = Float64Array.from(right)
  for (let i = 0; i < n; i++) {
    let sum = nth(out, i)
    for (let k = 0; k < i; k++) sum -= nth(lower, i * n + k) * nth(out, k)
    out[i] = sum / nth(lower, i * n + i)
  }
  for (let i = n - 1; i >= 0; i--) {
    let sum = nth(out, i)
    for (let k = i + 1; k < n; k++) sum -= nth(lower, k * n + i) * nth(out, k)
    out[i] = sum / nth(lower, i * n + i)
  }
  return out
}

/** The inverse from the factor. */
export function inverseWith(lower: Float64Array, n: number): Float64Array {
  const out = new Float64Array(n * n)
  const unit = new Float64Array(n)
  for (let j = 0; j < n; j++) {
    unit.fill(0)
    unit[j] = 1
    out.set(solveWith(lower, n, unit), j * n)
  }
  return out
}

/** Twice the sum of the factor's logarithmic diagonal: the logarithm of the determinant. */
export function logDeterminant(lower: Float64Array, n: number): number {
  let sum = 0
  for (let i = 0; i < n; i++) sum += Math.log(nth(lower, i * n + i))
  return 2 * sum
}

/** Rows times a symmetric matrix: (m x n) (n x n). */
export function rowsTimes(rows: readonly Float64Array[], symmetric: Float64Array, n: number): Float64Array[] {
  return rows.map((row) => {
    const out = new Float64Array(n)
    for (let k = 0; k < n; k++) {
      const by = nth(row, k)
      if (by === 0) continue
      const at = k * n
      for (let j = 0; j < n; j++) out[j] = nth(out, j) + by * nth(symmetric, at + j)
    }
    return out
  })
}

export function dotOf(a: Float64Array, b: Float64Array): number {
  let sum = 0
  for (let i = 0; i < a.length; i++) sum += nth(a, i) * nth(b, i)
  return sum
}
