/** A point of a flat piece, mm: x along, y across. */
export type PatternPoint = readonly [x: number, y: number]
/** A point of cloth as it is worn, mm. */
export type ClothPoint = readonly [x: number, y: number, z: number]

export const flatDistance = (a: PatternPoint, b: PatternPoint): number => Math.hypot(b[0] - a[0], b[1] - a[1])

/** Length of a line through flat points, mm. */
export function flatLength(points: readonly PatternPoint[]): number {
  let sum = 0
  for (let i = 1; i < points.length; i++) sum += flatDistance(points[i - 1] as PatternPoint, points[i] as PatternPoint)
  return sum
}

/** Signed area inside a closed outline, mm2: plus where it runs against the clock. */
export function flatArea(outline: readonly PatternPoint[]): number {
  let sum = 0
  for (let i = 0; i < outline.length; i++) {
    const [a, b] = [outline[i] as PatternPoint, outline[(i + 1) % outline.length] as PatternPoint]
    sum += a[0] * b[1] - b[0] * a[1]
  }
  return sum / 2
}

/** The place at a share of a line's length, from 0 to 1. */
export function flatAlong(points: readonly PatternPoint[], share: number): PatternPoint {
  const [first, last] = [points[0], points.at(-1)]
  if (!first || !last) throw new RangeError('a line of no points has no places')
  let left = Math.min(1, Math.max(0, share)) * flatLength(points)
  for (let i = 1; i < points.length; i++) {
    const [a, b] = [points[i - 1] as PatternPoint, points[i] as PatternPoint]
    const long = flatDistance(a, b)
    if (left <= long && long > 0) return [a[0] + ((b[0] - a[0]) * left) / long, a[1] + ((b[1] - a[1]) * left) / long]
    left -= long
  }
  return last
}

export interface FlatBox {
  minX: number
  minY: number
  maxX: number
  maxY: number
}

/** The upright box round flat points, mm. */
export function flatBox(points: readonly PatternPoint[]): FlatBox {
  let [minX, minY, maxX, maxY] = [Infinity, Infinity, -Infinity, -Infinity]
  for (const [x, y] of points) {
    minX = Math.min(minX, x)
    minY = Math.min(minY, y)
    maxX = Math.max(maxX, x)
    maxY = Math.max(maxY, y)
  }
  return { minX, minY, maxX, maxY }
}

/** The middle of what an outline encloses. */
export function flatMiddle(outline: readonly PatternPoint[]): PatternPoint {
  let [area, x, y] = [0, 0, 0]
  outline.forEach((a, i) => {
    const b = outline[(i + 1) % outline.length] as PatternPoint
    const cross = a[0] * b[1] - b[0] * a[1]
    area += cross
    x += (a[0] + b[0]) * cross
    y += (a[1] + b[1]) * cross
  })
  return [x / (3 * area || 1), y / (3 * area || 1)]
}

/** How far a place lies from a closed outline, mm. */
export const flatAway = (p: PatternPoint, outline: readonly PatternPoint[]): number =>
  outline.reduce((best, a, i) => {
    const b = outline[(i + 1) % outline.length] as PatternPoint
    const [dx, dy] = [b[0] - a[0], b[1] - a[1]]
    const t = Math.min(1, Math.max(0, ((p[0] - a[0]) * dx + (p[1] - a[1]) * dy) / (dx * dx + dy * dy || 1)))
    return Math.min(best, Math.hypot(p[0] - a[0] - t * dx, p[1] - a[1] - t * dy))
  }, Infinity)
