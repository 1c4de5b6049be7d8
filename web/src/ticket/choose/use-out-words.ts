import type { Booking } from '@merry-tailor/core'
import { useDayQuery } from '../../api/queries'
import { dayWords } from '../../state/today'
import { useToday } from '../../state/use-today'

/** "out for ticket 103 until Sat 5 Dec", of a piece another ticket has; `''` of one that is free. */
export function useOutWords(): (booking: Booking | undefined) => string {
  const { data } = useDayQuery(useToday())
  return (booking) => {
    if (!booking) return ''
    const number = data?.rows.find((row) => row.ticketId === booking.ticketId)?.number
    return `out for ${number ? `ticket ${number}` : 'another ticket'} until ${dayWords(booking.until)}`
  }
}
