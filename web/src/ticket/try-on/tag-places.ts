import { boxesOver, type TagBox } from '../../ui/plates/tag-box'

export interface TagPlaces {
  /** Where the tag in hand always opens. */
  open: TagBox
  /** One for each check, first those over the dog, then those beside it. */
  closed: TagBox[]
  /** What the mat needs. */
  height: number
  /** They have room for their tapes. */
  tapes: boolean
  /** What the tags leave to the dog. */
  inset: { left: number; top: number; right: number; bottom: number }
}

const GAP = 8
/** A tag with its two words; with its tape too, where there are few. */
const LOW = 75
const TALL = 114
const FEW = 5
/** A line of words and the key that turns the dog. */
const FOOT = 48
/** Lower than this a dog says nothing. */
const DOG = 230
/** The open tag is never lower. */
export const OPEN_HEIGHT = 300

/**
 * Places of the tags on a mat: the open one in its corner, the others over the dog and beside it. They keep their places
 * while one of them is open.
 *
 * @param count checks of the state
 * @param leastHeight of the mat, px
 * @param openHeight what the open tag needs, px
 */
export function tagPlaces(width: number, leastHeight: number, count: number, openHeight: number): TagPlaces {
  const openWidth = Math.min(360, Math.max(300, Math.round(width * 0.45)))
  const openX = width - openWidth - GAP
  const tag = count <= FEW ? TALL : LOW
  const columns = openX - 2 * GAP >= 380 ? 2 : 1
  const overWidth = Math.floor((openX - 2 * GAP - (columns - 1) * GAP) / columns)
  const besideWidth = Math.floor((openWidth - GAP) / 2)
  const fitBeside = 2 * Math.max(1, Math.floor((leastHeight - openHeight - 3 * GAP) / (tag + GAP)))
  // A row over the dog, then beside it; a second row over it, and what is left goes on beside it.
  const overFirst = Math.min(count, columns)
  const besideFirst = Math.min(count - overFirst, fitBeside)
  const overSecond = Math.min(count - overFirst - besideFirst, columns)
  const over = overFirst + overSecond
  const beside = count - over
  const overRows = Math.ceil(over / columns)
  const besideRows = Math.ceil(beside / 2)
  const top = GAP + overRows * (tag + GAP)
  const height = Math.max(leastHeight, GAP + openHeight + besideRows * (tag + GAP) + GAP, top + DOG + FOOT)
  return {
    open: { x: openX, y: GAP, width: openWidth, height: openHeight, over: false, clear: true },
    closed: [
      ...boxesOver(over, overRows, { width: overWidth, height: tag, gap: GAP }),
      ...Array.from({ length: beside }, (_, i) => ({
        x: openX + (i % 2) * (besideWidth + GAP),
        y: height - GAP - (besideRows - Math.floor(i / 2)) * (tag + GAP) + GAP,
        width: besideWidth,
        height: tag,
        over: false,
        clear: i % 2 === 0,
      })),
    ],
    height,
    tapes: count <= FEW,
    inset: { left: 0, top, right: openWidth + 2 * GAP, bottom: FOOT },
  }
}
