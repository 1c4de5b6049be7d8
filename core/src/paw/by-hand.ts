import { findPaws, type TracedPaw } from './find-paws.ts'
import { darknessOf, flattened } from './flat-sheet.ts'
import type { TraceFrame } from './frame-in.ts'
import type { OutlinePoint } from './paw-size.ts'
import type { Picture } from './picture.ts'
import { TRACING_FRAME } from './tracing-frame.ts'
import { mmOf, pxOf, viewFrom, type SheetPoint, type SheetView } from './view.ts'

type Four = readonly [SheetPoint, SheetPoint, SheetPoint, SheetPoint]
const around = (wide: number, high: number): Four => [
  [-wide / 2, -high / 2],
  [wide / 2, -high / 2],
  [wide / 2, high / 2],
  [-wide / 2, high / 2],
]

/**
 * What four corners may be set on, clockwise from the top left, mm: middles of the sheet's squares, a paper's corners
 * (ISO 216, ANSI Letter), a card of ISO/IEC 7810 ID-1 (85.60 by 53.98, value from memory) where its edges would meet.
 */
export const KNOWN_CORNERS = {
  frame: TRACING_FRAME.corners.map(({ at }) => at) as unknown as Four,
  A4: around(210, 297),
  Letter: around(215.9, 279.4),
  card: around(85.6, 53.98),
} as const satisfies Record<string, Four>
export type KnownCorners = keyof typeof KNOWN_CORNERS

/** A paw's length or so, mm: what a slip of the hand is measured on. */
const SPAN = 65

/** The view shifted so that a point of the sheet is its origin. */
function about(view: SheetView, [x, y]: SheetPoint): SheetView {
  const [a, b, c, d, e, f, g, h, i] = view.h as [number, number, number, number, number, number, number, number, number]
  const moved = [a, b, a * x + b * y + c, d, e, d * x + e * y + f, g, h, g * x + h * y + i]
  return { ...view, h: moved.map((value) => value / (moved[8] as number)) }
}

/**
 * How a sheet, a paper or a card is seen, by its four corners set on the picture by hand. What a hand is off moves what
 * is read: `rmsMm` says by how much over a paw's length, a card far more than a sheet.
 *
 * @param px corners in the picture, clockwise from the top left of what lies there
 * @param pawPx the paw's middle in the picture, where what was set on says nothing of it
 * @param handPx how far off a corner may be set, px of the picture
 * @returns `null` where the corners are no four-sided shape seen from one side
 */
export function frameByHand(
  px: readonly OutlinePoint[],
  what: KnownCorners,
  { width, height }: { width: number; height: number },
  { pawPx, handPx = 3 }: { pawPx?: OutlinePoint | undefined; handPx?: number | undefined } = {},
): TraceFrame | null {
  if (px.length !== 4 || !px.flat().every(Number.isFinite)) return null
  // Turning the same way at every corner: neither crossed nor folded in.
  const turns = px.map(([x, y], i) => {
    const [[bx, by], [cx, cy]] = [px[(i + 1) % 4] as OutlinePoint, px[(i + 2) % 4] as OutlinePoint]
    return (bx - x) * (cy - by) - (by - y) * (cx - bx)
  })
  if (!turns.every((turn) => turn > 0) && !turns.every((turn) => turn < 0)) return null
  const corners = KNOWN_CORNERS[what]
  const seen = (points: readonly OutlinePoint[]): SheetView | null => viewFrom(corners, points, { width, height })?.view ?? null
  const view = seen(px)
  if (!view) return null
  const middle: SheetPoint = pawPx ? mmOf(view, pawPx) : [0, 0]
  const own = about(view, middle)
  const end = (x: number, y: number): OutlinePoint => pxOf(own, [x, y])
  const pairs = [
    [end(-SPAN / 2, 0), end(SPAN / 2, 0)],
    [end(0, -SPAN / 2), end(0, SPAN / 2)],
  ] as const
  const spans = (of: SheetView): number[] =>
    pairs.map(([from, to]) => {
      const [a, b] = [mmOf(of, from), mmOf(of, to)]
      return Math.hypot(b[0] - a[0], b[1] - a[1])
    })
  let off = 0
  for (let i = 0; i < 8; i++) {
    const nudged = px.map(([x, y], k): [number, number] => [x + (i === 2 * k ? handPx : 0), y + (i === 2 * k + 1 ? handPx : 0)])
    const other = seen(nudged)
    if (!other) return null
    off += Math.max(...spans(other).map((mm) => (mm - SPAN) ** 2))
  }
  return { view: own, marks: 0, rmsMm: Math.sqrt(off), mirrored: turns[0] !== undefined && turns[0] < 0, flat: true }
}

/** Closed outlines on a sheet whose view is known, the longest line first; none where no line closes. */
export const pawsIn = (picture: Picture, { view }: Pick<TraceFrame, 'view'>): TracedPaw[] =>
  findPaws(darknessOf(flattened(picture, view))).sort((a, b) => b.points.length - a.points.length)

/**
 * What lies between two points beside a ruler of known length, mm, as if all were seen straight from above: a note, never
 * a reading, for two points say nothing of how the sheet was tipped.
 *
 * @throws RangeError for a ruler without length
 */
export function besideRuler(ruler: readonly [OutlinePoint, OutlinePoint], rulerMm: number, ends: readonly [OutlinePoint, OutlinePoint]): number {
  const long = ([a, b]: readonly [OutlinePoint, OutlinePoint]): number => Math.hypot(b[0] - a[0], b[1] - a[1])
  if (!(rulerMm > 0) || !Number.isFinite(rulerMm) || !(long(ruler) > 0)) throw new RangeError(`a ruler has a length: ${rulerMm}`)
  return (rulerMm * long(ends)) / long(ruler)
}
