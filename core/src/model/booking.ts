import type { Booking } from './booking.schema.ts'
import { resource } from './resource.ts'

export type { Booking } from './booking.schema.ts'

export const bookings = resource<Booking>({
  name: 'booking',
  table: 'bookings',
  address: '/bookings',
  tags: ['Bookings', 'Pieces'],
  columns: { id: 'id', pieceId: 'piece_id', ticketId: 'ticket_id', from: 'from_day', until: 'until_day', backOn: 'back_on' },
  defaults: { backOn: null },
})
