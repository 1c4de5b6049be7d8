import { boxesOver, type TagBox } from '../../ui/plates/tag-box'

export interface LayPlaces {
  boxes: TagBox[]
  height: number
  /** What the tags leave to the dog. */
  inset: { left: number; top: number; right: number; bottom: number }
}

const GAP = 8
/** Two lines of name, a tape, two lines of where, a word. */
const TAG = 152
const BESIDE = 222
const LEAST_OVER = 205
/** A line of words under the dog. */
const FOOT = 30
const DOG = 270

/** Places of the tags round a dog on a mat: a column before its nose, the others over its back. */
export function layPlaces(width: number, count: number): LayPlaces {
  const left = width - BESIDE - 3 * GAP
  const columns = Math.max(1, Math.floor((left + GAP) / (LEAST_OVER + GAP)))
  let beside = Math.min(count, 4)
  while (count - beside > 2 * columns || (count - beside > columns && beside < 5)) beside++
  const over = count - beside
  const overRows = Math.ceil(over / columns)
  const overWidth = Math.min(250, Math.floor((left - (columns - 1) * GAP) / columns))
  const top = GAP + overRows * (TAG + GAP)
  const height = Math.max(GAP + beside * (TAG + GAP), top + DOG + FOOT)
  return {
    boxes: [
      ...boxesOver(over, overRows, { width: overWidth, height: TAG, gap: GAP }),
      ...Array.from({ length: beside }, (_, i) => ({
        x: width - BESIDE - GAP,
        y: GAP + i * (TAG + GAP),
        width: BESIDE,
        height: TAG,
        over: false,
        clear: true,
      })),
    ],
    height,
    inset: { left: 0, top, right: BESIDE + 2 * GAP, bottom: FOOT },
  }
}
