import { byUrgency, dayRow, isUntouched, type Day, type ShopFields, type TicketSheet } from '@merry-tailor/core'
import type { NamedWrite, Writes } from './named-writes'
import { withWrites } from './recipes'

/** Tickets of the day's list with what waits here done to them: rows are worked out anew where a sheet is at hand. */
function overDay(day: Day, writes: readonly NamedWrite[], sheetOf: (id: string) => TicketSheet | undefined, rules: ShopFields): Day {
  const touched = new Set(
    writes.flatMap(({ endpoint, arg }) =>
      endpoint === 'act' ? [(arg as Writes['act']).ticketId] : endpoint === 'addTicket' ? [(arg as Writes['addTicket']).id] : [],
    ),
  )
  if (touched.size === 0) return day
  const rows = new Map(day.rows.map((row) => [row.ticketId, row]))
  for (const id of touched) {
    const sheet = withWrites(`/tickets/${id}`, sheetOf(id) ?? null, writes) as TicketSheet | null
    if (!sheet) continue
    if (sheet.ticket.state === 'closed' || isUntouched(sheet)) rows.delete(id)
    else rows.set(id, dayRow(sheet, day.on, rules))
  }
  return { ...day, rows: [...rows.values()].sort(byUrgency(day.on)) }
}

/** Rows worked out on the page: one ticket's from its sheet, and a whole day's with what waits here. */
export const rowsAnew = { dayRow, overDay }
