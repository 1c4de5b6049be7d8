import type { Sex } from '../model/index.ts'
import { pointOn, type Point3 } from './point-on.ts'
import type { Shape } from './shape.ts'
import { sectionAt } from './skin.ts'
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

/** Height of the point of shoulder: a little under the breastbone's top. Ours. */
export const shoulderHeight = ({ k, stations }: Shape): number => stations.withers.uz - 0.02 * k.depth

/** Where between withers and shoulder the point of shoulder lies. Ours. */
const SHOULDER_CUT = 3.27

/** The point of shoulder: on the skin, at its height. */
export function shoulderPoint(shape: Shape): Point3 {
  const section = sectionAt(shape.skin, SHOULDER_CUT)
  const z = shoulderHeight(shape)
  let [low, high] = [-Math.PI / 2, 0]
  for (let turn = 0; turn < 40; turn++) {
    const middle = (low + high) / 2
    if (pointOn(section, middle)[2] < z) low = middle
    else high = middle
  }
  return pointOn(section, low)
}
export const elbowPoint = (shape: Shape): Point3 => {
  const { k } = shape
  const W = k.depth * k.width
  return [-k.elbowBack, Math.max(W / 2, (k.stance * W) / 2 + 0.4 * k.forearm * W), k.elbow]
}
/** How far ahead of the withers the standards' square touches the forechest, of the breastbone's reach: bone, under the skin's point. Ours. */
const FORECHEST = 0.82

/** Front of body, breed standards' way: forechest at the point of shoulder to point of buttock. */
export const bodyLength = ({ k }: Shape): number => k.ahead * FORECHEST + 0.02 + 1.025
