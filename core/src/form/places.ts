import type { Sex } from '../model/index.ts'
import type { Point3 } from './point-on.ts'
import type { Shape } from './shape.ts'
import { between, type Station } from './stations.ts'
import { ring } from './superellipse.ts'

export const height = (s: Station): number => Math.sqrt((s.tx - s.ux) ** 2 + (s.tz - s.uz) ** 2)

/** Ring of a section over the coat. */
export function ringOf(shape: Shape, s: Station): number {
  const h = height(s)
  return ring(s.w, h * (1 - s.v), h * s.v, s.p) + 2 * Math.PI * shape.k.coat
}

/** Sections among which the largest girth is sought. */
function girths(shape: Shape): Station[] {
  const { girth, sternumEnd, lastRib } = shape.stations
  return [girth, between(girth, sternumEnd, 0.5), sternumEnd, between(sternumEnd, lastRib, 0.5), lastRib]
}

export function largestGirth(shape: Shape): Station {
  let [best, most] = [shape.stations.girth, 0]
  for (const section of girths(shape)) {
    const around = ringOf(shape, section)
    if (around > most) [best, most] = [section, around]
  }
  return best
}

/** Where a belly band ends: well ahead of a male's sheath, further back on a female (handbook M21, V38). */
export const bandOf = (shape: Shape): Station => between(shape.stations.lastRib, shape.stations.waist, shape.sex === 'female' ? 0.75 : 0.5)
/** Front of the sheath, back lengths behind the withers; hem of a sweater by sex (handbook M24, V35). Ours. */
export const SHEATH_X = -0.72
export const bellyHem = (sex: Sex | null): number => (sex === 'female' ? -0.8 : -0.655)

export const skullTop = (shape: Shape): number => Math.max(shape.stations.skull.tz, shape.stations.throat.tz)

/** Height of the ear's tip over the skull, back lengths; drop ears add nothing. */
export const earRise = (shape: Shape): number => (shape.ears === 'erect' ? shape.k.ear * shape.k.head * 0.92 : 0)

/** The root of the ear's rear edge: behind and below the top of the skull. */
export function earBase(shape: Shape): Point3 {
  const { skull, throat } = shape.stations
  const s = between(throat, skull, 0.45)
  const down = 0.3
  return [s.tx + (s.ux - s.tx) * down, s.w * 0.85, s.tz + (s.uz - s.tz) * down]
}

export const shoulderPoint = (shape: Shape): Point3 => {
  const { k, stations } = shape
  return [k.ahead * 0.82, k.shoulder * k.depth * k.width * 0.42, stations.withers.uz - 0.02 * k.depth]
}
export const elbowPoint = (shape: Shape): Point3 => {
  const { k } = shape
  const W = k.depth * k.width
  return [-k.elbowBack, Math.max(W / 2, (k.stance * W) / 2 + 0.4 * k.forearm * W), k.elbow]
}
/** Front of body, breed standards' way: point of shoulder to point of buttock. */
export const bodyLength = (shape: Shape): number => shoulderPoint(shape)[0] + 0.02 + 1.025
