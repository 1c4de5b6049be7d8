import type { Hitch } from './hitch.schema.ts'
import { resource } from './resource.ts'

export type { Hitch, HitchPlace, NewHitch } from './hitch.schema.ts'

export const hitches = resource<Hitch>({
  name: 'hitch',
  table: 'hitches',
  address: '/tickets/:ticketId/hitches',
  within: { ticketId: 'ticket_id' },
  tags: ['Tickets', 'Dogs'],
  fact: true,
  columns: { id: 'id', where: 'where_to', heightMm: 'height_mm', lineMm: 'line_mm', family: 'family', at: 'at', by: 'by_whom' },
})
