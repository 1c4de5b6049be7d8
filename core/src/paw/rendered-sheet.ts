import type { OutlinePoint } from './paw-size.ts'
import type { Picture } from './picture.ts'
import { seeded } from '../units/index.ts'
import { TRACING_FRAME } from './tracing-frame.ts'
import { mmOf, type SheetView } from './view.ts'

/** How a traced sheet is photographed. */
export interface Shot {
  width: number
  height: number
  /** Radians the sheet is turned in the picture, tipped away and to the side. */
  turnRad: number
  tiltRad: number
  sideRad: number
  /** Radial term of the lens, share. */
  lens: number
  /** Brightness at one side of the picture beside the other. */
  light: number
  noise: number
  blurPx: number
  mirrored?: boolean
  /** How dark the pencil is, and how wide, mm. */
  pencil: number
  pencilMm: number
  /** Share of the picture's shorter side that the sheet's longer one takes. */
  fill?: number
}

/** An invented paw's outline about the origin, toes up, mm: a pad with four toes. */
export function inventedPaw(widthMm: number, lengthMm: number, lean = 0): [number, number][] {
  const n = 240
  const bare = Array.from({ length: n }, (_, i): [number, number] => {
    const at = (2 * Math.PI * i) / n
    const up = Math.max(0, -Math.sin(at))
    // Toes and the clefts between them, on the upper half alone.
    const toes = 1 - 0.075 * up ** 0.7 * Math.cos(7.2 * (at + Math.PI / 2))
    const r = toes * (1 - 0.05 * Math.cos(2 * at))
    return [r * Math.cos(at), r * Math.sin(at)]
  })
  const span = (k: 0 | 1): number => Math.max(...bare.map((p) => p[k])) - Math.min(...bare.map((p) => p[k]))
  const [c, s] = [Math.cos(lean), Math.sin(lean)]
  return bare.map(([x, y]): [number, number] => {
    const [u, v] = [(x * widthMm) / span(0), (y * lengthMm) / span(1)]
    return [u * c - v * s, u * s + v * c]
  })
}

/** Cells of the drawn sheet a millimetre, and how far it is drawn. */
const FINE = 6
const [HALF_WIDE, HALF_HIGH] = [105, 148]

/** The sheet as it is printed and drawn on, brightness 0 to 1. */
function drawn(
  outlines: readonly { points: readonly OutlinePoint[]; gaps?: readonly (readonly [from: number, to: number])[] }[],
  pencil: number,
  pencilMm: number,
): Float32Array {
  const [wide, high] = [2 * HALF_WIDE * FINE, 2 * HALF_HIGH * FINE]
  const sheet = new Float32Array(wide * high).fill(0.93)
  const cell = (mm: number, half: number): number => Math.round((mm + half) * FINE)
  const box = (x: number, y: number, side: number): void => {
    for (let j = cell(y - side / 2, HALF_HIGH); j < cell(y + side / 2, HALF_HIGH); j++)
      for (let i = cell(x - side / 2, HALF_WIDE); i < cell(x + side / 2, HALF_WIDE); i++) sheet[j * wide + i] = 0.06
  }
  const disc = (x: number, y: number, r: number, to: number): void => {
    const reach = Math.ceil(r * FINE)
    const [ci, cj] = [(x + HALF_WIDE) * FINE, (y + HALF_HIGH) * FINE]
    for (let j = Math.floor(cj) - reach; j <= cj + reach; j++)
      for (let i = Math.floor(ci) - reach; i <= ci + reach; i++)
        if (i >= 0 && j >= 0 && i < wide && j < high && Math.hypot(i + 0.5 - ci, j + 0.5 - cj) <= r * FINE)
          sheet[j * wide + i] = to > 0.5 ? to : Math.min(sheet[j * wide + i] as number, to)
  }
  const stroke = (from: OutlinePoint, to: OutlinePoint, widthMm: number, value: number): void => {
    const long = Math.hypot(to[0] - from[0], to[1] - from[1])
    const n = Math.max(1, Math.ceil(long / 0.15))
    for (let k = 0; k <= n; k++) disc(from[0] + ((to[0] - from[0]) * k) / n, from[1] + ((to[1] - from[1]) * k) / n, widthMm / 2, value)
  }
  for (const { at, sideMm, hole } of [...TRACING_FRAME.corners, ...TRACING_FRAME.edges]) {
    box(at[0], at[1], sideMm)
    if (hole) disc(at[0], at[1], TRACING_FRAME.holeMm / 2, 0.93)
  }
  const { arrow, rule } = TRACING_FRAME
  stroke(arrow.foot, arrow.tip, 0.8, 0.1)
  stroke([arrow.tip[0] - 4, arrow.tip[1] + 5], arrow.tip, 0.8, 0.1)
  stroke([arrow.tip[0] + 4, arrow.tip[1] + 5], arrow.tip, 0.8, 0.1)
  stroke(rule.from, rule.to, 0.4, 0.1)
  for (const { points, gaps = [] } of outlines) {
    let past = 0
    points.forEach((p, i) => {
      const q = points[(i + 1) % points.length] as OutlinePoint
      if (!gaps.some(([from, to]) => past >= from && past <= to)) stroke(p, q, pencilMm, 0.93 * (1 - pencil))
      past += Math.hypot(q[0] - p[0], q[1] - p[1])
    })
  }
  return sheet
}

