import type { Mark } from './mark.schema.ts'
import { resource } from './resource.ts'

export type { Mark, MarkedKind, NewMark } from './mark.schema.ts'

export const marks = resource<Mark>({
  name: 'mark',
  table: 'marks',
  address: '/tickets/:ticketId/marks',
  within: { ticketId: 'ticket_id' },
  tags: ['Tickets', 'Dogs', 'Bookings'],
  fact: true,
  columns: { id: 'id', what: 'what', about: 'about', kind: 'kind', why: 'why', at: 'at', by: 'by_whom' },
})
