import type { Flat } from '../hull.ts'

const STEPS = 7

/**
 * A smooth line through points (Catmull-Rom, tangents capped at 1.1 times the shorter chord, so that it never loops),
 * as many short straight ones.
 */
export function curve(points: readonly Flat[], closed: boolean, steps = STEPS): Flat[] {
  const n = points.length
  const at = (i: number): Flat => (closed ? points[(i + n) % n] : points[Math.min(n - 1, Math.max(0, i))]) as Flat
  const out: Flat[] = []
  for (let i = 0; i < (closed ? n : n - 1); i++) {
    const [p0, p1, p2, p3] = [at(i - 1), at(i), at(i + 1), at(i + 2)]
    const lead = tangent(p0, p1, p2)
    const trail = tangent(p1, p2, p3)
    for (let k = 0; k < steps; k++) {
      const t = k / steps
      const [t2, t3] = [t * t, t * t * t]
      const [a, b, c, d] = [2 * t3 - 3 * t2 + 1, t3 - 2 * t2 + t, 3 * t2 - 2 * t3, t3 - t2]
      out.push([a * p1[0] + b * lead[0] + c * p2[0] + d * trail[0], a * p1[1] + b * lead[1] + c * p2[1] + d * trail[1]])
    }
  }
  if (!closed) out.push(at(n - 1))
  return out
}

function tangent(before: Flat, here: Flat, after: Flat): Flat {
  const [x, z] = [(after[0] - before[0]) / 2, (after[1] - before[1]) / 2]
  const most = 1.1 * Math.min(Math.hypot(here[0] - before[0], here[1] - before[1]), Math.hypot(after[0] - here[0], after[1] - here[1]))
  const size = Math.hypot(x, z)
  return size > most && size > 0 ? [(x / size) * most, (z / size) * most] : [x, z]
}

/** A strip along a line, its half width given along it: tails, legs. Ends closed. */
export function strip(line: readonly Flat[], half: (share: number) => number): Flat[] {
  const dense = curve(line, false, 6)
  const sides = dense.map((point, i): [Flat, Flat] => {
    const [a, b] = [dense[Math.max(0, i - 1)] as Flat, dense[Math.min(dense.length - 1, i + 1)] as Flat]
    const size = Math.hypot(b[0] - a[0], b[1] - a[1]) || 1
    const [nx, nz] = [-(b[1] - a[1]) / size, (b[0] - a[0]) / size]
    const w = half(i / (dense.length - 1))
    return [
      [point[0] + nx * w, point[1] + nz * w],
      [point[0] - nx * w, point[1] - nz * w],
    ]
  })
  return [...sides.map(([left]) => left), ...sides.map(([, right]) => right).reverse()]
}

export const mixPoint = (a: Flat, b: Flat, t: number): Flat => [a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t]
