import { dayOf, type Reading } from '../model/index.ts'
import type { AgreeRules } from './agree.ts'
import { bodyOf, type AgreedBody } from './body-of.ts'

/** One day of measuring: what was read, and the body as it was known that day. */
export interface Visit<T = unknown> {
  on: string
  tickets: T[]
  /** Agreed from this day's readings alone. */
  read: AgreedBody
  /** Each measure's newest value up to this day. */
  known: AgreedBody
}

/** The same reading on two tickets, taken over from one to the other, is one. */
export function distinctReadings(readings: readonly Reading[]): Reading[] {
  const seen = new Set<string>()
  return readings.filter(({ measure, place, takenAt, mm, side }) => {
    const key = `${measure}/${place ?? ''}/${takenAt}/${mm}/${side}`
    return !seen.has(key) && seen.add(key)
  })
}

/** The days on which a dog was measured, oldest first. */
export function visitsOf<T extends { readings: readonly Reading[] }>(tickets: readonly T[], rules: AgreeRules): Visit<T>[] {
  const byDay = new Map<string, { readings: Reading[]; tickets: Set<T> }>()
  for (const sheet of tickets) {
    for (const reading of sheet.readings) {
      const on = dayOf(reading.on, reading.takenAt)
      const day = byDay.get(on) ?? { readings: [], tickets: new Set() }
      day.readings.push(reading)
      day.tickets.add(sheet)
      byDay.set(on, day)
    }
  }
  let known: AgreedBody = {}
  return [...byDay]
    .filter(([, day]) => day.readings.some((reading) => !reading.struck))
    .sort(([a], [b]) => a.localeCompare(b))
    .map(([on, day]) => {
      const read = bodyOf(distinctReadings(day.readings), rules)
      known = { ...known, ...read }
      return { on, read, known, tickets: [...day.tickets] }
    })
}
