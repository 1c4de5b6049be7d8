import { hullOf } from '../fit/index.ts'
import type { OutlinePoint } from './paw-size.ts'
import { groups, shrunk, type Grid, type Picture } from './picture.ts'
import { markCorners, TRACING_FRAME } from './tracing-frame.ts'
import { homography, through, type SheetPoint } from './view.ts'

/** A dark four-cornered patch on light ground that may be a mark. */
interface Patch {
  /** Its corners in order round, px of the whole picture. */
  corners: OutlinePoint[]
  middle: OutlinePoint
  side: number
  hole: boolean
}

/** Chosen on rendered photographs: a stricter quadrilateral lost sheets, no asking of the surroundings let floors in. */
const SEEN = 1100
const DARK = 0.72
const LOCAL = 14
const FILLED = 0.72
const QUAD = 0.74
const LIGHTER = 1.4
const MOST_HOLED = 10
const MOST_PLAIN = 24
/** Corners of a set may miss by this share of a mark's side. */
const MISS = 0.16

const crossing = (a: OutlinePoint, c: OutlinePoint, b: OutlinePoint, d: OutlinePoint): OutlinePoint | null => {
  const [ux, uy, vx, vy] = [c[0] - a[0], c[1] - a[1], d[0] - b[0], d[1] - b[1]]
  const det = ux * vy - uy * vx
  if (Math.abs(det) < 1e-9) return null
  const t = ((b[0] - a[0]) * vy - (b[1] - a[1]) * vx) / det
  return [a[0] + t * ux, a[1] + t * uy]
}

const areaOf = (points: readonly OutlinePoint[]): number =>
  Math.abs(points.reduce((sum, [x, y], i) => sum + x * (points[(i + 1) % points.length]?.[1] ?? 0) - (points[(i + 1) % points.length]?.[0] ?? 0) * y, 0)) / 2

/** The largest four-cornered part of a hull. */
function largestQuad(hull: readonly OutlinePoint[]): OutlinePoint[] {
  // Few enough corners to try all pairs as a diagonal.
  const step = Math.max(1, Math.ceil(hull.length / 28))
  const points = hull.filter((_, i) => i % step === 0)
  let [best, most] = [points.slice(0, 4), 0]
  for (let i = 0; i < points.length; i++)
    for (let j = i + 2; j < points.length; j++) {
      const [a, c] = [points[i] as OutlinePoint, points[j] as OutlinePoint]
      let [left, right, at, over] = [0, 0, -1, -1]
      for (let k = 0; k < points.length; k++) {
        const p = points[k] as OutlinePoint
        const side = (c[0] - a[0]) * (p[1] - a[1]) - (c[1] - a[1]) * (p[0] - a[0])
        if (side > left) [left, at] = [side, k]
        if (-side > right) [right, over] = [-side, k]
      }
      if (at >= 0 && over >= 0 && left + right > most) {
        most = left + right
        best = [a, points[over] as OutlinePoint, c, points[at] as OutlinePoint]
      }
    }
  return best
}

/** Sums over rectangles. */
function localMeans({ width, height, values }: Grid, radius: number): Float32Array {
  const sums = new Float64Array((width + 1) * (height + 1))
  for (let y = 0; y < height; y++) {
    let row = 0
    for (let x = 0; x < width; x++) {
      row += values[y * width + x] as number
      sums[(y + 1) * (width + 1) + x + 1] = (sums[y * (width + 1) + x + 1] as number) + row
    }
  }
  const out = new Float32Array(width * height)
  const wide = width + 1
  for (let y = 0; y < height; y++) {
    const top = Math.max(0, y - radius)
    const bottom = Math.min(height, y + radius + 1)
    for (let x = 0; x < width; x++) {
      const left = Math.max(0, x - radius)
      const right = Math.min(width, x + radius + 1)
      const sum =
        (sums[bottom * wide + right] as number) -
        (sums[top * wide + right] as number) -
        (sums[bottom * wide + left] as number) +
        (sums[top * wide + left] as number)
      out[y * width + x] = sum / ((bottom - top) * (right - left))
    }
  }
  return out
}

