import { askNumbers } from '../units/index.ts'

/** So much warmer than the air a parked car gets, and how fast. From memory, unverified. */
const WARMER_C = 22
const SLOW = 5
const PER_MINUTES = 30

/**
 * Inside a car parked in the sun. Never a time that is safe: there is none.
 *
 * @throws RangeError for a number that is none, or minutes below nothing
 */
export function parkedCarC({ airC, minutes }: { airC: number; minutes: number }): number {
  askNumbers({ airC })
  askNumbers({ minutes }, 0)
  return airC + WARMER_C * (1 - SLOW ** (-minutes / PER_MINUTES))
}
