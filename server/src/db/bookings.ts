import { bookingDays, choiceOf, wornFor, pieceFree, resources, type Booking, type Change, type Choice, type NewMark } from '@merry-tailor/core'
import { BookingFields } from '@merry-tailor/core/schemas'
import { ProblemError } from '../problems.ts'
import { applyChanges } from './changes.ts'
import { factsOf } from './facts.ts'
import { marksOfTicket, newestMarks, withMark } from './marks.ts'
import type { Db } from './open.ts'
import { requirePiece } from './pieces.ts'
import { insert, recordOf, type Row } from './rows.ts'
import { itemsOfTicket, requireTicket } from './tickets.ts'

const { bookings } = resources

/** The choices of a ticket that count now: the newest of each item that is on it and not struck. */
function countingChoices(db: Db, ticketId: string): Set<string> {
  const newest = newestMarks(marksOfTicket(db, ticketId))
  const choices = factsOf(db, resources.choices, ticketId).map((stored) => withMark(choiceOf(stored), newest))
  return new Set(itemsOfTicket(db, ticketId).flatMap((item) => (item.removed ? [] : (wornFor(choices, item.id)?.id ?? []))))
}

/** Bookings that stand: made by a choice that counts. What was taken back, or chosen anew, holds no piece. */
export function listBookings(db: Db): Booking[] {
  const counting = new Map<string, Set<string>>()
  const of = (ticketId: string): Set<string> => {
    const known = counting.get(ticketId) ?? countingChoices(db, ticketId)
    counting.set(ticketId, known)
    return known
  }
  return db
    .prepare<[], Row>('SELECT * FROM bookings ORDER BY from_day, seq')
    .all()
    .map((row) => recordOf(bookings, row))
    .filter((booking) => of(booking.ticketId).has(booking.id))
}

/** Is refused where another ticket has the piece on one of these days. */
export function requireFree(db: Db, ticketId: string, pieceId: string, from: string, until: string): void {
  const other = pieceFree(
    listBookings(db).filter((booking) => booking.ticketId !== ticketId),
    pieceId,
    from,
    until,
  )
  if (!other) return
  const { number } = requireTicket(db, other.ticketId)
  throw new ProblemError(
    'piece-booked',
    `${requirePiece(db, pieceId).tag} is out for ticket ${number} until ${other.until}. Choose another, or say under Gear that it is back.`,
  )
}

/** Books the piece a choice names, under the choice's id. */
export function bookFor(db: Db, ticketId: string, choice: Extract<Choice, { kind: 'gear' }>, on: string): void {
  insert(db, bookings, { id: choice.id, pieceId: choice.pieceId, ticketId, ...bookingDays(requireTicket(db, ticketId), on), backOn: null })
}

export const findBooking = (db: Db, id: string): Booking | null => {
  const row = db.prepare<[string], Row>('SELECT * FROM bookings WHERE id = ?').get(id)
  return row ? recordOf(bookings, row) : null
}

/** Changes its days, or says that the piece is back. */
export function changeBooking(db: Db, id: string, changes: readonly Change[]): Booking {
  const now = findBooking(db, id)
  if (!now) throw new ProblemError('not-found', 'There is no booking under this id.')
  const wished = Object.fromEntries(changes.map(({ field, to }) => [field, to])) as Partial<Booking>
  const [from, until] = [wished.from ?? now.from, wished.until ?? now.until]
  if (typeof from === 'string' && typeof until === 'string' && until < from)
    throw new ProblemError('bad-request', 'The last day lies before the first.', { fields: [{ path: 'until', message: 'lies before the first day' }] })
  const next = applyChanges(db, bookings, now, BookingFields.shape, changes)
  if (next.backOn === null) requireFree(db, next.ticketId, next.pieceId, next.from, next.until)
  return next
}

/** A choice put back books its piece again: refused where another ticket has it meanwhile. */
export function requireFreeAgain(db: Db, ticketId: string, mark: Pick<NewMark, 'what' | 'kind' | 'about'>): void {
  if (mark.what !== 'choice' || mark.kind !== 'restored') return
  const booking = findBooking(db, mark.about)
  if (booking && booking.backOn === null) requireFree(db, ticketId, booking.pieceId, booking.from, booking.until)
}
