import { format, formatDistanceStrict, parseISO } from 'date-fns'

/** Today on this device, `YYYY-MM-DD`. */
export const today = (): string => format(new Date(), 'yyyy-MM-dd')

export const clock = (at: string): string => format(parseISO(at), 'HH:mm')
export const dayWords = (day: string): string => format(parseISO(day), 'EEE d MMM')
export const longDay = (day: string): string => format(parseISO(day), 'd MMMM yyyy')
/** The hour of what was done that day, of another day the day. */
export const momentWords = (at: string, on = today()): string => {
  const day = format(parseISO(at), 'yyyy-MM-dd')
  return day === on ? clock(at) : dayWords(day)
}

/** `2 days late`, for a day that has passed. */
export function lateWords(day: string, now: string): string {
  return `${formatDistanceStrict(parseISO(day), parseISO(now), { unit: 'day' })} late`
}
