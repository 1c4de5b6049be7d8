import { median } from 'simple-statistics'
import { fieldToMm, PER_MM } from './flat-sheet.ts'
import { findLine } from './find-line.ts'
import type { OutlinePoint } from './paw-size.ts'
import { cellsOver, distances, groups, type Grid } from './picture.ts'

/** A paw's outline along the middle of its drawn line, mm on the sheet, with what was open of it. */
export interface TracedPaw {
  points: [number, number][]
  /** Share of the outline where no line was, and how long that is in all. */
  gapShare: number
  closedMm: number
}

/** Lines are thickened by these until they enclose something, mm: gaps of twice as much are closed. */
const THICKEN = [0.3, 0.6, 1, 1.5, 2, 2.6, 3.2] as const
const LEAST_CM2 = 4.5
/** A paw no wider than this share of it long, and no hair between two lines. */
const STEP_MM = 0.5
/** How far inside and outside the rim its line is looked for, mm; a second time from where it was found. */
const [INSIDE, OUTSIDE, AGAIN] = [0.9, 2.6, 0.9]

type Flat = [x: number, y: number]

/** The rim of a set of cells, walked once round it with the set on one side (Moore's neighbours). */
function rimOf(isSet: (x: number, y: number) => boolean, start: Flat): Flat[] {
  const around: Flat[] = [[-1, 0], [-1, -1], [0, -1], [1, -1], [1, 0], [1, 1], [0, 1], [-1, 1]] // prettier-ignore
  const rim: Flat[] = []
  let at = start
  let back = 0
  for (let turn = 0; turn < 200_000; turn++) {
    rim.push(at)
    let found: { to: Flat; way: number } | null = null
    for (let k = 1; k <= 8; k++) {
      const way = (back + k) % 8
      const [dx, dy] = around[way] as Flat
      if (isSet(at[0] + dx, at[1] + dy)) {
        found = { to: [at[0] + dx, at[1] + dy], way }
        break
      }
    }
    if (!found) break
    at = found.to
    // Looked back from where it came.
    back = (found.way + 4) % 8
    if (at[0] === start[0] && at[1] === start[1] && rim.length > 2) break
  }
  return rim
}

/** The same outline in equal steps. */
function stepped(points: readonly Flat[], step: number): Flat[] {
  const lengths = points.map((p, i) => {
    const q = points[(i + 1) % points.length] as Flat
    return Math.hypot(q[0] - p[0], q[1] - p[1])
  })
  const whole = lengths.reduce((sum, each) => sum + each, 0)
  const n = Math.max(12, Math.round(whole / step))
  const out: Flat[] = []
  let [i, past] = [0, 0]
  for (let k = 0; k < n; k++) {
    const want = (k * whole) / n
    while (i < points.length - 1 && past + (lengths[i] as number) < want) past += lengths[i++] as number
    const [p, q] = [points[i] as Flat, points[(i + 1) % points.length] as Flat]
    const t = (lengths[i] as number) > 0 ? (want - past) / (lengths[i] as number) : 0
    out.push([p[0] + (q[0] - p[0]) * t, p[1] + (q[1] - p[1]) * t])
  }
  return out
}

/** Means over neighbours: steps of cells are no corners. */
const evened = (points: readonly Flat[], reach: number): Flat[] =>
  points.map((_, i) => {
    let [x, y] = [0, 0]
    for (let k = -reach; k <= reach; k++) {
      const p = points[(i + k + points.length) % points.length] as Flat
      x += p[0]
      y += p[1]
    }
    return [x / (2 * reach + 1), y / (2 * reach + 1)]
  })

const signedArea = (points: readonly OutlinePoint[]): number =>
  points.reduce((sum, [x, y], i) => sum + x * (points[(i + 1) % points.length]?.[1] ?? 0) - (points[(i + 1) % points.length]?.[0] ?? 0) * y, 0) / 2

function normals(points: readonly Flat[]): Flat[] {
  const turn = signedArea(points) > 0 ? 1 : -1
  const n = points.length
  return points.map((_, i) => {
    const [a, b] = [points[(i + n - 3) % n] as Flat, points[(i + 3) % n] as Flat]
    const long = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1
    return [(turn * (b[1] - a[1])) / long, (-turn * (b[0] - a[0])) / long]
  })
}

const between = ({ width, height, values }: Grid, x: number, y: number): number => {
  const [cx, cy] = [Math.min(width - 1.001, Math.max(0, x - 0.5)), Math.min(height - 1.001, Math.max(0, y - 0.5))]
  const [i, j] = [cx | 0, cy | 0]
  const [fx, fy] = [cx - i, cy - j]
  const at = j * width + i
  return (
    ((values[at] as number) * (1 - fx) + (values[at + 1] as number) * fx) * (1 - fy) +
    ((values[at + width] as number) * (1 - fx) + (values[at + width + 1] as number) * fx) * fy
  )
}

/** How far out the line's dark middle lies at each point, cells; `null` where there is none. */
function toLine(dark: Grid, points: readonly Flat[], out: readonly Flat[], inside: number, outside: number, weak: number, ground: number): (number | null)[] {
  const step = 0.5
  const [from, to] = [-Math.round((inside * PER_MM) / step), Math.round((outside * PER_MM) / step)]
  return points.map((p, i) => {
    const [nx, ny] = out[i] as Flat
    const value = (k: number): number => between(dark, p[0] + nx * k * step, p[1] + ny * k * step)
    let [best, most] = [0, -1]
    for (let k = from; k <= to; k++) if (value(k) > most) [best, most] = [k, value(k)]
    if (most < weak) return null
    let [sum, weight] = [0, 0]
    for (let k = best - 5; k <= best + 5; k++) {
      const w = Math.max(0, value(k) - ground - 0.35 * (most - ground))
      sum += w * k
      weight += w
    }
    return (weight > 0 ? sum / weight : best) * step
  })
}

