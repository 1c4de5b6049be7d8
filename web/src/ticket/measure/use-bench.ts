import { useAppDispatch, useAppSelector } from '../../app/store'
import { useOpenTicket } from '../TicketFrame'
import { benchChanged, FRESH_BENCH, type BenchState } from './bench-slice'

/** The open ticket's bench, and how to change it. */
export function useBench(): [BenchState, (change: Partial<BenchState>) => void] {
  const ticketId = useOpenTicket().sheet.ticket.id
  const dispatch = useAppDispatch()
  const bench = useAppSelector((state) => state.bench[ticketId] ?? FRESH_BENCH)
  return [bench, (change) => dispatch(benchChanged({ ticketId, ...change }))]
}
