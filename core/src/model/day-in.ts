/** Formatters by zone: making one costs more than a thousand uses. */
const formatters = new Map<string, Intl.DateTimeFormat>()

/**
 * The calendar day of a moment in a time zone, `YYYY-MM-DD`.
 *
 * @param zone a name of the time zone database; `''`: the zone of the machine this runs on
 */
export function dayIn(zone: string, at: string | Date): string {
  let formatter = formatters.get(zone)
  if (!formatter) {
    formatter = new Intl.DateTimeFormat('en-CA', { year: 'numeric', month: '2-digit', day: '2-digit', ...(zone === '' ? {} : { timeZone: zone }) })
    formatters.set(zone, formatter)
  }
  return formatter.format(typeof at === 'string' ? new Date(at) : at)
}

/** The day a record bears; one of before, or made elsewhere, has that of its moment where this runs. */
export function dayOf(on: string | undefined, at: string): string {
  if (on !== undefined) return on
  const moment = new Date(at)
  return Number.isNaN(moment.getTime()) ? at.slice(0, 10) : dayIn('', moment)
}
