import { addDays, format, parseISO } from 'date-fns'
import type { Booking, Ticket } from '../model/index.ts'

/** Days a piece is out when nobody said until when: a loan to try. Ours, unverified. */
const LOAN_DAYS = 14

const DAY = /^\d{4}-\d\d-\d\d$/

/**
 * Whether a piece can be had from one day until another. Days count whole: who has it until the tenth has it on the
 * tenth. From the day it is back it is free.
 *
 * @param bookings of any pieces
 * @param from first day wanted, `until` the last, `YYYY-MM-DD`
 * @returns the booking in the way, the first by its days, or `null`
 * @throws RangeError where a day is none, or the last lies before the first
 */
export function pieceFree(bookings: readonly Booking[], pieceId: string, from: string, until: string): Booking | null {
  for (const [name, day] of [['from', from], ['until', until]] as const) if (!DAY.test(day)) throw new RangeError(`${name}: ${day} is no day`) // prettier-ignore
  if (until < from) throw new RangeError('until: the last day lies before the first')
  const inTheWay = bookings.filter(
    (each) => each.pieceId === pieceId && each.from <= until && each.until >= from && (each.backOn === null || (each.backOn > from && each.backOn > each.from)),
  )
  return inTheWay.sort((a, b) => (a.from < b.from ? -1 : a.from > b.from ? 1 : a.id < b.id ? -1 : 1))[0] ?? null
}

/** The days a piece is out for a ticket: from the day of the choice until it is needed, at least the days of a loan. */
export function bookingDays({ neededOn }: Pick<Ticket, 'neededOn'>, on: string): { from: string; until: string } {
  const loan = format(addDays(parseISO(on), LOAN_DAYS), 'yyyy-MM-dd')
  return { from: on, until: neededOn !== null && neededOn > loan ? neededOn : loan }
}
