export interface Point {
  x: number
  y: number
}

/** An open smooth path through points (Catmull-Rom, tangents held short so that it never kinks). */
export function smoothOpen(points: readonly Point[], tension = 0.5): string {
  const n = points.length
  const at = (i: number): Point => points[Math.min(n - 1, Math.max(0, i))] as Point
  const start = at(0)
  let path = `M${fixed(start.x)} ${fixed(start.y)}`
  for (let i = 0; i < n - 1; i++) {
    const [p0, p1, p2, p3] = [at(i - 1), at(i), at(i + 1), at(i + 2)]
    const chord = Math.hypot(p2.x - p1.x, p2.y - p1.y)
    const lead = tangent(p0, p2, chord, tension)
    const trail = tangent(p1, p3, chord, tension)
    path += `C${fixed(p1.x + lead.x)} ${fixed(p1.y + lead.y)} ${fixed(p2.x - trail.x)} ${fixed(p2.y - trail.y)} ${fixed(p2.x)} ${fixed(p2.y)}`
  }
  return path
}

function tangent(before: Point, after: Point, chord: number, tension: number): Point {
  const x = (((after.x - before.x) * tension) / 3) * 1.2
  const y = (((after.y - before.y) * tension) / 3) * 1.2
  const length = Math.hypot(x, y)
  const most = chord * 0.42
  return length > most && length > 0 ? { x: (x / length) * most, y: (y / length) * most } : { x, y }
}

export const fixed = (value: number): string => (Math.round(value * 10) / 10).toString()

/** Straight lines through points, drawn on one after the other. */
export const lineThrough = (points: readonly Point[], closed = false): string =>
  `M${points.map((p) => `${fixed(p.x)} ${fixed(p.y)}`).join('L')}${closed ? 'Z' : ''}`

/** Point and direction at a share of a polyline's length. */
export function along(points: readonly Point[], share: number): { x: number; y: number; angle: number } {
  const lengths = points.slice(1).map((point, i) => Math.hypot(point.x - (points[i]?.x ?? 0), point.y - (points[i]?.y ?? 0)))
  let rest = lengths.reduce((sum, length) => sum + length, 0) * share
  for (const [i, length] of lengths.entries()) {
    const [a, b] = [points[i], points[i + 1]]
    if (!a || !b) break
    if (rest <= length || i === lengths.length - 1) {
      const t = length > 0 ? Math.min(1, rest / length) : 0
      return { x: a.x + (b.x - a.x) * t, y: a.y + (b.y - a.y) * t, angle: Math.atan2(b.y - a.y, b.x - a.x) }
    }
    rest -= length
  }
  return { x: points[0]?.x ?? 0, y: points[0]?.y ?? 0, angle: 0 }
}

/** Many points on a smooth open curve, for ticks and for laying tape. */
export function sample(points: readonly Point[], steps = 12): Point[] {
  const at = (i: number): Point => points[Math.min(points.length - 1, Math.max(0, i))] as Point
  const out: Point[] = []
  for (let i = 0; i < points.length - 1; i++) {
    const [p0, p1, p2, p3] = [at(i - 1), at(i), at(i + 1), at(i + 2)]
    for (let k = 0; k < steps; k++) {
      const t = k / steps
      const spline = (a: number, b: number, c: number, d: number): number =>
        0.5 * (2 * b + (c - a) * t + (2 * a - 5 * b + 4 * c - d) * t * t + (3 * b - a - 3 * c + d) * t * t * t)
      out.push({ x: spline(p0.x, p1.x, p2.x, p3.x), y: spline(p0.y, p1.y, p2.y, p3.y) })
    }
  }
  out.push(at(points.length - 1))
  return out
}
