import { PER_MM } from './flat-sheet.ts'
import { cellsOver, groups, type Grid } from './picture.ts'

/** Above how many times the usual scatter a cell belongs to a line, and one starts it; never under these. */
const [WEAK, STRONG] = [4, 7]
const [LEAST_WEAK, LEAST_STRONG] = [0.035, 0.07]
/** Shorter strokes are specks, mm. */
const SPECK = 4

/** Cells of a drawn line: dark beside their ground and joined to what is darker still. */
export function findLine({ width, height, values }: Grid): { line: Uint8Array; weak: number; ground: number } {
  const sample = Float32Array.from({ length: Math.ceil(values.length / 7) }, (_, i) => values[i * 7] as number).sort()
  const ground = sample[sample.length >> 1] as number
  const scatter = sample.map((value) => Math.abs(value - ground)).sort()[sample.length >> 1] as number
  const [weak, strong] = [ground + Math.max(LEAST_WEAK, WEAK * scatter), ground + Math.max(LEAST_STRONG, STRONG * scatter)]
  const line = new Uint8Array(values.length)
  const dark = cellsOver(values, weak)
  groups(width, height, dark, true, (cells) => {
    let [x0, x1, y0, y1, most] = [width, 0, height, 0, 0]
    for (const at of cells) {
      const [x, y] = [at % width, (at / width) | 0]
      x0 = Math.min(x0, x)
      x1 = Math.max(x1, x)
      y0 = Math.min(y0, y)
      y1 = Math.max(y1, y)
      most = Math.max(most, values[at] as number)
    }
    if (most < strong || Math.hypot(x1 - x0, y1 - y0) < SPECK * PER_MM) return
    for (const at of cells) line[at] = 1
  })
  return { line, weak, ground }
}
