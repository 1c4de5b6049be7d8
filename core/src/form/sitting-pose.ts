import { bonesOf } from './bones.ts'
import type { Flat } from './hull.ts'
import { skullTop } from './places.ts'
import type { Shape } from './shape.ts'

/** How high over the floor the hip comes to rest, share of the height; the neck keeps this share of the trunk's tip. Ours. */
const SEAT = 0.24
const NECK_KEEPS = 0.15
const MOST_TIP = 1.1

/** The trunk tipped about the elbow until the hips are near the floor, in back lengths. */
export interface SittingPose {
  pivot: Flat
  /** Radians the trunk is tipped up. */
  tip: number
  neckTip: number
  seat: Flat
  withers: Flat
  /** Topline of the throat; the head is carried level on it. */
  throat: Flat
  /** Top of the skull over the floor: M41. */
  top: number
}

export const turnedAbout = ([x, z]: Flat, about: Flat, by: number): Flat => {
  const [c, s] = [Math.cos(by), Math.sin(by)]
  return [about[0] + (x - about[0]) * c - (z - about[1]) * s, about[1] + (x - about[0]) * s + (z - about[1]) * c]
}

/** How far a point is tipped about a pivot until it is down at a height: the first angle, at most `MOST_TIP`. */
function tipTo([x, z]: Flat, pivot: Flat, low: number): number {
  if (z <= low) return 0
  // z(t) = pz + r sin(t + a): it falls from where it stands to its lowest at t + a = 3 pi / 2.
  const [dx, dz] = [x - pivot[0], z - pivot[1]]
  const r = Math.hypot(dx, dz) || 1
  const a = Math.atan2(dz, dx)
  const sine = Math.max(-1, (low - pivot[1]) / r)
  return Math.min(MOST_TIP, Math.max(0, Math.PI - Math.asin(Math.min(1, sine)) - a))
}

/**
 * How a dog sits: the one path the sitting height is read along and the sitting dog is drawn by. `sit` lifts or lowers
 * the skull against what the skeleton gives.
 */
export function sittingPose(shape: Shape): SittingPose {
  const { elbow, hip, thick } = bonesOf(shape)
  const { stations: s, k } = shape
  const H = s.withers.tz
  const pivot: Flat = [elbow[0] + 0.4 * thick, elbow[1] + 0.08]
  const tip = tipTo(hip, pivot, SEAT * Math.min(H, 0.6 + 0.4 * H))
  const neckTip = tip * NECK_KEEPS
  const withers = turnedAbout([0, H], pivot, tip)
  const carried = turnedAbout([s.throat.tx, s.throat.tz], [0, H], neckTip)
  const bare = carried[1] + withers[1] - H
  const rise = skullTop(shape) - s.throat.tz
  const top = k.sit * (bare + rise)
  return { pivot, tip, neckTip, seat: turnedAbout(hip, pivot, tip), withers, throat: [carried[0] + withers[0], top - rise], top }
}
