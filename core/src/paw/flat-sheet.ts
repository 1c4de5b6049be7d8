import { gridOf, type Grid, type Picture } from './picture.ts'
import { TRACING_FRAME } from './tracing-frame.ts'
import { pxOf, type SheetView } from './view.ts'

/** Cells of the flattened field a millimetre; where each lies in the picture is worked out every so many cells. */
export const PER_MM = 4
const EXACT = 8
/** Blocks the ground's brightness is read in, and which share of a block is darker than it. */
const BLOCK = 6 * PER_MM
const GROUND = 0.7
/** Smoothing, mm. */
const SMOOTH = 0.27

export const FIELD_WIDE = Math.round((TRACING_FRAME.field.right - TRACING_FRAME.field.left) * PER_MM)
export const FIELD_HIGH = Math.round((TRACING_FRAME.field.bottom - TRACING_FRAME.field.top) * PER_MM)

/** A cell of the field on the sheet, mm. */
export const fieldToMm = (x: number, y: number): [number, number] => [TRACING_FRAME.field.left + x / PER_MM, TRACING_FRAME.field.top + y / PER_MM]

/** Where each cell of the field lies in the picture, px: exact every eight cells, straight between. */
function placesOf(view: SheetView): { px: Float32Array; py: Float32Array } {
  const wide = Math.ceil(FIELD_WIDE / EXACT) + 1
  const high = Math.ceil(FIELD_HIGH / EXACT) + 1
  const nodes = new Float64Array(2 * wide * high)
  for (let i = 0; i < wide * high; i++) {
    const [x, y] = pxOf(view, fieldToMm((i % wide) * EXACT, Math.floor(i / wide) * EXACT))
    nodes[2 * i] = x
    nodes[2 * i + 1] = y
  }
  const px = new Float32Array(FIELD_WIDE * FIELD_HIGH)
  const py = new Float32Array(FIELD_WIDE * FIELD_HIGH)
  for (let y = 0; y < FIELD_HIGH; y++) {
    const j = Math.floor((y + 0.5) / EXACT)
    const fy = ((y + 0.5) % EXACT) / EXACT
    for (let x = 0; x < FIELD_WIDE; x++) {
      const i = Math.floor((x + 0.5) / EXACT)
      const fx = ((x + 0.5) % EXACT) / EXACT
      const a = 2 * (j * wide + i)
      const c = a + 2 * wide
      const at = y * FIELD_WIDE + x
      px[at] =
        ((nodes[a] as number) * (1 - fx) + (nodes[a + 2] as number) * fx) * (1 - fy) + ((nodes[c] as number) * (1 - fx) + (nodes[c + 2] as number) * fx) * fy
      py[at] =
        ((nodes[a + 1] as number) * (1 - fx) + (nodes[a + 3] as number) * fx) * (1 - fy) +
        ((nodes[c + 1] as number) * (1 - fx) + (nodes[c + 3] as number) * fx) * fy
    }
  }
  return { px, py }
}

/** The sheet's field laid flat, as a picture: what is kept of a photograph. */
export function flattened(picture: Picture, view: SheetView): Picture {
  const { width, height, data } = picture
  const out = new Uint8ClampedArray(4 * FIELD_WIDE * FIELD_HIGH)
  const { px, py } = placesOf(view)
  for (let at = 0; at < px.length; at++) {
    const x = Math.min(width - 1.001, Math.max(0, (px[at] as number) - 0.5))
    const y = Math.min(height - 1.001, Math.max(0, (py[at] as number) - 0.5))
    const i = x | 0
    const j = y | 0
    const fx = x - i
    const fy = y - j
    const right = i + 1 < width ? 4 : 0
    const below = j + 1 < height ? 4 * width : 0
    const k = 4 * (j * width + i)
    for (let c = 0; c < 3; c++) {
      const top = (data[k + c] as number) * (1 - fx) + (data[k + right + c] as number) * fx
      const low = (data[k + below + c] as number) * (1 - fx) + (data[k + below + right + c] as number) * fx
      out[4 * at + c] = top * (1 - fy) + low * fy
    }
    out[4 * at + 3] = 255
  }
  return { width: FIELD_WIDE, height: FIELD_HIGH, data: out }
}

/** How dark each cell is beside its own ground, 0 to 1: in the channel that shows it most, so that a blue or red line shows too. */
export function darknessOf({ width, height, data }: Picture): Grid {
  const [wide, high] = [Math.ceil(width / BLOCK), Math.ceil(height / BLOCK)]
  const ground = [0, 1, 2].map((c) => {
    const blocks = new Float32Array(wide * high)
    for (let j = 0; j < high; j++)
      for (let i = 0; i < wide; i++) {
        const counts = new Uint32Array(256)
        let n = 0
        for (let y = j * BLOCK; y < Math.min(height, (j + 1) * BLOCK); y++)
          for (let x = i * BLOCK; x < Math.min(width, (i + 1) * BLOCK); x++, n++) {
            const level = data[4 * (y * width + x) + c] as number
            counts[level] = (counts[level] as number) + 1
          }
        let [level, past] = [0, 0]
        while (level < 255 && (past += counts[level] as number) < GROUND * n) level++
        blocks[j * wide + i] = Math.max(1, level)
      }
    return blocks
  })
  const out = gridOf(width, height)
  for (let y = 0; y < height; y++) {
    const gy = Math.min(high - 1, Math.max(0, (y + 0.5) / BLOCK - 0.5))
    const j = Math.min(Math.max(0, high - 2), Math.floor(gy))
    const fy = gy - j
    const lower = Math.min(high - 1, j + 1)
    for (let x = 0; x < width; x++) {
      const gx = Math.min(wide - 1, Math.max(0, (x + 0.5) / BLOCK - 0.5))
      const i = Math.min(Math.max(0, wide - 2), Math.floor(gx))
      const fx = gx - i
      const next = Math.min(wide - 1, i + 1)
      let most = -1
      for (let c = 0; c < 3; c++) {
        const g = ground[c] as Float32Array
        const base =
          ((g[j * wide + i] as number) * (1 - fx) + (g[j * wide + next] as number) * fx) * (1 - fy) +
          ((g[lower * wide + i] as number) * (1 - fx) + (g[lower * wide + next] as number) * fx) * fy
        const dark = 1 - (data[4 * (y * width + x) + c] as number) / base
        if (dark > most) most = dark
      }
      out.values[y * width + x] = most
    }
  }
  return smoothed(out, SMOOTH * PER_MM)
}

function smoothed({ width, height, values }: Grid, sigma: number): Grid {
  const reach = Math.ceil(2.5 * sigma)
  const weights = Array.from({ length: 2 * reach + 1 }, (_, i) => Math.exp(-((i - reach) ** 2) / (2 * sigma * sigma)))
  const whole = weights.reduce((sum, each) => sum + each, 0)
  const pass = (from: Float32Array, step: number, count: number, lines: number, lineStep: number): Float32Array => {
    const to = new Float32Array(from.length)
    for (let l = 0; l < lines; l++)
      for (let i = 0; i < count; i++) {
        let sum = 0
        for (let k = -reach; k <= reach; k++)
          sum += (weights[k + reach] as number) * (from[l * lineStep + Math.min(count - 1, Math.max(0, i + k)) * step] as number)
        to[l * lineStep + i * step] = sum / whole
      }
    return to
  }
  return { width, height, values: pass(pass(values, 1, width, height, width), width, height, width, 1) }
}
