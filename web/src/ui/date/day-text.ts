import { format, isValid, parse, parseISO } from 'date-fns'

/** Order in which the reader writes a day: day first, month first or year first. */
export type DayOrder = 'dmy' | 'mdy' | 'ymd'

/** The reader's own order, from the language of the device. */
export function dayOrder(language: string = navigator.language): DayOrder {
  let parts: string
  try {
    parts = new Intl.DateTimeFormat(language)
      .formatToParts(new Date(2026, 10, 27))
      .map(({ type }) => type[0] ?? '')
      .join('')
  } catch {
    return 'dmy'
  }
  const order = parts.replace(/[^dmy]/g, '')
  return order === 'mdy' || order === 'ymd' ? order : 'dmy'
}

const SHOWN: Readonly<Record<DayOrder, string>> = { dmy: 'd MMM yyyy', mdy: 'MMM d, yyyy', ymd: 'yyyy-MM-dd' }
/** An example of how to type it. */
export const DAY_HINTS: Readonly<Record<DayOrder, string>> = { dmy: '27.11.2026 or 27 Nov', mdy: '11/27/2026 or Nov 27', ymd: '2026-11-27' }

/** A day as the reader writes it; `''` for none. */
export const dayText = (day: string | null, order: DayOrder): string => (day === null || day === '' ? '' : format(parseISO(day), SHOWN[order]))

const NUMBERS: Readonly<Record<DayOrder, readonly string[]>> = {
  dmy: ['d.M.yyyy', 'd.M.yy', 'd.M.'],
  mdy: ['M.d.yyyy', 'M.d.yy', 'M.d.'],
  ymd: ['yyyy.M.d', 'M.d.'],
}
const NAMES = ['d MMM yyyy', 'd MMMM yyyy', 'MMM d yyyy', 'MMMM d yyyy', 'd MMM', 'd MMMM', 'MMM d', 'MMMM d', 'MMM yyyy', 'MMMM yyyy', 'yyyy MMM d'] as const

/**
 * A day as it was typed, in the reader's own order; month names and `YYYY-MM-DD` are read whatever the order. A day
 * without a year is taken in the year of today.
 *
 * @param now `YYYY-MM-DD`
 * @returns `YYYY-MM-DD`, or `null` when it is no day
 */
export function parseDay(text: string, order: DayOrder, now: string): string | null {
  const plain = text.normalize('NFKC').trim()
  if (/^\d{4}-\d{1,2}-\d{1,2}$/.test(plain)) return dayOfText(plain, ['yyyy-M-d'], now)
  if (/[a-z]/i.test(plain)) return dayOfText(plain.replace(/(\d)(st|nd|rd|th)\b/gi, '$1').replace(/[.,/-]/g, ' ').replace(/\s+/g, ' ').trim(), NAMES, now) // prettier-ignore
  const dotted = plain.replace(/[\s/-]+/g, '.').replace(/\.+/g, '.')
  return dayOfText(/^\d{1,2}\.\d{1,2}$/.test(dotted) ? `${dotted}.` : dotted, NUMBERS[order], now)
}

function dayOfText(text: string, forms: readonly string[], now: string): string | null {
  for (const form of forms) {
    const read = parse(text, form, parseISO(now))
    if (isValid(read) && read.getFullYear() > 1900 && read.getFullYear() < 2200) return format(read, 'yyyy-MM-dd')
  }
  return null
}

/** `about 5 months`, `8 weeks`, `2 years`, `5 m` as months; `null` when it is no age. */
export function parseAge(text: string): number | null {
  const match = /^(?:about|around|ca\.?|~)?\s*(\d+(?:[.,]\d+)?)\s*(w|wk|week|m|mo|month|y|yr|year)s?\.?(?:\s*old)?$/i.exec(text.normalize('NFKC').trim())
  if (!match?.[1] || !match[2]) return null
  const amount = Number(match[1].replace(',', '.'))
  const unit = match[2][0]?.toLowerCase()
  const months = Math.round(unit === 'w' ? amount / 4.345 : unit === 'y' ? amount * 12 : amount)
  return months <= 360 ? months : null
}
