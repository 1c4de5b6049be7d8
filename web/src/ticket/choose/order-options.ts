import { DUE, leadOn, type Supply } from '@merry-tailor/core'
import { addWeeks, format, getMonth, parseISO } from 'date-fns'
import { today } from '../../state/today'
import type { OfferFace } from '../../words/offer-face'

/** What a maker is told beside the numbers. */
export interface OrderOptions {
  Rings: string
  Padding: string
  Colour: string
  Remark: string
}
export const NO_OPTIONS: OrderOptions = { Rings: '', Padding: '', Colour: '', Remark: '' }

/** When it would come, ordered today: from the maker's own weeks, or the supplier's. */
export function dueOf(table: Pick<OfferFace, 'lead'>, supply: Supply | undefined): { from: string; to: string } {
  const lead = leadOn(getMonth(new Date()) + 1, supply?.lead ?? table.lead)
  const day = (weeks: number): string => format(addWeeks(parseISO(today()), weeks), 'yyyy-MM-dd')
  return { from: day(lead.minWeeks), to: day(lead.maxWeeks) }
}

/** Everything of an order that is no number, as the choice keeps it; what was left empty is not kept. */
export function orderOptions(said: OrderOptions, table: OfferFace, supply: Supply | undefined, neededOn: string | null): Record<string, string> {
  const { from, to } = dueOf(table, supply)
  const filled = Object.entries(said).flatMap(([name, value]: [string, string]) => (value.trim() === '' ? [] : [[name, value.trim().slice(0, 200)]]))
  return { ...(Object.fromEntries(filled) as Record<string, string>), ...(neededOn ? { 'Needed by': neededOn } : {}), [DUE]: `${from} to ${to}` }
}
