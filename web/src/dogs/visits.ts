import { bodyOf, type AgreedBody, type AgreeRules, type TicketSheet } from '@merry-tailor/core'

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
  const readings = tickets.flatMap((sheet) => sheet.readings)
  const days = [...new Set(readings.filter((reading) => !reading.struck).map((reading) => reading.takenAt.slice(0, 10)))].sort()
  let known: AgreedBody = {}
  return days.map((on) => {
    const read = bodyOf(
      readings.filter((reading) => reading.takenAt.startsWith(on)),
      rules,
    )
    known = { ...known, ...read }
    return { on, read, known, tickets: tickets.filter((sheet) => sheet.readings.some((reading) => reading.takenAt.startsWith(on))) }
  })
}
