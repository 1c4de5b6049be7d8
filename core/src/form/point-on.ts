import type { Station } from './stations.ts'

/** x forward, y to the dog's left, z up; back lengths. */
export type Point3 = readonly [x: number, y: number, z: number]

/** A point of the skin and how it moves with its angle on the cut. */
export interface Node {
  point: [number, number, number]
  /** First derivative by the angle. */
  dx: number
  dy: number
  dz: number
}

/** The point of a cut at an angle, and its slope by that angle. */
export function node(cut: Station, angle: number, out: Node): Node {
  const [c, s] = [Math.cos(angle), Math.sin(angle)]
  const [ac, as] = [Math.abs(c), Math.abs(s)]
  const p = cut.p
  const [cp, sp] = [ac ** (p - 1), as ** (p - 1)]
  const sum = cp * ac + sp * as
  const r = sum ** (-1 / p)
  const dr = (-r * (sp * c * Math.sign(s) - cp * s * Math.sign(c))) / sum
  const [ux, uz] = [cut.tx - cut.ux, cut.tz - cut.uz]
  const share = s >= 0 ? 1 - cut.v : cut.v
  const y = cut.w * r * c
  const up = share * r * s
  out.point[0] = cut.ux + (cut.v + up) * ux
  out.point[1] = y
  out.point[2] = cut.uz + (cut.v + up) * uz
  const dUp = share * (dr * s + r * c)
  out.dx = dUp * ux
  out.dy = cut.w * (dr * c - r * s)
  out.dz = dUp * uz
  return out
}

export const emptyNode = (): Node => ({ point: [0, 0, 0], dx: 0, dy: 0, dz: 0 })

/** The point of a cut at an angle. */
export const pointOn = (cut: Station, angle: number): Point3 => node(cut, angle, emptyNode()).point

/** Share of the way from a cut's underline to its topline. */
export function heightShare(cut: Station, at: Point3): number {
  const [ux, uz] = [cut.tx - cut.ux, cut.tz - cut.uz]
  return ((at[0] - cut.ux) * ux + (at[2] - cut.uz) * uz) / (ux * ux + uz * uz || 1e-9)
}

export function distance(a: Point3, b: Point3): number {
  const [x, y, z] = [b[0] - a[0], b[1] - a[1], b[2] - a[2]]
  return Math.sqrt(x * x + y * y + z * z)
}

/** Length of the straight stretches between points. */
export function lengthAlong(points: readonly Point3[]): number {
  let sum = 0
  for (let i = 1; i < points.length; i++) sum += distance(points[i - 1] as Point3, points[i] as Point3)
  return sum
}