/** A median of seven along the outline: a hair across the line moves nothing. */
function calmed(offsets: readonly (number | null)[]): (number | null)[] {
  const n = offsets.length
  return offsets.map((own, i) => {
    if (own === null) return null
    const row = Array.from({ length: 7 }, (_, k) => offsets[(i + k - 3 + n) % n]).filter((each): each is number => each != null)
    return row.length < 3 ? own : median(row)
  })
}

/** Straight from where the line ends to where it goes on. */
function bridged(points: readonly Flat[], there: readonly boolean[]): Flat[] {
  const n = points.length
  if (!there.some(Boolean)) return [...points]
  return points.map((p, i) => {
    if (there[i]) return p
    let [a, b] = [1, 1]
    while (!there[(i - a + n * 2) % n]) a++
    while (!there[(i + b) % n]) b++
    const [from, to] = [points[(i - a + n * 2) % n] as Flat, points[(i + b) % n] as Flat]
    const t = a / (a + b)
    return [from[0] + (to[0] - from[0]) * t, from[1] + (to[1] - from[1]) * t]
  })
}

/** From a region's rim to the middle of its line, and what of it was open. */
function alongLine(dark: Grid, rim: readonly Flat[], weak: number, ground: number): TracedPaw {
  let points = stepped(evened(rim, 3), STEP_MM * PER_MM)
  let found: (number | null)[] = []
  for (const [inside, outside] of [[INSIDE, OUTSIDE], [AGAIN, AGAIN]] as const) {
    const out = normals(evened(points, 2))
    found = calmed(toLine(dark, points, out, inside, outside, weak, ground))
    const moved = points.map(([x, y], i): Flat => [x + (out[i]?.[0] ?? 0) * (found[i] ?? 0), y + (out[i]?.[1] ?? 0) * (found[i] ?? 0)])
    points = bridged(moved, found.map((each) => each !== null))
  } // prettier-ignore
  const lengths = points.map((p, i) => Math.hypot((points[(i + 1) % points.length]?.[0] ?? 0) - p[0], (points[(i + 1) % points.length]?.[1] ?? 0) - p[1]))
  const whole = lengths.reduce((sum, each) => sum + each, 0)
  const open = lengths.reduce((sum, each, i) => sum + (found[i] === null ? each : 0), 0)
  return { points: points.map(([x, y]) => fieldToMm(x, y)), gapShare: whole > 0 ? open / whole : 0, closedMm: open / PER_MM }
}

/** Closed outlines in the field: what the border cannot reach past lines thickened step by step, least first. */
export function findPaws(dark: Grid): TracedPaw[] {
  const { line, weak, ground } = findLine(dark)
  const whole = distances(dark.width, dark.height, line)
  // What is enclosed is told on every other cell; its line is found on all of them.
  const width = dark.width >> 1
  const height = dark.height >> 1
  const far = new Float32Array(width * height)
  for (let y = 0; y < height; y++) for (let x = 0; x < width; x++) far[y * width + x] = (whole[2 * y * dark.width + 2 * x] as number) / 2
  const taken = new Uint8Array(width * height)
  const paws: TracedPaw[] = []
  for (const mm of THICKEN) {
    const r = (mm * PER_MM) / 2
    const free = cellsOver(far, r)
    groups(width, height, free, false, (cells) => {
      // The open ground around is by far the largest group: told by its first cell.
      if ((cells[0] as number) < width) return
      let [x0, x1, y0, y1] = [width, 0, height, 0]
      let known = 0
      for (const at of cells) {
        const x = at % width
        const y = (at / width) | 0
        x0 = Math.min(x0, x)
        x1 = Math.max(x1, x)
        y0 = Math.min(y0, y)
        y1 = Math.max(y1, y)
        known += taken[at] as number
      }
      if (x0 === 0 || y0 === 0 || x1 === width - 1 || y1 === height - 1 || known > 0) return
      // Grown back by as much as the line was thickened.
      const pad = Math.ceil(r) + 2
      const [left, top] = [Math.max(0, x0 - pad), Math.max(0, y0 - pad)]
      const [wide, high] = [Math.min(width, x1 + pad + 1) - left, Math.min(height, y1 + pad + 1) - top]
      const core = new Uint8Array(wide * high)
      for (const at of cells) core[(((at / width) | 0) - top) * wide + (at % width) - left] = 1
      const near = distances(wide, high, core)
      const isIn = (x: number, y: number): boolean => x >= 0 && y >= 0 && x < wide && y < high && (near[y * wide + x] as number) <= r
      let area = 0
      let start: Flat | null = null
      for (let y = 0; y < high; y++)
        for (let x = 0; x < wide; x++)
          if (isIn(x, y)) {
            area++
            start ??= [x, y]
          }
      if (!start || area < LEAST_CM2 * 25 * PER_MM * PER_MM) return
      for (let y = 0; y < high; y++) for (let x = 0; x < wide; x++) if (isIn(x, y)) taken[(y + top) * width + x + left] = 1
      const rim = rimOf(isIn, start).map(([x, y]): Flat => [2 * (x + left) + 0.5, 2 * (y + top) + 0.5])
      paws.push(alongLine(dark, rim, weak, ground))
    })
  }
  return paws
}
