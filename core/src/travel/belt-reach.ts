import { askNumbers } from '../units/index.ts'
import type { Grade } from '../model/index.ts'

type Point = readonly [x: number, y: number, z: number]

export interface BeltQuestion {
  /** Where the belt comes out, where it is buckled, where the harness’s loop stands, mm in the car. */
  outlet: Point
  buckle: Point
  loop: Point
  slackMm: number
  /** Which way the dog is thrown, of any length. */
  toward: Point
}

export interface BeltReach {
  /** The belt taut through the loop, without the slack. */
  beltMm: number
  /** How far the loop can go past where it stands. */
  forwardMm: number
  /** Pull in each half per newton of load there. */
  tensionPerLoad: number
}

const minus = (a: Point, b: Point): Point => [a[0] - b[0], a[1] - b[1], a[2] - b[2]]
const plus = (a: Point, b: Point, by = 1): Point => [a[0] + by * b[0], a[1] + by * b[1], a[2] + by * b[2]]
const dot = (a: Point, b: Point): number => a[0] * b[0] + a[1] * b[1] + a[2] * b[2]
const long = (a: Point): number => Math.hypot(...a)

/**
 * How far a loop on a belt can be thrown: outlet and buckle are the foci of an ellipsoid of the belt’s length.
 *
 * @throws RangeError for a number that is none, a direction of no length, or a belt of none
 * Source: geometry of a string; checked against random points in `core/check`
 */
export function beltReach({ outlet, buckle, loop, slackMm, toward }: BeltQuestion): BeltReach {
  for (const [name, p] of Object.entries({ outlet, buckle, loop, toward })) if (!p.every(Number.isFinite)) throw new RangeError(`${name}: no place`)
  askNumbers({ slackMm }, 0)
  if (long(toward) === 0) throw new RangeError('toward: no direction')
  const n = plus([0, 0, 0], toward, 1 / long(toward))
  const beltMm = long(minus(outlet, loop)) + long(minus(loop, buckle))
  if (beltMm === 0) throw new RangeError('loop: the belt has no length')
  const between = minus(buckle, outlet)
  const [a, f] = [(beltMm + slackMm) / 2, long(between) / 2]
  const b2 = Math.max(0, a * a - f * f)
  const centre = plus(outlet, between, 0.5)
  const e: Point = f > 0 ? plus([0, 0, 0], between, 1 / (2 * f)) : n
  const along = dot(n, e)
  const far = Math.sqrt(a * a * along * along + b2 * (1 - along * along))
  const forwardMm = dot(centre, n) + far - dot(loop, n)
  const across = plus(n, e, -along)
  const at: Point = far > 0 ? plus(plus(centre, e, (a * a * along) / far), across, b2 / far) : centre
  const back = (anchor: Point): number => {
    const to = minus(anchor, at)
    return long(to) > 0 ? -dot(to, n) / long(to) : 0
  }
  const held = back(outlet) + back(buckle)
  return { beltMm, forwardMm, tensionPerLoad: held > 1e-9 ? 1 / held : Number.POSITIVE_INFINITY }
}

export interface SeatQuestion {
  /** From the loop to the nose with the neck stretched. */
  headMm: number
  halfWidthMm: number
  /** How far the loop goes forward on the belt, calm; how far the dog travels in a crash. */
  forwardMm: number
  travelMm: number
  /** From the loop to the nearest of the front seat. */
  frontSeatMm: number
}

export interface SeatReach {
  calmMm: number
  crashMm: readonly [least: number, most: number]
  calm: Exclude<Grade, 'none'>
  crash: Exclude<Grade, 'none'>
}

/** So near it may touch. Ours. */
const NEAR_MM = 20

/**
 * Whether a dog’s head reaches the front seat (S49): calm with its neck stretched, in a crash side or head first.
 *
 * @throws RangeError for a number that is none, or below nothing
 */
export function seatReach({ headMm, halfWidthMm, forwardMm, travelMm, frontSeatMm }: SeatQuestion): SeatReach {
  askNumbers({ headMm, halfWidthMm, forwardMm, travelMm, frontSeatMm }, 0)
  const calmMm = forwardMm + headMm
  const crashMm = [travelMm + Math.min(halfWidthMm, headMm), travelMm + Math.max(halfWidthMm, headMm)] as const
  return {
    calmMm,
    crashMm,
    calm: calmMm >= frontSeatMm ? 'fails' : calmMm > frontSeatMm - NEAR_MM ? 'doubt' : 'holds',
    crash: crashMm[0] >= frontSeatMm ? 'fails' : crashMm[1] >= frontSeatMm ? 'doubt' : 'holds',
  }
}
