import { askNumbers, GRAVITY } from '../units/index.ts'

export interface TurnQuestion {
  wheels: 2 | 4
  trackMm: number
  /** A wagon’s axles apart, and how far its front axle turns. */
  wheelbaseMm?: number
  lockRad?: number
  /** Loop and nose ahead of the axle, a wagon’s of its front axle. */
  loopAheadMm: number
  noseAheadMm: number
  /** Half the dog’s width. */
  dogHalfMm: number
  /** The tailboard behind the (rear) axle. */
  tailMm: number
  /** How far the dog can go across its shafts. */
  crabRad?: number
}

export interface Turn {
  /** Middle of the (rear) axle. */
  radiusMm: number
  insideMm: number
  outsideMm: number
  laneMm: number
}

/** A dog goes so far across between its shafts. Ours, unverified. */
const CRAB_RAD = (20 * Math.PI) / 180

/**
 * The tightest turn and the lane it takes.
 *
 * @throws RangeError for a number that is none or no length, or a wagon without wheelbase and lock
 */
export function turnOf({ wheels, trackMm, wheelbaseMm, lockRad, loopAheadMm, noseAheadMm, dogHalfMm, tailMm, crabRad = CRAB_RAD }: TurnQuestion): Turn {
  askNumbers({ trackMm, loopAheadMm, noseAheadMm }, 1)
  askNumbers({ dogHalfMm, tailMm }, 0)
  if (!(crabRad > 0 && crabRad < Math.PI / 2)) throw new RangeError('crabRad: between nothing and a right angle')
  const byDog = loopAheadMm / Math.tan(crabRad)
  if (wheels === 2) {
    const radiusMm = Math.max(byDog, trackMm / 2)
    return laneOf(radiusMm, trackMm, Math.max(Math.hypot(radiusMm + trackMm / 2, tailMm), Math.hypot(radiusMm + dogHalfMm, noseAheadMm)))
  }
  if (wheelbaseMm === undefined || lockRad === undefined) throw new RangeError('wheelbaseMm, lockRad: a wagon has both')
  askNumbers({ wheelbaseMm }, 1)
  if (!(lockRad > 0 && lockRad < Math.PI / 2)) throw new RangeError('lockRad: between nothing and a right angle')
  const frontMm = Math.max(wheelbaseMm / Math.sin(lockRad), byDog)
  const radiusMm = Math.sqrt(frontMm ** 2 - wheelbaseMm ** 2)
  return laneOf(radiusMm, trackMm, Math.max(Math.hypot(radiusMm + trackMm / 2, tailMm), frontMm + trackMm / 2, Math.hypot(frontMm + dogHalfMm, noseAheadMm)))
}

const laneOf = (radiusMm: number, trackMm: number, outsideMm: number): Turn => {
  const insideMm = radiusMm - trackMm / 2
  return { radiusMm, insideMm, outsideMm, laneMm: outsideMm - insideMm }
}

/**
 * When a cart goes over sideways: the side slope, and the speed in a turn on the level.
 *
 * @param heightMm of everything’s middle of mass above the ground
 * @throws RangeError for a number that is none, or no length
 */
export function tipsAt({ trackMm, heightMm, radiusMm }: { trackMm: number; heightMm: number; radiusMm: number }): { sidePercent: number; speedMps: number } {
  askNumbers({ trackMm, heightMm, radiusMm }, 1)
  const lean = trackMm / (2 * heightMm)
  return { sidePercent: 100 * lean, speedMps: Math.sqrt(GRAVITY * (radiusMm / 1000) * lean) }
}
