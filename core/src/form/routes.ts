import type { Along } from './taut-along.ts'
import { alongPoints, layAlong } from './taut-along.ts'
import { heightShare, type Point3 } from './point-on.ts'
import type { Shape } from './shape.ts'
import { cutOf, LAST_CUT, sectionAt } from './skin.ts'
import { ribArch } from './stations.ts'

/**
 * Strings solved once and kept while the parameters move a little: by the envelope theorem a shortest path's length
 * changes to first order as if its angles stood still.
 */
export interface Lays {
  under?: Along
  over?: Along
}

const QUARTER = Math.PI / 2
const [WITHERS, GIRTH, RIB] = [cutOf('withers'), cutOf('girth'), cutOf('lastRib')]

/** The under-route: breastbone, between the forelegs, diagonally up over the ribs to the tail base. */
export const layUnder = (shape: Shape, start?: Along): Along =>
  layAlong(shape.skin, { cut: WITHERS, angleRad: -QUARTER }, { cut: LAST_CUT, angleRad: QUARTER }, start)

export const underPoints = (shape: Shape, lay: Along): Point3[] => alongPoints(shape.skin, lay).points

/** Where the under-route crosses the rib arch: its points up to there, and from there on. */
export function splitAtRib(shape: Shape, lay: Along): [upTo: Point3[], onward: Point3[]] {
  const { points, cuts } = alongPoints(shape.skin, lay)
  const past = (i: number): number => {
    const at = points[i] as Point3
    return at[0] - ribArch(shape.k, heightShare(sectionAt(shape.skin, cuts[i] as number), at))
  }
  for (let i = 1; i < points.length; i++) {
    if ((cuts[i] as number) <= GIRTH) continue
    const [before, here] = [past(i - 1), past(i)]
    if (here > 0) continue
    const [a, b] = [points[i - 1] as Point3, points[i] as Point3]
    const t = before <= 0 ? 0.5 : before / (before - here)
    const cross: Point3 = [a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t, a[2] + (b[2] - a[2]) * t]
    return [
      [...points.slice(0, i), cross],
      [cross, ...points.slice(i)],
    ]
  }
  const last = points.at(-1) as Point3
  return [points, [last, last]]
}

/** The over-route: from the withers back over the side to the rib arch half-way up. */
export const layOver = (shape: Shape, start?: Along): Along => layAlong(shape.skin, { cut: WITHERS, angleRad: QUARTER }, { cut: RIB, angleRad: 0 }, start)

export const overPoints = (shape: Shape, lay: Along = layOver(shape)): Point3[] => alongPoints(shape.skin, lay).points
