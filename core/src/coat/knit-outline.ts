import { flatBox, sewLine, type PatternPiece, type PatternPoint } from '../pattern/index.ts'

/** Every so far along a piece its width is taken, mm. */
const STEP_MM = 4
/** How much of a piece's length may be slant, and how wide it must be to count as begun. Ours. */
const ENDS = 0.1
const SQUARE = 0.8

/**
 * A piece as a knitter sees it: from its front end, how wide it is at every place; a piece on the fold whole.
 *
 * @returns places along and widths, mm, for `knitProfile`
 */
export function knitOutline(piece: PatternPiece): [alongMm: number, widthMm: number][] {
  const outline = sewLine(piece)
  const { minX: low, maxX: high } = flatBox(outline)
  const pieces = Math.max(2, Math.ceil((high - low) / STEP_MM))
  const whole = piece.fold === null ? 1 : 2
  const widths = Array.from({ length: pieces + 1 }, (_, i): [number, number] => {
    const along = ((high - low) * i) / pieces
    // At the very ends a slanted edge has no width yet: just inside it does.
    const x = Math.min(high - 0.01 * (high - low), Math.max(low + 0.01 * (high - low), high - along))
    const ys = crossings(outline, x)
    return [along, ys.length < 2 ? 1 : Math.max(1, (Math.max(...ys) - Math.min(...ys)) * whole)]
  })
  return squared(squared(widths).reverse()).reverse()
}

/** A slanted or hollow end, as of a tail edge, is knitted square: as wide as the piece is where the slant ends. */
function squared(widths: [number, number][]): [number, number][] {
  const near = widths[Math.min(widths.length - 1, Math.ceil(widths.length * ENDS))]?.[1] ?? 0
  const first = widths.findIndex(([, wide]) => wide >= SQUARE * near)
  const at = widths[Math.max(0, first)]?.[1] ?? 1
  return widths.map(([along, wide], i) => [along, i < first ? at : wide])
}

function crossings(outline: readonly PatternPoint[], x: number): number[] {
  return outline.flatMap((a, i) => {
    const b = outline[(i + 1) % outline.length] as PatternPoint
    if (a[0] < x === b[0] < x) return []
    return [a[1] + ((b[1] - a[1]) * (x - a[0])) / (b[0] - a[0])]
  })
}