/** How a sheet is seen by a camera whose distance makes it fill the picture. */
export function viewOf({ width, height, turnRad, tiltRad, sideRad, lens, mirrored, fill = 0.82 }: Shot): SheetView {
  const half = Math.hypot(width, height) / 2
  // A rotation of the sheet's plane, then a pinhole at a distance of 1.6 sheet heights.
  const [ct, st, cx, sx, cy, sy] = [Math.cos(turnRad), Math.sin(turnRad), Math.cos(tiltRad), Math.sin(tiltRad), Math.cos(sideRad), Math.sin(sideRad)]
  const far = 430
  const focal = (fill * Math.min(width * 1.42, height) * far) / (2 * 127 * half)
  const flip = mirrored ? -1 : 1
  const column = (x: number, y: number): [number, number, number] => {
    const [a, b] = [x * ct - y * st, x * st + y * ct]
    const [u, v, w] = [a * cy, b * cx - a * sy * sx, b * sx + a * sy * cx]
    return [flip * u, v, w]
  }
  const [ex, ey] = [column(1, 0), column(0, 1)]
  return {
    h: [focal * ex[0], focal * ey[0], 0, focal * ex[1], focal * ey[1], 0, ex[2], ey[2], far],
    lens,
    middle: [width / 2, height / 2],
    half,
  }
}

/**
 * A photograph of a traced sheet as a camera would take it: for trials and for the demo; no real paw, pencil or camera.
 *
 * @param outlines drawn on the sheet, mm; `gaps` along them are left open
 */
export function renderedSheet(
  outlines: readonly { points: readonly OutlinePoint[]; gaps?: readonly (readonly [from: number, to: number])[] }[],
  shot: Shot,
  seed: number,
): Picture {
  const { width, height, light, noise, blurPx, pencil, pencilMm } = shot
  const sheet = drawn(outlines, pencil, pencilMm)
  const [wide, high] = [2 * HALF_WIDE * FINE, 2 * HALF_HIGH * FINE]
  const view = viewOf(shot)
  const chance = seeded(seed)
  const each = 8
  const [nw, nh] = [Math.ceil(width / each) + 1, Math.ceil(height / each) + 1]
  const nodes = Array.from({ length: nw * nh }, (_, i) => mmOf(view, [(i % nw) * each, Math.floor(i / nw) * each]))
  const out = new Uint8ClampedArray(4 * width * height)
  const bare = new Float32Array(width * height)
  for (let y = 0; y < height; y++) {
    const [j, fy] = [Math.floor((y + 0.5) / each), ((y + 0.5) % each) / each]
    for (let x = 0; x < width; x++) {
      const [i, fx] = [Math.floor((x + 0.5) / each), ((x + 0.5) % each) / each]
      const [a, b, c, d] = [nodes[j * nw + i], nodes[j * nw + i + 1], nodes[(j + 1) * nw + i], nodes[(j + 1) * nw + i + 1]] as [
        [number, number],
        [number, number],
        [number, number],
        [number, number],
      ]
      const mm = ([0, 1] as const).map((k) => (a[k] * (1 - fx) + b[k] * fx) * (1 - fy) + (c[k] * (1 - fx) + d[k] * fx) * fy) as [number, number]
      const [u, v] = [(mm[0] + HALF_WIDE) * FINE - 0.5, (mm[1] + HALF_HIGH) * FINE - 0.5]
      let value = 0.3 + 0.06 * Math.sin(x / 37) * Math.cos(y / 53)
      if (u >= 0 && v >= 0 && u < wide - 1 && v < high - 1) {
        const [p, q] = [Math.floor(u), Math.floor(v)]
        const [gx, gy] = [u - p, v - q]
        const at = q * wide + p
        value =
          ((sheet[at] as number) * (1 - gx) + (sheet[at + 1] as number) * gx) * (1 - gy) +
          ((sheet[at + wide] as number) * (1 - gx) + (sheet[at + wide + 1] as number) * gx) * gy
      }
      bare[y * width + x] = value * (1 / light + (1 - 1 / light) * (x / width))
    }
  }
  const soft = blurred(bare, width, height, blurPx)
  for (let i = 0; i < soft.length; i++) {
    const grain = noise * (chance() + chance() + chance() - 1.5) * 2
    const value = 255 * ((soft[i] as number) + grain)
    out[4 * i] = value
    out[4 * i + 1] = value
    out[4 * i + 2] = value * 0.97
    out[4 * i + 3] = 255
  }
  return { width, height, data: out }
}

function blurred(values: Float32Array, width: number, height: number, px: number): Float32Array {
  if (px <= 0) return values
  const reach = Math.ceil(2 * px)
  const weights = Array.from({ length: 2 * reach + 1 }, (_, i) => Math.exp(-((i - reach) ** 2) / (2 * px * px)))
  const whole = weights.reduce((sum, each) => sum + each, 0)
  const pass = (from: Float32Array, dx: number, dy: number): Float32Array => {
    const to = new Float32Array(from.length)
    for (let y = 0; y < height; y++)
      for (let x = 0; x < width; x++) {
        let sum = 0
        for (let k = -reach; k <= reach; k++) {
          const [a, b] = [Math.min(width - 1, Math.max(0, x + dx * k)), Math.min(height - 1, Math.max(0, y + dy * k))]
          sum += (weights[k + reach] as number) * (from[b * width + a] as number)
        }
        to[y * width + x] = sum / whole
      }
    return to
  }
  return pass(pass(values, 1, 0), 0, 1)
}