function patchesOf(picture: Picture): Patch[] {
  const { grid, by } = shrunk(picture, SEEN)
  const { width, height, values } = grid
  const longest = Math.max(width, height)
  const means = localMeans(grid, Math.round(longest / LOCAL))
  const value = (x: number, y: number): number =>
    values[Math.min(height - 1, Math.max(0, Math.round(y))) * width + Math.min(width - 1, Math.max(0, Math.round(x)))] as number
  const patches: Patch[] = []
  const dim = new Uint8Array(values.length)
  for (let at = 0; at < values.length; at++) if ((values[at] as number) < DARK * (means[at] as number)) dim[at] = 1
  groups(width, height, dim, false, (cells) => {
    if (cells.length < 36 || cells.length > (longest / 7) ** 2) return
    const rows = new Map<number, [number, number]>()
    let dark = 0
    for (const at of cells) {
      const [x, y] = [at % width, (at / width) | 0]
      dark += values[at] as number
      const row = rows.get(y)
      if (!row) rows.set(y, [x, x])
      else if (x < row[0]) row[0] = x
      else if (x > row[1]) row[1] = x
    }
    dark /= cells.length
    const rim = [...rows].flatMap(([y, [left, right]]): OutlinePoint[] => [[left, y], [right + 1, y], [left, y + 1], [right + 1, y + 1]]) // prettier-ignore
    const hull = hullOf(rim)
    const whole = areaOf(hull)
    if (hull.length < 4 || cells.length < FILLED * whole) return
    const quad = largestQuad(hull)
    const area = areaOf(quad)
    if (quad.length < 4 || area < QUAD * whole) return
    const sides = quad.map((p, i) => Math.hypot(p[0] - (quad[(i + 1) % 4]?.[0] ?? 0), p[1] - (quad[(i + 1) % 4]?.[1] ?? 0)))
    if (Math.min(...sides) < 0.3 * Math.max(...sides)) return
    const middle = crossing(quad[0] as OutlinePoint, quad[2] as OutlinePoint, quad[1] as OutlinePoint, quad[3] as OutlinePoint)
    if (!middle) return
    let [around, n] = [0, 0]
    for (let i = 0; i < 4; i++)
      for (const t of [0, 0.25, 0.5, 0.75]) {
        const [a, b] = [quad[i] as OutlinePoint, quad[(i + 1) % 4] as OutlinePoint]
        const [x, y] = [a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t]
        around += value(middle[0] + 1.42 * (x - middle[0]), middle[1] + 1.42 * (y - middle[1]))
        n++
      }
    around /= n
    if (around < LIGHTER * dark) return
    const centre = value(middle[0] - 0.5, middle[1] - 0.5)
    patches.push({
      corners: quad.map(([x, y]): OutlinePoint => [x * by, y * by]),
      middle: [middle[0] * by, middle[1] * by],
      side: Math.sqrt(area) * by,
      hole: centre > dark + 0.35 * (around - dark),
    })
  })
  return patches
}

/** How far corners lie from where they should, share of the side, whichever corner is first and whichever way round. */
function missOf(seen: readonly OutlinePoint[], should: readonly OutlinePoint[], side: number): { miss: number; order: number[] } {
  let best = { miss: Infinity, order: [0, 1, 2, 3] }
  for (const way of [1, 3])
    for (let from = 0; from < 4; from++) {
      const order = [0, 1, 2, 3].map((i) => (from + way * i) % 4)
      const sum = order.reduce(
        (whole, k, i) => whole + ((seen[k]?.[0] ?? 0) - (should[i]?.[0] ?? 0)) ** 2 + ((seen[k]?.[1] ?? 0) - (should[i]?.[1] ?? 0)) ** 2,
        0,
      )
      const miss = sum / (4 * side * side)
      if (miss < best.miss) best = { miss, order }
    }
  return best
}

export interface FoundMarks {
  /** The four large marks' corners in the frame's order, each clockwise on the sheet, px. */
  corners: OutlinePoint[][]
}

/** The sheet's four corner marks in a picture, whichever way it is turned or mirrored; `null` where there are none. */
export function findMarks(picture: Picture): FoundMarks | null {
  const patches = patchesOf(picture)
  const bySide = (a: Patch, b: Patch): number => b.side - a.side
  const holed = patches
    .filter(({ hole }) => hole)
    .sort(bySide)
    .slice(0, MOST_HOLED)
  const plain = patches
    .filter(({ hole }) => !hole)
    .sort(bySide)
    .slice(0, MOST_PLAIN)
  const frame = TRACING_FRAME.corners
  const middles = frame.map(({ at }): SheetPoint => at)
  const asked = frame.map(markCorners)
  let best: { miss: number; corners: OutlinePoint[][] } | null = null
  for (const first of plain)
    for (const second of holed)
      for (const third of holed) {
        if (third === second) continue
        for (const fourth of holed) {
          if (fourth === second || fourth === third) continue
          const four = [first, second, third, fourth]
          const sides = four.map(({ side }) => side)
          if (Math.max(...sides) > 3.2 * Math.min(...sides)) continue
          // Corners of a sheet lie round it in order: its diagonals cross.
          if (!inOrder(four.map(({ middle }) => middle))) continue
          const h = homography(
            middles,
            four.map(({ middle }) => middle),
          )
          if (!h) continue
          let miss = 0
          const corners: OutlinePoint[][] = []
          for (const [i, patch] of four.entries()) {
            const should = (asked[i] as SheetPoint[]).map((point) => through(h, point))
            const found = missOf(patch.corners, should, patch.side)
            miss += found.miss
            corners.push(found.order.map((k) => patch.corners[k] as OutlinePoint))
            if (best && miss / 4 > best.miss) break
          }
          if (corners.length === 4 && miss / 4 < (best?.miss ?? MISS ** 2)) best = { miss: miss / 4, corners }
        }
      }
  return best && { corners: best.corners }
}

function inOrder(points: readonly OutlinePoint[]): boolean {
  const turns = points.map((p, i) => {
    const [q, r] = [points[(i + 1) % 4] as OutlinePoint, points[(i + 2) % 4] as OutlinePoint]
    return Math.sign((q[0] - p[0]) * (r[1] - q[1]) - (q[1] - p[1]) * (r[0] - q[0]))
  })
  return turns.every((turn) => turn === turns[0] && turn !== 0)
}
