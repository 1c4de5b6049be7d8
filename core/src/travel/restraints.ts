import { askNumbers, GRAVITY } from '../units/index.ts'
import { pulseOf, type PulseQuestion } from './pulse.ts'

export interface Restraint {
  way: 'harness' | 'crate-lashed' | 'crate-behind-seat' | 'barrier' | 'loose'
  /** What has to be held in this stop, mean over it, N. */
  forceN: number
  /** Why, as codes. */
  reasons: (
    | 'held-at-the-body'
    | 'slack-out'
    | 'rear-seat'
    | 'lash-by-strength'
    | 'against-the-seat'
    | 'room-to-fly'
    | 'keeps-out-of-the-front'
    | 'hits-people'
    | 'hurts-itself'
  )[]
}

/**
 * Ways to hold a dog in a car beside each other, the force that each has to hold in one stop; local law decides which is
 * allowed. For comparison only.
 *
 * @param car how it stops
 * @throws RangeError for a mass below nothing, or a stop that is none
 */
export function restraintsFor({ dogKg, crateKg, car }: { dogKg: number; crateKg: number; car: PulseQuestion }): Restraint[] {
  askNumbers({ dogKg }, 1e-9)
  askNumbers({ crateKg }, 0)
  const { meanG } = pulseOf(car)
  const force = (kg: number): number => kg * meanG * GRAVITY
  return [
    { way: 'crate-lashed', forceN: force(dogKg + crateKg), reasons: ['lash-by-strength'] },
    { way: 'crate-behind-seat', forceN: force(dogKg + crateKg), reasons: ['against-the-seat'] },
    { way: 'harness', forceN: force(dogKg), reasons: ['held-at-the-body', 'slack-out', 'rear-seat'] },
    { way: 'barrier', forceN: force(dogKg), reasons: ['keeps-out-of-the-front', 'room-to-fly'] },
    { way: 'loose', forceN: force(dogKg), reasons: ['hits-people', 'hurts-itself'] },
  ]
}
