import { hullOf } from '../fit/index.ts'

/** A point of an outline, mm; y down on the sheet. */
export type OutlinePoint = readonly [x: number, y: number]

export interface PawSizeOfOutline {
  widthMm: number
  lengthMm: number
  /** Where the toes point. */
  axisRad: number
  /** The least extent lies at the end of the window: the paw has no axis of its own there. */
  atWindowEnd: boolean
}

/** A boot's window about the sheet's arrow: laid along it, a paw is read within 5 degrees. */
export const READING_WINDOW = (5 / 180) * Math.PI
const NEAR = 1e-9

/**
 * Width and length of a paw's outline: across the axis within the window that makes it narrowest, and along it. Rotating
 * calipers: the least extent across lies square to a hull edge, or at the window's end.
 *
 * @param toesRad where the toes point; upwards on the sheet
 * @param windowRad how far either way the axis may turn
 * @throws RangeError for fewer than three points, or an outline that encloses nothing
 */
export function pawSizeOf(
  points: readonly OutlinePoint[],
  { toesRad = -Math.PI / 2, windowRad = Math.PI / 9 }: { toesRad?: number; windowRad?: number } = {},
): PawSizeOfOutline {
  if (points.length < 3 || points.some((point) => !point.every(Number.isFinite))) throw new RangeError('an outline has three points or more')
  if (!(windowRad >= 0) || !Number.isFinite(toesRad)) throw new RangeError('an axis and its window are angles')
  const hull = hullOf(points)
  if (hull.length < 3) throw new RangeError('an outline encloses something')
  const extent = (at: number): number => {
    const [c, s] = [Math.cos(at), Math.sin(at)]
    let [low, high] = [Infinity, -Infinity]
    for (const [x, y] of hull) {
      const along = x * c + y * s
      if (along < low) low = along
      if (along > high) high = along
    }
    return high - low
  }
  /** The nearest angle to the toes' that lies along a line. */
  const turned = (along: number): number => toesRad + (((((along - toesRad) % Math.PI) + 1.5 * Math.PI) % Math.PI) - Math.PI / 2)
  const edges = hull.map((p, i) => {
    const q = hull[(i + 1) % hull.length] as OutlinePoint
    return turned(Math.atan2(q[1] - p[1], q[0] - p[0]))
  })
  const ends = [toesRad - windowRad, toesRad + windowRad]
  const asked = [...edges.filter((at) => Math.abs(at - toesRad) <= windowRad + NEAR), ...ends]
  let best = { at: toesRad, across: Infinity }
  for (const at of asked) {
    const across = extent(at + Math.PI / 2)
    if (across < best.across - NEAR || (Math.abs(across - best.across) <= NEAR && Math.abs(at - toesRad) < Math.abs(best.at - toesRad))) best = { at, across }
  }
  return {
    widthMm: best.across,
    lengthMm: extent(best.at),
    axisRad: best.at,
    atWindowEnd: windowRad > 0 && Math.abs(Math.abs(best.at - toesRad) - windowRad) < 1e-7,
  }
}

/**
 * An outline pulled at one point: that point goes all the way, its neighbours less, none farther along the outline than
 * the reach.
 *
 * @param i the point taken hold of; @param by how far, mm; @param reachMm along the outline, either way
 * @throws RangeError for a point there is not
 */
export function dragOutline(points: readonly OutlinePoint[], i: number, by: OutlinePoint, reachMm: number): [number, number][] {
  const n = points.length
  if (!Number.isInteger(i) || i < 0 || i >= n) throw new RangeError(`no point ${i} in the outline`)
  if (!by.every(Number.isFinite) || !(reachMm >= 0)) throw new RangeError('a pull is a length and a reach 0 mm or more')
  const along = new Array<number>(n).fill(Infinity)
  along[i] = 0
  for (const way of [1, -1]) {
    let past = 0
    for (let k = 1; k < n; k++) {
      const [before, at] = [(i + way * (k - 1) + n * k) % n, (i + way * k + n * k) % n]
      const [p, q] = [points[before] as OutlinePoint, points[at] as OutlinePoint]
      past += Math.hypot(q[0] - p[0], q[1] - p[1])
      if (past >= reachMm) break
      along[at] = Math.min(along[at] as number, past)
    }
  }
  return points.map(([x, y], k) => {
    const far = along[k] as number
    const share = far >= reachMm && k !== i ? 0 : reachMm > 0 ? (1 + Math.cos((Math.PI * far) / reachMm)) / 2 : 1
    return [x + by[0] * share, y + by[1] * share]
  })
}
