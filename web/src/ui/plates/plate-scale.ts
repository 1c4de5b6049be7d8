import { project, type Flat, type Form, type Point3, type View } from '@merry-tailor/core'
import { cutOnce } from './cut'
import type { Point } from './geometry'

export interface PlateFrame {
  width: number
  height: number
  /** Kept free at the edges, px. */
  inset?: { left?: number; top?: number; right?: number; bottom?: number }
  /** A line leaves behind the dog. */
  lined?: boolean
  /** A place to look at closely, in the middle of the frame. */
  focus?: Point3 | null
}

export interface PlateScale {
  /** px per mm. */
  by: number
  floor: number
  to: (flat: Flat) => Point
  on: (p: Point3) => Point
}

/** A close look shows so much of the dog's length. */
const CLOSE = 0.62
const PAD = 20
/** Room for the line, share of the dog's length. */
const LINE = 0.16

export const onFloorIn = (view: View): boolean => view === 'side' || view === 'front'

/** Where a dog's places lie in a frame: fitted whole, or close to one place. */
export function plateScale(form: Form, view: View, { width, height, inset = {}, lined = false, focus = null }: PlateFrame): PlateScale {
  const { box } = cutOnce(form, view)
  const behind = lined && view === 'side' ? LINE * (box.right - box.left) : 0
  const [left, right] = [box.left - behind, box.right]
  const onFloor = onFloorIn(view)
  const tall = onFloor ? box.top : box.top - box.bottom
  const [x, y] = [inset.left ?? 0, inset.top ?? 0]
  const [wide, high] = [width - x - (inset.right ?? 0), height - y - (inset.bottom ?? 0)]
  let by = Math.min((wide - 2 * PAD) / (right - left), (high - (onFloor ? 28 : 2 * PAD)) / tall)
  let floor = y + (onFloor ? high - 14 : high / 2 + ((box.top + box.bottom) / 2) * by)
  let x0 = x + wide / 2 - ((left + right) / 2) * by
  if (focus) {
    by = Math.max(by, wide / (CLOSE * (box.right - box.left)))
    const [fx, fz] = project(focus, view)
    x0 = x + wide / 2 - fx * by
    // Never more floor than there is, nor air over the dog.
    floor = Math.max(y + high - 14, y + high / 2 + fz * by)
    floor = onFloor ? Math.min(floor, Math.max(y + high - 14, y + box.top * by + PAD)) : y + high / 2 + fz * by
  }
  const to = (flat: Flat): Point => ({ x: x0 + flat[0] * by, y: floor - flat[1] * by })
  return { by, floor, to, on: (p) => to(project(p, view)) }
}
