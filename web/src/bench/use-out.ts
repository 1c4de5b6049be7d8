import { bookingDays, pieceFree, type Booking } from '@merry-tailor/core'
import { useMemo } from 'react'
import { useBookingsQuery } from '../api/queries'
import { useToday } from '../state/use-today'
import { useOpenTicket } from './open-ticket'

/** Which pieces of ours another ticket has on the days this one would want them, by piece. */
export function useOut(): ReadonlyMap<string, Booking> {
  const { sheet } = useOpenTicket()
  const { data = [] } = useBookingsQuery(undefined)
  const on = useToday()
  const { ticket } = sheet
  return useMemo(() => {
    const others = data.filter((each) => each.ticketId !== ticket.id)
    const { from, until } = bookingDays(ticket, on)
    return new Map(
      [...new Set(others.map((each) => each.pieceId))].flatMap((pieceId) => {
        const out = pieceFree(others, pieceId, from, until)
        return out ? [[pieceId, out] as const] : []
      }),
    )
  }, [data, ticket, on])
}
