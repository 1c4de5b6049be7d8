/** A point on the sheet, mm, and one in the picture, px; both with y down. */
export type SheetPoint = readonly [x: number, y: number]

/** How a flat sheet is seen in a picture. Plain data. */
export interface SheetView {
  /** Sheet to picture, row after row, in units of the picture's half diagonal about its middle. */
  h: number[]
  /** Radial term of the lens: a point moves out by this share of its distance squared. */
  lens: number
  /** The picture's middle and half diagonal, px. */
  middle: [number, number]
  half: number
}

/** Points from which the lens is asked too. */
const WITH_LENS = 28

/** Solves a small full system in place; `null` where it has no one answer. */
function solved(a: number[][], b: number[]): number[] | null {
  const n = b.length
  for (let c = 0; c < n; c++) {
    let best = c
    for (let r = c + 1; r < n; r++) if (Math.abs(a[r]?.[c] ?? 0) > Math.abs(a[best]?.[c] ?? 0)) best = r
    const pivot = a[best] as number[]
    if (Math.abs(pivot[c] ?? 0) < 1e-12) return null
    ;[a[c], a[best]] = [pivot, a[c] as number[]]
    ;[b[c], b[best]] = [b[best] as number, b[c] as number]
    for (let r = c + 1; r < n; r++) {
      const row = a[r] as number[]
      const by = (row[c] as number) / (pivot[c] as number)
      if (by === 0) continue
      for (let k = c; k < n; k++) row[k] = (row[k] as number) - by * (pivot[k] as number)
      b[r] = (b[r] as number) - by * (b[c] as number)
    }
  }
  for (let r = n - 1; r >= 0; r--) {
    const row = a[r] as number[]
    let sum = b[r] as number
    for (let k = r + 1; k < n; k++) sum -= (row[k] as number) * (b[k] as number)
    b[r] = sum / (row[r] as number)
  }
  return b.every(Number.isFinite) ? b : null
}

/** Least squares of rows by the normal equations. */
function fitted(rows: readonly (readonly number[])[], values: readonly number[], damp = 0): number[] | null {
  const n = rows[0]?.length ?? 0
  const a = Array.from({ length: n }, () => new Array<number>(n).fill(0))
  const b = new Array<number>(n).fill(0)
  rows.forEach((row, i) => {
    for (let r = 0; r < n; r++) {
      b[r] = (b[r] as number) + (row[r] as number) * (values[i] as number)
      for (let c = 0; c < n; c++) (a[r] as number[])[c] = ((a[r] as number[])[c] as number) + (row[r] as number) * (row[c] as number)
    }
  })
  for (let r = 0; r < n; r++) (a[r] as number[])[r] = ((a[r] as number[])[r] as number) * (1 + damp)
  return solved(a, b)
}

const scaleOf = (mm: readonly SheetPoint[]): number => Math.max(1e-9, ...mm.map(([x, y]) => Math.hypot(x, y)))

/** The homography that takes points to points, its last number 1; `null` where they lie in a line. */
export function homography(from: readonly SheetPoint[], to: readonly SheetPoint[]): number[] | null {
  const by = scaleOf(from)
  const rows: number[][] = []
  const values: number[] = []
  from.forEach(([x0, y0], i) => {
    const [x, y] = [x0 / by, y0 / by]
    const [u, v] = to[i] as SheetPoint
    rows.push([x, y, 1, 0, 0, 0, -u * x, -u * y], [0, 0, 0, x, y, 1, -v * x, -v * y])
    values.push(u, v)
  })
  const h = fitted(rows, values)
  return h && [h[0] as number, h[1] as number, h[2] as number, h[3] as number, h[4] as number, h[5] as number, h[6] as number, h[7] as number, 1].map((value, i) => (i % 3 === 2 ? value : value / by)) // prettier-ignore
}

/** A point through a homography. */
export function through(h: readonly number[], [x, y]: SheetPoint): [number, number] {
  const w = (h[6] as number) * x + (h[7] as number) * y + (h[8] as number)
  return [((h[0] as number) * x + (h[1] as number) * y + (h[2] as number)) / w, ((h[3] as number) * x + (h[4] as number) * y + (h[5] as number)) / w]
}

const bulged = ([u, v]: readonly [number, number], lens: number): [number, number] => {
  const by = 1 + lens * (u * u + v * v)
  return [u * by, v * by]
}

/** Where a point of the sheet lies in the picture, px. */
export function pxOf({ h, lens, middle, half }: SheetView, mm: SheetPoint): [number, number] {
  const [u, v] = bulged(through(h, mm), lens)
  return [middle[0] + half * u, middle[1] + half * v]
}

