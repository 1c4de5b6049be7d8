import { useAppDispatch, useAppSelector, type RootState } from '../state/store'
import { benchChanged, FRESH_BENCH, type BenchState } from '../state/bench-slice'
import { useOpenTicket } from './open-ticket'

/** How a ticket's bench stands on this device. */
export const benchOf = (state: RootState, ticketId: string): BenchState => state.bench[ticketId] ?? FRESH_BENCH

/** The open ticket's bench, and how to change it. */
export function useBench(): [BenchState, (change: Partial<BenchState>) => void] {
  const ticketId = useOpenTicket().sheet.ticket.id
  const dispatch = useAppDispatch()
  const bench = useAppSelector((state) => benchOf(state, ticketId))
  return [bench, (change) => dispatch(benchChanged({ ticketId, ...change }))]
}
