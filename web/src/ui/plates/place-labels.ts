import type { LandmarkId } from '@merry-tailor/core'
import type { Point } from './geometry'

export type Anchor = 'start' | 'middle' | 'end'

/** How a landmark's name stands off its point: dx, dy and which end of the text is at the line. */
const OFFSET: Partial<Record<LandmarkId, readonly [number, number, Anchor]>> = {
  L01: [24, -24, 'start'],
  L02: [-26, 44, 'end'],
  L03: [-30, -30, 'end'],
  L05: [26, -14, 'start'],
  L06: [-30, 34, 'end'],
  L07: [-20, 40, 'end'],
  L08: [26, 10, 'start'],
  L12: [-26, -44, 'end'],
  L14: [-4, -42, 'middle'],
  L16: [-10, -34, 'middle'],
  L17: [-24, 44, 'end'],
  L18: [-34, -16, 'end'],
  L19: [-40, -22, 'end'],
  L20: [-34, -26, 'end'],
}

export interface Box {
  left: number
  right: number
  top: number
  bottom: number
}

export interface PlacedLabel {
  id: LandmarkId
  at: Point
  words: readonly string[]
  tx: number
  ty: number
  anchor: Anchor
  /** The words stand over their point. */
  above: boolean
  box: Box
}

const LINE = 16
export const sizeOfLabel = (phone: boolean): number => (phone ? 14 : 14.5)

/** What a word or two take up, px. @param tx where its anchor stands; @param ty the first line's foot */
export function boxOfWords(words: readonly string[], size: number, anchor: Anchor, tx: number, ty: number): Box {
  const long = Math.max(...words.map((word) => word.length)) * size * 0.54
  const left = anchor === 'start' ? tx : anchor === 'end' ? tx - long : tx - long / 2
  return { left, right: left + long, top: ty - size, bottom: ty + (words.length - 1) * LINE + 4 }
}

const overlap = (a: Box, b: Box): boolean => a.left < b.right && b.left < a.right && a.top < b.bottom && b.top < a.bottom
const turned: Readonly<Record<Anchor, Anchor>> = { start: 'end', end: 'start', middle: 'middle' }

interface Mat {
  width: number
  height: number
  /** Above it stand the small plates. */
  top: number
  phone: boolean
}

/**
 * Where the names of a tape's bones stand: each where it usually does, else on another side of its point or further off;
 * inside the mat, never over each other or over what stands there already.
 */
export function placeLabels(
  names: readonly { id: LandmarkId; at: Point; name: string }[],
  taken: readonly Box[],
  { width, height, top, phone }: Mat,
): PlacedLabel[] {
  const boxes = [...taken]
  const size = sizeOfLabel(phone)
  return names.map(({ id, at, name }) => {
    const [dx, dy, usual] = OFFSET[id] ?? [20, -20, 'start']
    const cut = name.lastIndexOf(' ')
    const words = phone && name.length > 10 && cut > 0 ? [name.slice(0, cut), name.slice(cut + 1)] : [name]
    const sides: readonly (readonly [number, number, Anchor])[] = [
      [dx, dy, usual],
      [-dx, dy, turned[usual]],
      [dx, -dy, usual],
      [-dx, -dy, turned[usual]],
      [dx * 1.8, dy * 1.8, usual],
      [-dx * 1.8, dy * 1.8, turned[usual]],
      [dx * 1.8, -dy * 1.8, usual],
      [dx * 0.5, dy * 2.6, 'middle'],
      [dx * 0.5, -dy * 2.6, 'middle'],
    ]
    const places = sides.map(([x, y, anchor]): PlacedLabel => {
      const raw = boxOfWords(words, size, anchor, at.x + x, at.y + y)
      // Kept inside the mat and under the small plates.
      const right = Math.max(0, 6 - raw.left) - Math.max(0, raw.right - (width - 6))
      const down = Math.max(0, top + 2 - raw.top) - Math.max(0, raw.bottom - (height - 2))
      const [tx, ty] = [at.x + x + right, at.y + y + down]
      return { id, at, words, tx, ty, anchor, above: ty < at.y, box: boxOfWords(words, size, anchor, tx, ty) }
    })
    const free = places.find(
      ({ box }) => boxes.every((each) => !overlap(box, each)) && !(at.x > box.left && at.x < box.right && at.y > box.top && at.y < box.bottom),
    )
    const placed = free ?? places[0]
    if (!placed) throw new Error('a label has places')
    boxes.push(placed.box)
    return placed
  })
}
