import { flatDistance, type PatternPoint } from './flat-point.ts'

/** A cubic from its first to its last point; the two between them are handles. */
export type Bezier = readonly [PatternPoint, PatternPoint, PatternPoint, PatternPoint]

const at = ([a, b, c, d]: Bezier, t: number): PatternPoint => {
  const u = 1 - t
  const [p, q, r, s] = [u * u * u, 3 * u * u * t, 3 * u * t * t, t * t * t]
  return [p * a[0] + q * b[0] + r * c[0] + s * d[0], p * a[1] + q * b[1] + r * c[1] + s * d[1]]
}

const SLIDES = 3

/** Points of a row of cubics, the first included. */
export function bezierPoints(curve: readonly Bezier[], perPiece = 12): PatternPoint[] {
  return curve.flatMap((piece, k) => Array.from({ length: perPiece + (k === 0 ? 1 : 0) }, (_, i) => at(piece, (i + (k === 0 ? 0 : 1)) / perPiece)))
}

const unit = (from: PatternPoint, to: PatternPoint): PatternPoint => {
  const long = flatDistance(from, to) || 1
  return [(to[0] - from[0]) / long, (to[1] - from[1]) / long]
}

const straight = (a: PatternPoint, d: PatternPoint): Bezier => [
  a,
  [a[0] + (d[0] - a[0]) / 3, a[1] + (d[1] - a[1]) / 3],
  [a[0] + (2 * (d[0] - a[0])) / 3, a[1] + (2 * (d[1] - a[1])) / 3],
  d,
]

/** The cubic with given directions at its ends that comes nearest (least squares over the two handles' lengths). */
function nearest(points: readonly PatternPoint[], shares: readonly number[], head: PatternPoint, tail: PatternPoint): Bezier {
  const [first, last] = [points[0] as PatternPoint, points.at(-1) as PatternPoint]
  let [c00, c01, c11, x0, x1] = [0, 0, 0, 0, 0]
  points.forEach((point, i) => {
    const t = shares[i] as number
    const u = 1 - t
    const [b1, b2] = [3 * u * u * t, 3 * u * t * t]
    const [ends0, ends1] = [u * u * u + b1, b2 + t * t * t]
    const [rx, ry] = [point[0] - first[0] * ends0 - last[0] * ends1, point[1] - first[1] * ends0 - last[1] * ends1]
    c00 += b1 * b1
    c01 += b1 * b2 * (head[0] * tail[0] + head[1] * tail[1])
    c11 += b2 * b2
    x0 += b1 * (head[0] * rx + head[1] * ry)
    x1 += b2 * (tail[0] * rx + tail[1] * ry)
  })
  const det = c00 * c11 - c01 * c01
  const usual = flatDistance(first, last) / 3
  let [a, b] = [usual, usual]
  if (Math.abs(det) > 1e-12) [a, b] = [(x0 * c11 - x1 * c01) / det, (c00 * x1 - c01 * x0) / det]
  if (!(a > 1e-6 * usual) || !(b > 1e-6 * usual) || a > 9 * usual || b > 9 * usual) [a, b] = [usual, usual]
  return [first, [first[0] + head[0] * a, first[1] + head[1] * a], [last[0] + tail[0] * b, last[1] + tail[1] * b], last]
}

/** How far the line's points, and the middles between them, lie from the cubic. */
function off(points: readonly PatternPoint[], curve: Bezier): { mm: number; where: number; shares: number[] } {
  const fine = Array.from({ length: 8 * points.length + 1 }, (_, i) => at(curve, i / (8 * points.length)))
  let [mm, where, from] = [0, Math.floor(points.length / 2), 0]
  const shares = points.map((point, i) => {
    let [best, share] = [Infinity, 0]
    for (let k = from; k + 1 < fine.length; k++) {
      const [a, b] = [fine[k] as PatternPoint, fine[k + 1] as PatternPoint]
      const [dx, dy] = [b[0] - a[0], b[1] - a[1]]
      const t = Math.min(1, Math.max(0, ((point[0] - a[0]) * dx + (point[1] - a[1]) * dy) / (dx * dx + dy * dy || 1)))
      const far = Math.hypot(point[0] - a[0] - t * dx, point[1] - a[1] - t * dy)
      if (far < best) {
        best = far
        share = (k + t) / (fine.length - 1)
        from = Math.max(0, k - 2)
      }
    }
    if (best > mm && i > 0 && i < points.length - 1) [mm, where] = [best, i]
    return i === 0 ? 0 : i === points.length - 1 ? 1 : share
  })
  return { mm, where, shares }
}

function fitted(points: readonly PatternPoint[], head: PatternPoint, tail: PatternPoint, withinMm: number): Bezier[] {
  const [first, last] = [points[0] as PatternPoint, points.at(-1) as PatternPoint]
  if (points.length <= 2) return [straight(first, last)]
  const lengths = points.map((point, i) => (i === 0 ? 0 : flatDistance(points[i - 1] as PatternPoint, point)))
  const whole = lengths.reduce((sum, each) => sum + each, 0) || 1
  let past = 0
  const shares = lengths.map((long) => (past += long) / whole)
  let curve = nearest(points, shares, head, tail)
  let { mm, where, shares: on } = off(points, curve)
  // Points slide along to where the curve passes nearest, and it is fitted again.
  for (let turn = 0; turn < SLIDES && mm > withinMm && mm < 20 * withinMm; turn++) {
    curve = nearest(points, on, head, tail)
    ;({ mm, where, shares: on } = off(points, curve))
  }
  if (mm <= withinMm) return [curve]
  const middle = Math.min(points.length - 2, Math.max(1, where))
  const through = unit(points[middle - 1] as PatternPoint, points[middle + 1] as PatternPoint)
  return [...fitted(points.slice(0, middle + 1), head, [-through[0], -through[1]], withinMm), ...fitted(points.slice(middle), through, tail, withinMm)]
}

/**
 * Cubics along a line, no point of the line further from them than asked.
 *
 * @param points the line, mm, two or more
 * @param withinMm 0.1 where nothing is said
 * @throws RangeError for fewer than two points
 */
export function bezierThrough(points: readonly PatternPoint[], withinMm = 0.1): Bezier[] {
  const line = points.filter((point, i) => i === 0 || flatDistance(points[i - 1] as PatternPoint, point) > 1e-9)
  const [first, second] = line
  if (!first) throw new RangeError('a line has two points or more')
  if (!second) return [straight(first, first)]
  return fitted(line, unit(first, second), unit(line.at(-1) as PatternPoint, line.at(-2) as PatternPoint), withinMm)
}
