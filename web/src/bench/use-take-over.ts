import { takeOver, type TakeOver } from '@merry-tailor/core'
import { useMemo } from 'react'
import { useDogQuery } from '../api/queries'
import { useShop } from '../state/use-shop'
import { useToday } from '../state/use-today'
import { useOpenTicket } from './open-ticket'
import { useTapes } from './OpenBench'

/** What of the dog's last measuring may stand for today's; `null` where nothing may. */
export function useTakeOver(): TakeOver | null {
  const { sheet } = useOpenTicket()
  const { rows } = useTapes()
  const rules = useShop()
  const on = useToday()
  const { data } = useDogQuery(sheet.dog?.id ?? '', { skip: !sheet.dog })
  const { dog, ticket, readings, items } = sheet
  return useMemo(() => {
    if (!dog || !data || ticket.state !== 'open') return null
    return takeOver({
      dog,
      earlier: data.tickets.filter((each) => each.ticket.id !== ticket.id && each.ticket.createdAt < ticket.createdAt),
      notes: data.notes,
      weighings: data.weighings,
      readings,
      wanted: rows.filter((row) => row.derived === null).map((row) => row.key),
      worn: items.filter((item) => !item.removed).map((item) => item.family),
      on,
      rules,
    })
  }, [dog, data, ticket, readings, items, rows, on, rules])
}
