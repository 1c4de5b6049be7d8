import { bodyOf, type AgreedBody, type AgreeRules, type Reading, type TicketSheet } from '@merry-tailor/core'

/** One day of measuring: what was read, and the body as it was known that day. */
export interface Visit {
  on: string
  tickets: TicketSheet[]
  /** Agreed from this day's readings alone. */
  read: AgreedBody
  /** Each measure's newest value up to this day. */
  known: AgreedBody
}

/** The days on which a dog was measured, oldest first. */
export function visitsOf(tickets: readonly TicketSheet[], rules: AgreeRules): Visit[] {
  const byDay = new Map<string, { readings: Reading[]; tickets: Set<TicketSheet> }>()
  for (const sheet of tickets) {
    for (const reading of sheet.readings) {
      const on = reading.takenAt.slice(0, 10)
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
      const read = bodyOf(day.readings, rules)
      known = { ...known, ...read }
      return { on, read, known, tickets: [...day.tickets] }
    })
}
