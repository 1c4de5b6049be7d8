import { describe, expect, it } from 'vitest'
import { dayIn, dayOf } from './index.ts'

// Offsets: the time zone database; Tromso is UTC+1 in winter, Auckland UTC+13 in its summer.
describe('C13: the day of a moment', () => {
  it('is the shop’s own, whatever the machine’s', () => {
    expect(dayIn('Europe/Oslo', '2026-01-09T23:30:00Z')).toBe('2026-01-10')
    expect(dayIn('Pacific/Auckland', '2026-01-09T12:00:00Z')).toBe('2026-01-10')
    expect(dayIn('America/Anchorage', '2026-01-10T05:00:00Z')).toBe('2026-01-09')
    expect(dayIn('UTC', new Date('2026-01-09T23:59:59Z'))).toBe('2026-01-09')
  })

  it('changes at the zone’s own midnight, in summer time too', () => {
    expect([dayIn('Europe/Oslo', '2026-07-01T21:59:59Z'), dayIn('Europe/Oslo', '2026-07-01T22:00:00Z')]).toEqual(['2026-07-01', '2026-07-02'])
  })

  it('is what a record bears, and falls back for one of before', () => {
    expect(dayOf('2026-02-03', '2026-01-09T12:00:00Z')).toBe('2026-02-03')
    expect(dayOf(undefined, '2026-01-09T12:00:00Z')).toMatch(/^2026-01-(09|10)$/)
    expect(dayOf(undefined, '2026-01')).toMatch(/^20(25-12-31|26-01)/)
    expect(dayOf(undefined, 'some day')).toBe('some day')
  })
})
