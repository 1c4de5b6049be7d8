/** Formatters by zone: making one costs more than a thousand uses. */
const formatters = new Map<string, Intl.DateTimeFormat>()
/** Every zone's midnight falls on a whole quarter of an hour of the world's clock. */
const QUARTER_MS = 15 * 60_000
/** Days by zone and quarter: what is written at a bench is written within a few of them. */
const days = new Map<string, string>()
const MOST_DAYS = 500

/**
 * The calendar day of a moment in a time zone, `YYYY-MM-DD`.
 *
 * @param zone a name of the time zone database; `''`: the zone of the machine this runs on
 */
export function dayIn(zone: string, at: string | Date): string {
  const moment = typeof at === 'string' ? new Date(at) : at
  const key = `${Math.floor(moment.getTime() / QUARTER_MS)} ${zone}`
  const known = days.get(key)
  if (known !== undefined) return known
  let formatter = formatters.get(zone)
  if (!formatter) {
    formatter = new Intl.DateTimeFormat('en-CA', { year: 'numeric', month: '2-digit', day: '2-digit', ...(zone === '' ? {} : { timeZone: zone }) })
    formatters.set(zone, formatter)
  }
  const day = formatter.format(moment)
  if (days.size >= MOST_DAYS) days.clear()
  days.set(key, day)
  return day
}

/** The day a record bears; one of before, or made elsewhere, has that of its moment where this runs. */
export function dayOf(on: string | undefined, at: string): string {
  if (on !== undefined) return on
  const moment = new Date(at)
  return Number.isNaN(moment.getTime()) ? at.slice(0, 10) : dayIn('', moment)
}
