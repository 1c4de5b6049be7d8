import type { Rig } from '@merry-tailor/core'
import type { Point } from '../ui/plates/geometry'

/** Where its axles are, ahead of the first. */
export const axlesOf = (rig: Rig): number[] => (rig.kind === 'cart' ? [0] : rig.kind === 'wagon' ? [0, -(rig.wheelbaseMm ?? 0)] : [])

/** Half the bed’s width as it is drawn: inside its wheels, no narrower than its bar. */
export const halfBedMm = (rig: Rig): number => Math.max(rig.trackMm / 2 - 60, rig.bar.widthMm / 2)

/** A tyre is drawn so wide to either side. */
const TYRE_MM = 18

/** Bed, then wheels, from above, as closed outlines. */
export function rigFromAbove(rig: Rig, at: (x: number, left: number) => Point): { bed: Point[]; wheels: Point[][] } {
  const box = (x0: number, x1: number, y0: number, y1: number): Point[] => [at(x0, y0), at(x1, y0), at(x1, y1), at(x0, y1)]
  const half = halfBedMm(rig)
  return {
    bed: box(rig.bed.fromMm, rig.bed.toMm, half, -half),
    wheels: axlesOf(rig).flatMap((x) =>
      [1, -1].map((way) => box(x - rig.axleMm, x + rig.axleMm, way * (rig.trackMm / 2 + TYRE_MM), way * (rig.trackMm / 2 - TYRE_MM))),
    ),
  }
}
