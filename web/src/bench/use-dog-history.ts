import { visitsOf, withOwnError, type EarlierVisit, type Reading, type TicketSheet } from '@merry-tailor/core'
import { differenceInDays, parseISO } from 'date-fns'
import { useMemo } from 'react'
import { useDogQuery } from '../api/queries'
import { useShop } from '../state/use-shop'

export interface DogHistory {
  /** What this dog's tapes read on earlier visits, newest first; none while they are not known. */
  earlier: EarlierVisit[]
  /** Every reading of this dog that is known here: the measurers' own errors are learnt from them. */
  readings: Reading[]
}

/** What is known of a ticket's dog from other days. */
export function useDogHistory(sheet: TicketSheet): DogHistory {
  const rules = useShop()
  const { data } = useDogQuery(sheet.dog?.id ?? '', { skip: !sheet.dog })
  const tickets = data?.tickets
  return useMemo(() => {
    const others = tickets?.filter((each) => each.ticket.id !== sheet.ticket.id) ?? []
    const readings = [...others.flatMap((each) => each.readings), ...sheet.readings]
    const on = parseISO(sheet.ticket.createdAt)
    const factors = new Map<string, number>()
    const earlier = visitsOf(others, rules)
      .map((visit) => ({ visit, daysBefore: differenceInDays(on, parseISO(visit.on)) }))
      .filter(({ daysBefore }) => daysBefore > 0)
      .slice(-4)
      .reverse()
      // Only of those that are asked about, and a hand's own error once.
      .map(({ visit, daysBefore }) => ({ body: withOwnError(visit.read, readings, factors), daysBefore, weightKg: visit.read.M00?.mm ?? null }))
    return { earlier, readings }
  }, [tickets, sheet.ticket.id, sheet.ticket.createdAt, sheet.readings, rules])
}
