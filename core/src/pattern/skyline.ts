/**
 * A symmetric positive matrix of which each row keeps what lies between its first entry and the diagonal, factored once
 * and solved often (Cholesky; the profile fills no further).
 */
export class Skyline {
  readonly #first: Int32Array
  readonly #start: Int32Array
  readonly #values: Float64Array

  /** @param first for each row the column of its first entry, at most its own */
  constructor(first: readonly number[]) {
    this.#first = Int32Array.from(first)
    this.#start = new Int32Array(first.length + 1)
    for (let i = 0; i < first.length; i++) this.#start[i + 1] = (this.#start[i] as number) + i - (first[i] as number) + 1
    this.#values = new Float64Array(this.#start[first.length] as number)
  }

  /** Adds to an entry of the lower half. */
  add(row: number, column: number, value: number): void {
    const [i, j] = row >= column ? [row, column] : [column, row]
    const at = (this.#start[i] as number) + j - (this.#first[i] as number)
    this.#values[at] = (this.#values[at] as number) + value
  }

  /** @throws RangeError where the matrix is not positive */
  factor(): void {
    const [first, start, values] = [this.#first, this.#start, this.#values]
    for (let i = 0; i < first.length; i++) {
      const [fi, si] = [first[i] as number, start[i] as number]
      for (let j = fi; j <= i; j++) {
        const [fj, sj] = [first[j] as number, start[j] as number]
        let sum = values[si + j - fi] as number
        for (let k = Math.max(fi, fj); k < j; k++) sum -= (values[si + k - fi] as number) * (values[sj + k - fj] as number)
        if (j < i) values[si + j - fi] = sum / (values[sj + j - fj] as number)
        else if (sum > 0) values[si + j - fi] = Math.sqrt(sum)
        else throw new RangeError('the matrix is not positive')
      }
    }
  }

  /** Solves in place. */
  solve(b: Float64Array): void {
    const [first, start, values] = [this.#first, this.#start, this.#values]
    const n = first.length
    for (let i = 0; i < n; i++) {
      const [fi, si] = [first[i] as number, start[i] as number]
      let sum = b[i] as number
      for (let k = fi; k < i; k++) sum -= (values[si + k - fi] as number) * (b[k] as number)
      b[i] = sum / (values[si + i - fi] as number)
    }
    for (let i = n - 1; i >= 0; i--) {
      const [fi, si] = [first[i] as number, start[i] as number]
      const x = (b[i] as number) / (values[si + i - fi] as number)
      b[i] = x
      for (let k = fi; k < i; k++) b[k] = (b[k] as number) - (values[si + k - fi] as number) * x
    }
  }
}
