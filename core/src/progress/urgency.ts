import type { Ticket } from '../model/index.ts'

export type Urgency = 'overdue' | 'today' | 'waiting'

/** Where a ticket stands in the day: past its promised day, due today or opened today, else waiting. */
export function urgencyOf(ticket: Pick<Ticket, 'promisedOn' | 'neededOn' | 'createdAt'>, today: string): Urgency {
  const due = ticket.promisedOn ?? ticket.neededOn
  if (due !== null && due < today) return 'overdue'
  if (due === today) return 'today'
  return 'waiting'
}
