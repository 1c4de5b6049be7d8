/** A point in the side plane. */
export type Flat = readonly [x: number, z: number]

/**
 * Length of a taut string laid over points from the first to the last: it bridges hollows (the convex hull's side).
 *
 * @param points in order along the string; @param side 1 over the top, -1 along the underside
 */
export function tautLength(points: readonly Flat[], side: 1 | -1): number {
  const held = tautOver(points, side)
  let sum = 0
  for (let i = 1; i < held.length; i++) {
    const [a, b] = [held[i - 1] as Flat, held[i] as Flat]
    sum += Math.hypot(b[0] - a[0], b[1] - a[1])
  }
  return sum
}

/** The points a taut string touches. */
export function tautOver(points: readonly Flat[], side: 1 | -1): Flat[] {
  const held: Flat[] = []
  // Facing backwards (x falling), outside is on the left for the underside and on the right for the topline.
  const first = points[0]
  const last = points.at(-1)
  const turn = first && last && last[0] < first[0] ? side : -side
  for (const point of points) {
    while (held.length >= 2) {
      const [a, b] = [held[held.length - 2] as Flat, held[held.length - 1] as Flat]
      const cross = (b[0] - a[0]) * (point[1] - b[1]) - (b[1] - a[1]) * (point[0] - b[0])
      if (cross * turn <= 0) held.pop()
      else break
    }
    held.push(point)
  }
  return held
}
