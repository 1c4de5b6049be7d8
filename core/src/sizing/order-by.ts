import { formatISO, getMonth, isValid, parseISO, subDays } from 'date-fns'
import type { Lead } from '../model/index.ts'

export interface OrderOptions {
  /** Weeks for the fit check and a remake. Source: handbook 6.1, from memory, unverified. */
  marginWeeks?: number
  conditioningWeeks?: number
  /** `peak` or `usual` forces the lead; without it the month of ordering decides. */
  season?: 'peak' | 'usual'
}

/** The lead that holds for an order placed in `month` (1 to 12). */
export function leadOn(month: number, lead: Lead): { minWeeks: number; maxWeeks: number; peak: boolean } {
  const peak = lead.peak?.months.includes(month) ? lead.peak : null
  return peak ? { minWeeks: peak.minWeeks, maxWeeks: peak.maxWeeks, peak: true } : { minWeeks: lead.minWeeks, maxWeeks: lead.maxWeeks, peak: false }
}

/**
 * The latest day to order so that the piece is there, checked and if need be made again:
 * needed day - longest lead - margin - conditioning (handbook 6.1).
 *
 * @param neededOn `YYYY-MM-DD`
 * @returns `YYYY-MM-DD`
 * @throws RangeError when `neededOn` is no date
 * @example orderBy('2026-12-01', { minWeeks: 6, maxWeeks: 10 }, { marginWeeks: 0 }) // '2026-09-22'
 */
export function orderBy(neededOn: string, lead: Lead, options: OrderOptions = {}): string {
  const { marginWeeks = 2, conditioningWeeks = 0, season } = options
  const needed = parseISO(neededOn)
  if (!isValid(needed)) throw new RangeError(`not a date: ${neededOn}`)
  const daysBack = (weeks: number): number => Math.ceil((weeks + marginWeeks + conditioningWeeks) * 7 - 1e-9)
  const day = (back: number): string => formatISO(subDays(needed, back), { representation: 'date' })

  const peakWeeks = lead.peak?.maxWeeks ?? lead.maxWeeks
  if (season === 'usual') return day(daysBack(lead.maxWeeks))
  if (season === 'peak') return day(daysBack(Math.max(peakWeeks, lead.maxWeeks)))
  const furthest = daysBack(Math.max(peakWeeks, lead.maxWeeks))
  for (let back = daysBack(Math.min(peakWeeks, lead.maxWeeks)); back < furthest; back++) {
    const ordered = subDays(needed, back)
    if (back >= daysBack(leadOn(getMonth(ordered) + 1, lead).maxWeeks)) return day(back)
  }
  return day(furthest)
}
