import type { Ticket } from '../model/index.ts'

export type Urgency = 'overdue' | 'today' | 'waiting'

/** The day the ticket is promised for: as promised, else the day the gear is needed. */
export const promisedOn = (ticket: Pick<Ticket, 'promisedOn' | 'neededOn'>): string | null => ticket.promisedOn ?? ticket.neededOn

/** Where a ticket stands in the day: past its promised day, due today or opened today, else waiting. */
export function urgencyOf(ticket: Pick<Ticket, 'promisedOn' | 'neededOn' | 'createdAt'>, today: string): Urgency {
  const due = promisedOn(ticket)
  if (due !== null && due < today) return 'overdue'
  if (due === today) return 'today'
  return 'waiting'
}
