import { askPlan, type DogPlan } from './dog-plan.ts'
import { bentPlaces, rimOf } from './posture.ts'

type Point = readonly [number, number]
interface Circle {
  x: number
  y: number
  r: number
}

const holds = ({ x, y, r }: Circle, p: Point): boolean => Math.hypot(p[0] - x, p[1] - y) <= r + 1e-7
const over = (a: Point, b: Point): Circle => ({ x: (a[0] + b[0]) / 2, y: (a[1] + b[1]) / 2, r: Math.hypot(a[0] - b[0], a[1] - b[1]) / 2 })

function through(a: Point, b: Point, c: Point): Circle {
  const d = 2 * (a[0] * (b[1] - c[1]) + b[0] * (c[1] - a[1]) + c[0] * (a[1] - b[1]))
  if (Math.abs(d) < 1e-9) return [over(a, b), over(b, c), over(a, c)].reduce((most, each) => (each.r > most.r ? each : most))
  const [aa, bb, cc] = [a, b, c].map(([x, y]) => x * x + y * y) as [number, number, number]
  const x = (aa * (b[1] - c[1]) + bb * (c[1] - a[1]) + cc * (a[1] - b[1])) / d
  const y = (aa * (c[0] - b[0]) + bb * (a[0] - c[0]) + cc * (b[0] - a[0])) / d
  return { x, y, r: Math.hypot(a[0] - x, a[1] - y) }
}

/** Farthest from their middle first: the circle the rest lies in is found at once, not grown point by point. */
function farthestFirst(points: readonly Point[]): Point[] {
  const [x, y] = [0, 1].map((axis) => points.reduce((sum, point) => sum + (point[axis] as number), 0) / points.length) as [number, number]
  const far = new Map(points.map((point) => [point, Math.hypot(point[0] - x, point[1] - y)]))
  return [...points].sort((a, b) => (far.get(b) as number) - (far.get(a) as number))
}

/** The least circle that holds all points (Welzl 1991, in its incremental form). */
export function leastCircle(points: readonly Point[]): Circle {
  const order = farthestFirst(points)
  let best: Circle = { x: order[0]?.[0] ?? 0, y: order[0]?.[1] ?? 0, r: 0 }
  for (const [i, a] of order.entries()) {
    if (holds(best, a)) continue
    best = { x: a[0], y: a[1], r: 0 }
    for (const [j, b] of order.slice(0, i).entries()) {
      if (holds(best, b)) continue
      best = over(a, b)
      for (const c of order.slice(0, j)) if (!holds(best, c)) best = through(a, b, c)
    }
  }
  return best
}

const SHARES = 25

/** Every crate of a series asks the same of one dog. */
const known = new WeakMap<DogPlan, number>()

/** A dog curled up to sleep: the least circle it lies in, bent as far as serves it. @throws RangeError for a plan that is none */
export function curledUp(plan: DogPlan): { diameterMm: number } {
  const before = known.get(plan)
  if (before !== undefined) return { diameterMm: before }
  askPlan(plan)
  const rim = rimOf(plan)
  const radii = Array.from({ length: SHARES }, (_, s) => leastCircle(bentPlaces(plan, { headingRad: 0, share: s / (SHARES - 1) }, rim)).r)
  const diameterMm = 2 * Math.min(...radii)
  known.set(plan, diameterMm)
  return { diameterMm }
}
