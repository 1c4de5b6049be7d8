import { describe, expect, it } from 'vitest'
import { daysToIcs } from './index.ts'

const STAMP = '2026-10-05T09:00:00.000Z'

describe('days as iCalendar (RFC 5545)', () => {
  it('is whole days, the end the day after, lines ended by CRLF', () => {
    const text = daysToIcs([{ on: '2026-12-31', title: 'Divider at 62 cm' }], { name: 'Skiff', stamp: STAMP })
    expect(text).toContain('DTSTART;VALUE=DATE:20261231\r\nDTEND;VALUE=DATE:20270101\r\n')
    expect(text.split('\r\n').at(0)).toBe('BEGIN:VCALENDAR')
    expect(text.endsWith('END:VCALENDAR\r\n')).toBe(true)
    expect(text.replaceAll('\r\n', '')).not.toContain('\n')
  })
  it('escapes commas, semicolons and backslashes, and folds lines at 75 octets', () => {
    const text = daysToIcs([{ on: '2026-12-01', title: 'Ask; carrier, vet \\ states', note: 'ö'.repeat(120) }], { name: 'a', stamp: STAMP })
    expect(text).toContain('SUMMARY:Ask\\; carrier\\, vet \\\\ states')
    const lines = text.split('\r\n')
    expect(Math.max(...lines.map((line) => new TextEncoder().encode(line).length))).toBeLessThanOrEqual(75)
    expect(text.replaceAll('\r\n ', '')).toContain('ö'.repeat(120))
  })
  it('a day that is none is refused; without days it is an empty calendar', () => {
    expect(() => daysToIcs([{ on: '1 December', title: 'x' }], { name: 'a', stamp: STAMP })).toThrow(RangeError)
    expect(daysToIcs([], { name: 'a', stamp: STAMP })).not.toContain('VEVENT')
  })
})