function inverse(h: readonly number[]): number[] {
  const [a, b, c, d, e, f, g, i, j] = h as [number, number, number, number, number, number, number, number, number]
  return [e * j - f * i, c * i - b * j, b * f - c * e, f * g - d * j, a * j - c * g, c * d - a * f, d * i - e * g, b * g - a * i, a * e - b * d]
}

/** Where a point of the picture lies on the sheet, mm. */
export function mmOf({ h, lens, middle, half }: SheetView, [px, py]: SheetPoint): [number, number] {
  const [bu, bv] = [(px - middle[0]) / half, (py - middle[1]) / half]
  // The lens moves a point along its own ray: undone by a few steps of Newton on its distance.
  const far = Math.hypot(bu, bv)
  let r = far
  for (let turn = 0; turn < 8; turn++) r -= (r * (1 + lens * r * r) - far) / Math.max(0.1, 1 + 3 * lens * r * r)
  const by = far > 1e-12 ? r / far : 1
  return through(inverse(h), [bu * by, bv * by])
}

const residuals = (numbers: readonly number[], mm: readonly SheetPoint[], seen: readonly SheetPoint[]): number[] => {
  const h = [...numbers.slice(0, 8), 1]
  return mm.flatMap((point, i) => {
    const [u, v] = bulged(through(h, point), numbers[8] ?? 0)
    const [su, sv] = seen[i] as SheetPoint
    return [su - u, sv - v]
  })
}

/**
 * How a flat sheet is seen, from points of it found in a picture: a linear start, then Gauss-Newton on the picture's own
 * distances. From 28 points one radial term of the lens is asked too.
 *
 * @param mm places on the sheet; @param px the same in the picture
 * @returns the view and what is left between points and picture, px; `null` under four points, or where they lie in a line
 */
export function viewFrom(
  mm: readonly SheetPoint[],
  px: readonly SheetPoint[],
  { width, height }: { width: number; height: number },
): { view: SheetView; rmsPx: number } | null {
  const n = Math.min(mm.length, px.length)
  if (n < 4 || !(width > 0) || !(height > 0)) return null
  const [from, at] = [mm.slice(0, n), px.slice(0, n)]
  if ([...from, ...at].some((point) => !point.every(Number.isFinite))) return null
  const middle: [number, number] = [width / 2, height / 2]
  const half = Math.hypot(width, height) / 2
  const seen = at.map(([x, y]): SheetPoint => [(x - middle[0]) / half, (y - middle[1]) / half])
  const start = homography(from, seen)
  if (!start) return null
  const by = scaleOf(from)
  // In units of the sheet's reach all numbers are of one size.
  const scaled = from.map(([x, y]): SheetPoint => [x / by, y / by])
  let numbers = [...start.slice(0, 8).map((value, i) => (i % 3 === 2 ? value : value * by)), ...(n >= WITH_LENS ? [0] : [])]
  let left = residuals(numbers, scaled, seen)
  const sum = (all: readonly number[]): number => all.reduce((whole, each) => whole + each * each, 0)
  for (let turn = 0, damp = 1e-9; turn < 25; turn++) {
    const rows = left.map(() => new Array<number>(numbers.length).fill(0))
    numbers.forEach((value, k) => {
      const step = 1e-6 * Math.max(1, Math.abs(value))
      const moved = residuals(
        numbers.map((each, i) => (i === k ? each + step : each)),
        scaled,
        seen,
      )
      moved.forEach((each, i) => ((rows[i] as number[])[k] = -(each - (left[i] as number)) / step))
    })
    const step = fitted(rows, left, damp)
    if (!step) break
    const next = numbers.map((value, k) => value + (step[k] as number))
    const there = residuals(next, scaled, seen)
    if (sum(there) > sum(left)) {
      damp = Math.max(1e-6, damp * 10)
      if (damp > 1) break
      continue
    }
    const done = sum(left) - sum(there) < 1e-16
    ;[numbers, left] = [next, there]
    if (done) break
  }
  if (!numbers.every(Number.isFinite)) return null
  const h = [...numbers.slice(0, 8), 1].map((value, i) => (i % 3 === 2 ? value : value / by))
  const area = quadArea(from.map((point) => through(h, point)))
  if (!(area > 1e-9)) return null
  return { view: { h, lens: numbers[8] ?? 0, middle, half }, rmsPx: half * Math.sqrt(sum(left) / n) }
}

/** Points in a line enclose nothing. */
function quadArea(points: readonly (readonly [number, number])[]): number {
  let most = 0
  const [a] = points
  if (!a) return 0
  for (const b of points) for (const c of points) most = Math.max(most, Math.abs((b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0])))
  return most
}
