import { Clipper, FillRule } from 'clipper2-ts'
import { flatArea, type PatternPoint } from '../pattern/index.ts'
import { convexParts } from './convex-parts.ts'

/** Thousandths of a millimetre: what unions count in. */
export const FINE = 1000

export const toGrid = (outline: readonly PatternPoint[]) => outline.map(([x, y]) => ({ x: Math.round(x * FINE), y: Math.round(y * FINE) }))

/** Sum of two convex outlines that run against the clock: their sides in the order of their directions. */
export function convexSum(a: readonly PatternPoint[], b: readonly PatternPoint[]): PatternPoint[] {
  const lowest = (points: readonly PatternPoint[]): number =>
    points.reduce((best, p, i) => {
      const q = points[best] as PatternPoint
      return p[1] < q[1] || (p[1] === q[1] && p[0] < q[0]) ? i : best
    }, 0)
  const [i0, k0] = [lowest(a), lowest(b)]
  const A = (i: number): PatternPoint => a[(i0 + i) % a.length] as PatternPoint
  const B = (k: number): PatternPoint => b[(k0 + k) % b.length] as PatternPoint
  const out: PatternPoint[] = []
  let [i, k] = [0, 0]
  while (i < a.length || k < b.length) {
    const [p, q] = [A(i), B(k)]
    out.push([p[0] + q[0], p[1] + q[1]])
    const [u, v] = [A(i + 1), B(k + 1)]
    const turn = (u[0] - p[0]) * (v[1] - q[1]) - (u[1] - p[1]) * (v[0] - q[0])
    if (k >= b.length || (i < a.length && turn >= 0)) {
      if (k < b.length && turn === 0) k++
      i++
    } else k++
  }
  return out
}

/**
 * Where the reference point (0, 0) of B may not lie, so that B does not overlap A: the sum of A and the turned B.
 *
 * @param a, b outlines or their convex parts
 * @returns outlines in thousandths of a millimetre, holes among them run the other way
 */
export function noFit(a: readonly (readonly PatternPoint[])[], b: readonly (readonly PatternPoint[])[]) {
  const turned = b.map((part) => part.map(([x, y]): PatternPoint => [-x, -y]))
  const sums = a.flatMap((p) => turned.map((q) => toGrid(convexSum(p, q))))
  return Clipper.union(sums, FillRule.NonZero)
}

/** The no-fit polygon of two outlines, mm. */
export function noFitPolygon(a: readonly PatternPoint[], b: readonly PatternPoint[]): PatternPoint[][] {
  return noFit(convexParts(a), convexParts(b))
    .map((path) => path.map(({ x, y }): PatternPoint => [x / FINE, y / FINE]))
    .filter((path) => Math.abs(flatArea(path)) > 1e-9)
}
