import { flatArea, type PatternPoint } from '../pattern/index.ts'

const cross = (o: PatternPoint, a: PatternPoint, b: PatternPoint): number => (a[0] - o[0]) * (b[1] - o[1]) - (a[1] - o[1]) * (b[0] - o[0])

/** Is a point inside a triangle that runs against the clock, its sides counted in? */
const inTriangle = (p: PatternPoint, a: PatternPoint, b: PatternPoint, c: PatternPoint): boolean =>
  cross(a, b, p) >= 0 && cross(b, c, p) >= 0 && cross(c, a, p) >= 0

/** Roundness of a triangle: cut the roundest ears first, so that parts are no slivers. */
function roundness(a: PatternPoint, b: PatternPoint, c: PatternPoint): number {
  const sides = [Math.hypot(b[0] - a[0], b[1] - a[1]), Math.hypot(c[0] - b[0], c[1] - b[1]), Math.hypot(a[0] - c[0], a[1] - c[1])]
  return cross(a, b, c) / (sides.reduce((sum, s) => sum + s * s, 0) || 1)
}

/** Corners of triangles, as places in the outline. */
function ears(points: readonly PatternPoint[]): [number, number, number][] {
  const left = points.map((_, i) => i)
  const out: [number, number, number][] = []
  const at = (i: number): PatternPoint => points[i] as PatternPoint
  while (left.length > 3) {
    let [best, where] = [-Infinity, -1]
    for (let k = 0; k < left.length; k++) {
      const [i, j, l] = [left[(k + left.length - 1) % left.length], left[k], left[(k + 1) % left.length]] as [number, number, number]
      if (cross(at(i), at(j), at(l)) <= 1e-9) continue
      if (left.some((m) => m !== i && m !== j && m !== l && inTriangle(at(m), at(i), at(j), at(l)))) continue
      const round = roundness(at(i), at(j), at(l))
      if (round > best) [best, where] = [round, k]
    }
    // An outline that touches itself: its flattest corner goes.
    if (where < 0) {
      let flat = Infinity
      for (let k = 0; k < left.length; k++) {
        const turn = Math.abs(cross(at(left[(k + left.length - 1) % left.length] as number), at(left[k] as number), at(left[(k + 1) % left.length] as number)))
        if (turn < flat) [flat, where] = [turn, k]
      }
      left.splice(where, 1)
      continue
    }
    out.push([left[(where + left.length - 1) % left.length], left[where], left[(where + 1) % left.length]] as [number, number, number])
    left.splice(where, 1)
  }
  out.push(left as [number, number, number])
  return out
}

/**
 * Convex parts of a simple outline: triangles, merged over every side that leaves the whole convex (after Hertel and
 * Mehlhorn 1983).
 *
 * @param outline closed, without its first point again, either direction
 */
export function convexParts(outline: readonly PatternPoint[]): PatternPoint[][] {
  const points = flatArea(outline) < 0 ? [...outline].reverse() : [...outline]
  const parts: number[][] = ears(points)
  const at = (i: number): PatternPoint => points[i] as PatternPoint
  const convex = (part: readonly number[]): boolean =>
    part.every((i, k) => cross(at(part[(k + part.length - 1) % part.length] as number), at(i), at(part[(k + 1) % part.length] as number)) >= -1e-9)
  for (let again = true; again;) {
    again = false
    search: for (let a = 0; a < parts.length; a++)
      for (let b = a + 1; b < parts.length; b++) {
        const merged = mergedAt(parts[a] as number[], parts[b] as number[])
        if (!merged || !convex(merged)) continue
        parts[a] = merged
        parts.splice(b, 1)
        again = true
        break search
      }
  }
  return parts.map((part) => part.map(at))
}

/** Two parts joined over a side they share; `null` where they share none. */
function mergedAt(a: readonly number[], b: readonly number[]): number[] | null {
  for (let i = 0; i < a.length; i++) {
    const [p, q] = [a[i] as number, a[(i + 1) % a.length] as number]
    const k = b.indexOf(q)
    if (k < 0 || b[(k + 1) % b.length] !== p) continue
    const around = Array.from({ length: b.length - 2 }, (_, n) => b[(k + 2 + n) % b.length] as number)
    return [...a.slice(0, i + 1), ...around, ...a.slice(i + 1)]
  }
  return null
}
