import { flatDistance, type PatternPoint } from './flat-point.ts'

/** Stretches a curve is drawn in between two corners. */
const FINE = 6

/** A smooth line through corners (Catmull-Rom by the root of the distance, so that it makes no loops), ends kept. */
export function smoothLine(points: readonly PatternPoint[], fine = FINE): PatternPoint[] {
  const line = points.filter((p, i) => i === 0 || flatDistance(points[i - 1] as PatternPoint, p) > 1e-6)
  if (line.length < 3) return [...line]
  const get = (i: number): PatternPoint => {
    if (i >= 0 && i < line.length) return line[i] as PatternPoint
    const [end, next] = i < 0 ? [line[0] as PatternPoint, line[1] as PatternPoint] : [line.at(-1) as PatternPoint, line.at(-2) as PatternPoint]
    return [2 * end[0] - next[0], 2 * end[1] - next[1]]
  }
  const out: PatternPoint[] = [line[0] as PatternPoint]
  for (let i = 0; i + 1 < line.length; i++) {
    const [a, b, c, d] = [get(i - 1), get(i), get(i + 1), get(i + 2)]
    const knot = (p: PatternPoint, q: PatternPoint): number => Math.sqrt(Math.max(1e-9, flatDistance(p, q)))
    const [ab, bc, cd] = [knot(a, b), knot(b, c), knot(c, d)]
    const tangent = (axis: 0 | 1): [number, number] => [
      bc * ((b[axis] - a[axis]) / ab - (c[axis] - a[axis]) / (ab + bc) + (c[axis] - b[axis]) / bc),
      bc * ((c[axis] - b[axis]) / bc - (d[axis] - b[axis]) / (bc + cd) + (d[axis] - c[axis]) / cd),
    ]
    const [tx, ty] = [tangent(0), tangent(1)]
    for (let k = 1; k <= fine; k++) {
      const t = k / fine
      const [h1, h2, h3, h4] = [2 * t ** 3 - 3 * t ** 2 + 1, t ** 3 - 2 * t ** 2 + t, -2 * t ** 3 + 3 * t ** 2, t ** 3 - t ** 2]
      out.push([h1 * b[0] + h2 * tx[0] + h3 * c[0] + h4 * tx[1], h1 * b[1] + h2 * ty[0] + h3 * c[1] + h4 * ty[1]])
    }
  }
  return out
}
