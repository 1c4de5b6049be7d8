import { findMarks } from './find-marks.ts'
import type { OutlinePoint } from './paw-size.ts'
import type { Picture } from './picture.ts'
import { refineMark } from './refine-mark.ts'
import { markCorners, TRACING_FRAME } from './tracing-frame.ts'
import { mmOf, pxOf, viewFrom, type SheetPoint, type SheetView } from './view.ts'

export interface TraceFrame {
  view: SheetView
  /** How many of the eight marks were found. */
  marks: number
  /** What is left between marks and view, mm on the sheet. */
  rmsMm: number
  /** The picture is a mirrored one. */
  mirrored: boolean
  /** The sheet lies flat: its marks agree with one plane. */
  flat: boolean
}

/** Marks off their places by more say that the paper was not flat, mm. */
const FLAT_MM = 0.35
const LEAST_SIDE = 120

/** The tracing sheet in a photograph; `null` where it is not to be seen. */
export function frameIn(picture: Picture): TraceFrame | null {
  const { width, height } = picture
  if (!(Math.min(width, height) >= LEAST_SIDE) || picture.data.length < 4 * width * height) return null
  const found = findMarks(picture)
  if (!found) return null
  const mm: SheetPoint[] = []
  const px: OutlinePoint[] = []
  const add = (at: readonly SheetPoint[], seen: readonly OutlinePoint[]): void => {
    mm.push(...at)
    px.push(...seen)
  }
  let marks = 0
  found.corners.forEach((corners, i) => {
    const mark = TRACING_FRAME.corners[i]
    if (!mark) return
    const fine = refineMark(picture, corners)
    if (fine) marks++
    add(markCorners(mark), fine ?? corners)
  })
  const first = viewFrom(mm, px, { width, height })
  if (!first || marks < 3) return null
  for (const mark of TRACING_FRAME.edges) {
    const thought = markCorners(mark).map((point) => pxOf(first.view, point))
    if (thought.some(([x, y]) => x < 2 || y < 2 || x > width - 2 || y > height - 2)) continue
    const fine = refineMark(picture, thought)
    if (!fine) continue
    marks++
    add(markCorners(mark), fine)
  }
  const last = viewFrom(mm, px, { width, height })
  if (!last) return null
  const { view } = last
  const off = mm.map((point, i) => {
    const [x, y] = mmOf(view, px[i] as OutlinePoint)
    return (x - point[0]) ** 2 + (y - point[1]) ** 2
  })
  const rmsMm = Math.sqrt(off.reduce((sum, each) => sum + each, 0) / off.length)
  const [o, a, b] = [[0, 0], [10, 0], [0, 10]].map((point) => pxOf(view, point as [number, number])) as [[number, number], [number, number], [number, number]] // prettier-ignore
  const mirrored = (a[0] - o[0]) * (b[1] - o[1]) - (a[1] - o[1]) * (b[0] - o[0]) < 0
  return { view, marks, rmsMm, mirrored, flat: rmsMm <= FLAT_MM }
}
