/** Small dense symmetric matrices, row after row in one array. */

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
      let sum = (matrix[i * n + j] ?? 0) + (i === j ? ridge : 0)
      for (let k = 0; k < j; k++) sum -= (lower[i * n + k] ?? 0) * (lower[j * n + k] ?? 0)
      if (i !== j) lower[i * n + j] = sum / (lower[j * n + j] ?? 1)
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
    let sum = out[i] ?? 0
    for (let k = 0; k < i; k++) sum -= (lower[i * n + k] ?? 0) * (out[k] ?? 0)
    out[i] = sum / (lower[i * n + i] ?? 1)
  }
  for (let i = n - 1; i >= 0; i--) {
    let sum = out[i] ?? 0
    for (let k = i + 1; k < n; k++) sum -= (lower[k * n + i] ?? 0) * (out[k] ?? 0)
    out[i] = sum / (lower[i * n + i] ?? 1)
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
  for (let i = 0; i < n; i++) sum += Math.log(lower[i * n + i] ?? 1)
  return 2 * sum
}

/** Rows times a symmetric matrix: (m x n) (n x n). */
export function rowsTimes(rows: readonly Float64Array[], symmetric: Float64Array, n: number): Float64Array[] {
  return rows.map((row) => {
    const out = new Float64Array(n)
    for (let k = 0; k < n; k++) {
      const by = row[k] ?? 0
      if (by === 0) continue
      const at = k * n
      for (let j = 0; j < n; j++) out[j] = (out[j] ?? 0) + by * (symmetric[at + j] ?? 0)
    }
    return out
  })
}

export function dotOf(a: ArrayLike<number>, b: ArrayLike<number>): number {
  let sum = 0
  for (let i = 0; i < a.length; i++) sum += (a[i] ?? 0) * (b[i] ?? 0)
  return sum
}
