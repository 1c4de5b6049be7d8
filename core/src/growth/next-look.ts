import { addDays, addMonths, format, parseISO } from 'date-fns'
import { ageInMonths, stillGrows } from '../reference/index.ts'

/** A puppy of under six months is looked at every two to four weeks, then monthly until it is grown. Source: handbook 4.8, common practice (team knowledge). */
const PUPPY_MONTHS = 6
const PUPPY_DAYS = 21

/** The day a growing dog is looked at again; `null` for a grown one, or where its age is not known. */
export function nextLook(dog: Parameters<typeof stillGrows>[0], on: string): string | null {
  if (!dog || !stillGrows(dog, on)) return null
  const months = ageInMonths(dog, on)
  const day = parseISO(on)
  return format(months !== null && months < PUPPY_MONTHS ? addDays(day, PUPPY_DAYS) : addMonths(day, 1), 'yyyy-MM-dd')
}
