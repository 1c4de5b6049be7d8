import { differenceInMonths, isValid, parseISO } from 'date-fns'
import type { Dog } from '../model/index.ts'

/**
 * Age in whole months on a day, from the birth date or from an age once said; `null` when neither is known.
 *
 * @param on `YYYY-MM-DD` or a date and time
 */
export function ageInMonths(dog: Pick<Dog, 'born' | 'ageMonths' | 'ageSaidOn'>, on: string): number | null {
  const day = parseISO(on.slice(0, 10))
  if (dog.born) {
    const months = differenceInMonths(day, parseISO(dog.born))
    return isValid(day) && months >= 0 ? months : null
  }
  if (dog.ageMonths === null) return null
  const since = dog.ageSaidOn ? differenceInMonths(day, parseISO(dog.ageSaidOn)) : 0
  return dog.ageMonths + Math.max(0, since)
}
