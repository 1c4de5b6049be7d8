import { differenceInCalendarDays, parseISO } from 'date-fns'
import { bodyOf, newestWeightKg, readingsByTape, toleranceMm, visitsOf, type AgreeRules } from '../measures/index.ts'
import { dayOf, type Dog, type DogNote, type FamilyId, type Reading, type Weighing } from '../model/index.ts'
import { stillGrows } from '../reference/index.ts'
import { measureAgain } from './measure-again.ts'

/** Older than this a tape is laid on again, days. Ours, unverified. */
const MOST_DAYS = 183

export interface TakeOverQuestion {
  dog: Dog
  /** Earlier tickets of this dog. */
  earlier: readonly { readings: readonly Reading[] }[]
  notes: readonly Pick<DogNote, 'kind' | 'on' | 'over'>[]
  weighings: readonly Weighing[]
  /** What was read on this ticket. */
  readings: readonly Reading[]
  /** The tapes of this ticket: measure, or measure and place. */
  wanted: readonly string[]
  /** What the tapes are for. */
  worn: readonly FamilyId[]
  /** `YYYY-MM-DD` */
  on: string
  rules: AgreeRules
}

/** Tapes of an earlier day that may stand for today's, once one of them was checked. */
export interface TakeOver {
  /** The day they were taken. */
  on: string
  by: string
  /** The tapes that can be taken over. */
  tapes: string[]
  /** Their readings, as they were. */
  readings: Reading[]
  /** What the check says: none yet, one that reads as then, or one that does not, whole values in mm. */
  check: { state: 'wanted' } | { state: 'holds' | 'differs'; tape: string; mm: number; thenMm: number }
}

/**
 * Which tapes of the last measuring are still in date and can be taken over, once one tape laid on again reads the same:
 * a grown dog, no older than half a year, and nothing of handbook 4.8 in between that asks for measuring anew.
 *
 * @returns `null` where nothing can be taken over
 * Source: handbook 4.8; that one check reading is enough is ours, unverified.
 */
export function takeOver({ dog, earlier, notes, weighings, readings, wanted, worn, on, rules }: TakeOverQuestion): TakeOver | null {
  const last = visitsOf(earlier, rules).findLast((visit) => visit.on <= on && wanted.some((key) => visit.read[key]?.mm != null))
  if (!last || stillGrows(dog, on) || differenceInCalendarDays(parseISO(on), parseISO(last.on)) > MOST_DAYS) return null
  const taken = earlier.flatMap((ticket) => ticket.readings)
  const upTo = (day: string): Pick<Parameters<typeof newestWeightKg>[0], 'readings' | 'weighings'> => ({
    readings: taken.filter((reading) => dayOf(reading.on, reading.takenAt) <= day),
    weighings: weighings.filter((weighing) => weighing.on <= day),
  })
  const reasons = measureAgain(
    {
      ...dog,
      measuredOn: last.on,
      weightThenKg: newestWeightKg({ dog: null, ...upTo(last.on) }),
      weightNowKg: newestWeightKg({ dog, readings: [...taken, ...readings], weighings }),
      notes: [...notes],
      symptoms: [],
      worn: [...worn],
      measuredFor: { activities: [], schools: [], makers: [] },
      askedSince: { activities: [], schools: [], makers: [] },
    },
    on,
  )
  if (reasons.length > 0) return null
  const then = readingsByTape(taken.filter((reading) => !reading.struck && dayOf(reading.on, reading.takenAt) === last.on))
  const now = bodyOf(readings, rules)
  const byTape = readingsByTape(readings.filter((reading) => !reading.struck))
  const agreed = (key: string): boolean => last.read[key]?.state === 'agrees'
  const tapes = wanted.filter((key) => agreed(key) && byTape[key] === undefined)
  // What was taken over already is no check of itself.
  const fresh = (key: string): boolean =>
    (byTape[key] ?? []).some((reading) => !(then[key] ?? []).some((old) => old.takenAt === reading.takenAt && old.mm === reading.mm))
  const checks = wanted.filter((key) => agreed(key) && key !== 'M00' && fresh(key))
  if (tapes.length === 0) return null
  const compared = checks.map((key) => {
    const [mm, thenMm] = [now[key]?.mm ?? 0, last.read[key]?.mm ?? 0]
    return { tape: key, mm, thenMm, holds: Math.abs(mm - thenMm) <= toleranceMm(thenMm, rules, key) }
  })
  const worst = compared.find((each) => !each.holds) ?? compared[0]
  const kept = tapes.flatMap((key) => then[key] ?? [])
  return {
    on: last.on,
    by: kept.at(-1)?.by ?? '',
    tapes,
    readings: kept,
    check: worst ? { state: worst.holds ? 'holds' : 'differs', tape: worst.tape, mm: worst.mm, thenMm: worst.thenMm } : { state: 'wanted' },
  }
}
