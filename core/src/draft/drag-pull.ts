import { askNumbers, GRAVITY, slopeOf } from '../units/index.ts'

export interface DragQuestion {
  massKg: number
  /** Friction of runner or drag on the ground. */
  friction: number
  /** The line's rise towards the dog, radians. */
  lineRad: number
  gradePercent?: number
}

export interface DragPull {
  /** In the line, N; minus: it would slide down by itself. */
  pullN: number
  /** What the line lifts off the ground. */
  liftN: number
  /** The rise at which least is pulled, and how much that is. */
  bestRad: number
  leastN: number
}

/**
 * Pull in a line that drags a load: F = W (sin al + mu cos al) / (cos th + mu sin th), least where tan th = mu.
 *
 * @throws RangeError for a number that is none, a weight or friction below nothing, or a line that stands upright
 * Source: mechanics (facts 12)
 */
export function dragPull({ massKg, friction, lineRad, gradePercent = 0 }: DragQuestion): DragPull {
  askNumbers({ massKg, friction }, 0)
  askNumbers({ lineRad })
  if (Math.abs(lineRad) >= Math.PI / 2) throw new RangeError('lineRad: an upright line drags nothing')
  const { sin, cos } = slopeOf(gradePercent)
  const weightN = massKg * GRAVITY * (sin + friction * cos)
  const along = (rad: number): number => Math.cos(rad) + friction * Math.sin(rad)
  if (along(lineRad) <= 0) throw new RangeError('lineRad: so steep down a line only presses the load into the ground')
  const pullN = weightN / along(lineRad)
  const bestRad = Math.atan(friction)
  return { pullN, liftN: pullN * Math.sin(lineRad), bestRad, leastN: weightN / along(bestRad) }
}
