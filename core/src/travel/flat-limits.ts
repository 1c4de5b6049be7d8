/** A limit on a box's middle and on how far its sides may grow: `nx x + ny y + ng g <= most`. */
export interface Limit {
  nx: number
  ny: number
  ng: number
  most: number
}

export type Corner = readonly [x: number, y: number]

const area2 = (points: readonly Corner[]): number =>
  points.reduce((sum, [x, y], i) => sum + x * (points[(i + 1) % points.length]?.[1] ?? 0) - (points[(i + 1) % points.length]?.[0] ?? 0) * y, 0)

/**
 * A convex outline, counterclockwise.
 *
 * @throws RangeError where it is none: under three corners, crossing itself, or bent inwards
 */
export function convex(points: readonly Corner[], name: string): Corner[] {
  if (points.length < 3 || points.some((point) => !point.every(Number.isFinite))) throw new RangeError(`${name}: an outline has three corners or more`)
  const whole = area2(points)
  if (Math.abs(whole) < 1e-6) throw new RangeError(`${name}: it encloses nothing`)
  const round = whole > 0 ? [...points] : [...points].reverse()
  const n = round.length
  let turned = 0
  for (let i = 0; i < n; i++) {
    const [a, b, c] = [round[i], round[(i + 1) % n], round[(i + 2) % n]] as [Corner, Corner, Corner]
    const [ux, uy, vx, vy] = [b[0] - a[0], b[1] - a[1], c[0] - b[0], c[1] - b[1]]
    const cross = ux * vy - uy * vx
    if (cross < -1e-6 * Math.hypot(ux, uy) * Math.hypot(vx, vy)) throw new RangeError(`${name}: it crosses itself or is bent inwards`)
    turned += Math.atan2(cross, ux * vx + uy * vy)
  }
  if (Math.abs(turned - 2 * Math.PI) > 1e-3) throw new RangeError(`${name}: it crosses itself`)
  return round
}

/** The half planes of a convex outline: outward normals of length 1 and how far out each side lies. */
export const sidesOf = (outline: readonly Corner[]): { nx: number; ny: number; out: number }[] =>
  outline.flatMap((a, i) => {
    const b = outline[(i + 1) % outline.length] as Corner
    const long = Math.hypot(b[0] - a[0], b[1] - a[1])
    if (long < 1e-9) return []
    const [nx, ny] = [(b[1] - a[1]) / long, -(b[0] - a[0]) / long]
    return [{ nx, ny, out: nx * a[0] + ny * a[1] }]
  })

const EPS = 1e-7

/**
 * The largest of `gain` over all limits: three unknowns, a dozen limits, so every corner is tried.
 *
 * @returns `null` where the limits leave nothing
 */
export function largest(
  limits: readonly Limit[],
  gain: { x: number; y: number; g: number },
  gFixed?: number,
): { x: number; y: number; g: number; value: number } | null {
  let best: { x: number; y: number; g: number; value: number } | null = null
  const scale = 1 + Math.max(...limits.map(({ most }) => Math.abs(most)))
  const consider = (x: number, y: number, g: number): void => {
    const value = gain.x * x + gain.y * y + gain.g * g
    if (!Number.isFinite(value) || (best && value <= best.value)) return
    for (let i = 0; i < limits.length; i++) {
      const each = limits[i] as Limit
      if (each.nx * x + each.ny * y + each.ng * g > each.most + EPS * scale) return
    }
    best = { x, y, g, value }
  }
  const n = limits.length
  if (gFixed !== undefined) {
    for (let i = 0; i < n; i++)
      for (let j = i + 1; j < n; j++) {
        const [a, b] = [limits[i] as Limit, limits[j] as Limit]
        const det = a.nx * b.ny - a.ny * b.nx
        if (Math.abs(det) < 1e-9) continue
        const [p, q] = [a.most - a.ng * gFixed, b.most - b.ng * gFixed]
        consider((p * b.ny - q * a.ny) / det, (a.nx * q - b.nx * p) / det, gFixed)
      }
    return best
  }
  // Plain numbers: a box is turned through ninety angles in a frame.
  for (let i = 0; i < n; i++) {
    const a = limits[i] as Limit
    for (let j = i + 1; j < n; j++) {
      const b = limits[j] as Limit
      const cx = a.ny * b.ng - a.ng * b.ny
      const cy = a.ng * b.nx - a.nx * b.ng
      const cg = a.nx * b.ny - a.ny * b.nx
      for (let k = j + 1; k < n; k++) {
        const c = limits[k] as Limit
        const det = c.nx * cx + c.ny * cy + c.ng * cg
        if (det < 1e-9 && det > -1e-9) continue
        const g = (a.most * (b.nx * c.ny - b.ny * c.nx) - b.most * (a.nx * c.ny - a.ny * c.nx) + c.most * cg) / det
        const x = (a.most * (b.ny * c.ng - b.ng * c.ny) - b.most * (a.ny * c.ng - a.ng * c.ny) + c.most * cx) / det
        const y = (-a.most * (b.nx * c.ng - b.ng * c.nx) + b.most * (a.nx * c.ng - a.ng * c.nx) + c.most * cy) / det
        consider(x, y, g)
      }
    }
  }
  return best
}
