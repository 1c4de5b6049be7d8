import { z } from 'zod'
import { Day, Id } from './ids.schema.ts'

/** A piece of ours out for a ticket: made by the choice of it, under the choice's own id. */
export const BookingFields = z.object({
  from: Day,
  until: Day,
  /** The day it came back; `null` until it is back. */
  backOn: Day.nullable(),
})
export const Booking = BookingFields.extend({ id: Id, pieceId: Id, ticketId: Id })
export type Booking = z.infer<typeof Booking>
