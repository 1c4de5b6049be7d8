import { dayOf, readingsByTape, visitsOf } from '@merry-tailor/core'
import { useMemo } from 'react'
import { useDogQuery } from '../api/queries'
import { useShop } from '../state/use-shop'
import { useOpenTicket } from './open-ticket'

export interface LastTime {
  /** The whole value, mm (M00 kg). */
  mm: number
  on: string
  by: string
}

/** What a tape read on this dog's newest earlier ticket, and by whom; `null` where it was never taken before. */
export function useLastTime(key: string): LastTime | null {
  const { sheet } = useOpenTicket()
  const rules = useShop()
  const { data } = useDogQuery(sheet.dog?.id ?? '', { skip: !sheet.dog })
  const tickets = data?.tickets
  const { id, createdAt } = sheet.ticket
  return useMemo(() => {
    const before = tickets?.filter(({ ticket }) => ticket.id !== id && ticket.createdAt < createdAt) ?? []
    const visit = visitsOf(before, rules).findLast((each) => each.read[key]?.mm != null)
    const mm = visit?.read[key]?.mm
    if (!visit || mm == null) return null
    const readings = readingsByTape(visit.tickets.flatMap((each) => each.readings))[key] ?? []
    const last = readings.findLast((reading) => !reading.struck && dayOf(reading.on, reading.takenAt) === visit.on)
    return { mm, on: visit.on, by: last?.by ?? '' }
  }, [tickets, id, createdAt, rules, key])
}
