import { askNumbers } from '../units/index.ts'

interface Sides {
  left: number
  right: number
}

export interface PairQuestion {
  pullN: number
  /** Arms of the evener, and how far its pin lies behind the line of its eyes. */
  armsMm: Sides
  pinMm: number
  /** How far the left dog is ahead. */
  leadMm: number
  /** What the pole weighs on the yoke, and the yoke’s arms. */
  poleN: number
  yokeMm: Sides
  /** How high each dog carries it. */
  heightsMm: Sides
}

export interface PairPull {
  leftN: number
  rightN: number
  /** Plus where the left dog is ahead; other than in `traceBalance`. */
  skewRad: number
  yokeLeftN: number
  yokeRightN: number
  /** Plus where the left is higher. */
  tiltRad: number
}

/**
 * How a pair shares its pull behind an evener, and a pole on a yoke.
 *
 * @throws RangeError for a number that is none, arms without length, or dogs further apart than the arms reach
 * Source: statics of levers
 */
export function pairPull({ pullN, armsMm, pinMm, leadMm, poleN, yokeMm, heightsMm }: PairQuestion): PairPull {
  askNumbers({ pullN, poleN }, 0)
  askNumbers({ 'armsMm.left': armsMm.left, 'armsMm.right': armsMm.right, 'yokeMm.left': yokeMm.left, 'yokeMm.right': yokeMm.right }, 1)
  askNumbers({ pinMm, leadMm, 'heightsMm.left': heightsMm.left, 'heightsMm.right': heightsMm.right })
  const sine = leadMm / (armsMm.left + armsMm.right)
  const tilt = (heightsMm.left - heightsMm.right) / (yokeMm.left + yokeMm.right)
  if (Math.abs(sine) >= 1) throw new RangeError('leadMm: further than the evener reaches')
  if (Math.abs(tilt) >= 1) throw new RangeError('heightsMm: further apart than the yoke reaches')
  const skewRad = Math.asin(sine)
  const [left, right] = [armsMm.left * Math.cos(skewRad) + pinMm * sine, armsMm.right * Math.cos(skewRad) - pinMm * sine]
  if (left <= 0 || right <= 0) throw new RangeError('leadMm: the evener turns over')
  const yoke = yokeMm.left + yokeMm.right
  return {
    leftN: (pullN * right) / (left + right),
    rightN: (pullN * left) / (left + right),
    skewRad,
    yokeLeftN: (poleN * yokeMm.right) / yoke,
    yokeRightN: (poleN * yokeMm.left) / yoke,
    tiltRad: Math.asin(tilt),
  }
}

/**
 * Where the pin of an evener goes so that the left dog has its share: the left arm, mm.
 *
 * @throws RangeError for a bar without length, or a share outside nothing to one
 */
export function pinFor({ acrossMm, leftShare }: { acrossMm: number; leftShare: number }): number {
  askNumbers({ acrossMm }, 1)
  if (!(leftShare >= 0 && leftShare <= 1)) throw new RangeError('leftShare: between 0 and 1')
  return acrossMm * (1 - leftShare)
}
