import type { TicketSheet } from '../model/index.ts'
import type { Caution, CautionSubject } from './caution.ts'
import { cautionsFor } from './cautions.ts'

type Ticketed = Pick<TicketSheet, 'dog' | 'items'> & { ticket: Pick<TicketSheet['ticket'], 'activities'> & Partial<TicketSheet['ticket']> } & Partial<
    Pick<TicketSheet, 'dogNotes'>
  >

/** What a ticket's cautions are asked about: its dog, work, open items, notes and the air of the day. */
export const cautionSubject = ({ ticket, dog, items, dogNotes = [] }: Ticketed, on: string): CautionSubject => ({
  dog,
  activities: ticket.activities,
  families: items.filter((item) => !item.removed).map((item) => item.family),
  on,
  airC: ticket.airC ?? null,
  humidity: ticket.humidity ?? null,
  openNotes: dogNotes.filter((note) => note.over === null).map((note) => note.kind),
  pulls: ticket.pulls ?? null,
  rides: ticket.needs?.includes('ride') ?? false,
  flies: ticket.needs?.includes('fly') ?? false,
})

/** The cautions of a whole ticket. */
export const cautionsOf = (sheet: Ticketed, on: string): Caution[] => cautionsFor(cautionSubject(sheet, on))
