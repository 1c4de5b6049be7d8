/** A whole day with what is to be done on it. */
export interface IcsDay {
  /** `YYYY-MM-DD` */
  on: string
  title: string
  note?: string
}

/** RFC 5545, 3.3.11: what text escapes. */
const escaped = (text: string): string => text.replace(/[\\;,]/g, (c) => `\\${c}`).replace(/\r?\n/g, '\\n')

/** RFC 5545, 3.1: lines of at most 75 octets, gone on with after a space. */
function folded(line: string): string {
  const encoder = new TextEncoder()
  const out: string[] = []
  let now = ''
  for (const char of line) {
    if (encoder.encode(now + char).length > (out.length === 0 ? 75 : 74)) {
      out.push(now)
      now = ''
    }
    now += char
  }
  return [...out, now].join('\r\n ')
}

/**
 * Whole days as iCalendar (RFC 5545).
 *
 * @param stamp the moment it was made, `2026-10-05T09:00:00Z`
 * @throws RangeError for a day that is none
 */
export function daysToIcs(days: readonly IcsDay[], { name, stamp }: { name: string; stamp: string }): string {
  const at = stamp.replace(/[-:]|\.\d+/g, '')
  const events = days.flatMap(({ on, title, note }, i) => {
    const day = new Date(`${on}T00:00:00Z`)
    if (!/^\d{4}-\d{2}-\d{2}$/.test(on) || Number.isNaN(day.getTime())) throw new RangeError(`a day is YYYY-MM-DD: ${on}`)
    const next = new Date(day.getTime() + 86_400_000).toISOString().slice(0, 10)
    return [
      'BEGIN:VEVENT',
      `UID:${on}-${i}-${at}@merry-tailor`,
      `DTSTAMP:${at}`,
      `DTSTART;VALUE=DATE:${on.replaceAll('-', '')}`,
      `DTEND;VALUE=DATE:${next.replaceAll('-', '')}`,
      `SUMMARY:${escaped(title)}`,
      ...(note ? [`DESCRIPTION:${escaped(note)}`] : []),
      'END:VEVENT',
    ]
  })
  const lines = ['BEGIN:VCALENDAR', 'VERSION:2.0', 'PRODID:-//Merry Tailor//Days//EN', `X-WR-CALNAME:${escaped(name)}`, ...events, 'END:VCALENDAR']
  return `${lines.map(folded).join('\r\n')}\r\n`
}
