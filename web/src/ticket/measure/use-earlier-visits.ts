import type { EarlierVisit } from '@merry-tailor/core'
import { differenceInDays, parseISO } from 'date-fns'
import { useMemo } from 'react'
import { useDogQuery } from '../../api/shop-api'
import { useShop } from '../../app/use-shop'
import { visitsOf } from '../../dogs/visits'
import { useOpenTicket } from '../TicketFrame'

const NONE: EarlierVisit[] = []

/** What this dog's tapes read on earlier visits, newest first; none while they are not known. */
export function useEarlierVisits(): EarlierVisit[] {
  const { sheet } = useOpenTicket()
  const rules = useShop()
  const { data } = useDogQuery(sheet.dog?.id ?? '', { skip: !sheet.dog })
  const tickets = data?.tickets
  return useMemo(() => {
    const others = tickets?.filter((each) => each.ticket.id !== sheet.ticket.id) ?? []
    if (others.length === 0) return NONE
    const on = parseISO(sheet.ticket.createdAt)
    return visitsOf(others, rules)
      .map((visit) => ({ body: visit.read, daysBefore: differenceInDays(on, parseISO(visit.on)), weightKg: visit.read.M00?.mm ?? null }))
      .filter((visit) => visit.daysBefore > 0)
      .reverse()
      .slice(0, 4)
  }, [tickets, sheet.ticket.id, sheet.ticket.createdAt, rules])
}
