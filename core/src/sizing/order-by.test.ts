import { expect, it } from 'vitest'
import { leadOn, orderBy } from './index.ts'

const racing = { minWeeks: 4, maxWeeks: 6, peak: { months: [9, 10, 11], minWeeks: 6, maxWeeks: 10 } }

it('takes lead, margin and conditioning off the needed day', () => {
  expect(orderBy('2026-12-01', { minWeeks: 1, maxWeeks: 1 })).toBe('2026-11-10')
  expect(orderBy('2026-12-01', { minWeeks: 1, maxWeeks: 1 }, { marginWeeks: 0, conditioningWeeks: 3 })).toBe('2026-11-03')
  expect(orderBy('2024-03-08', { minWeeks: 1, maxWeeks: 1 }, { marginWeeks: 0 })).toBe('2024-03-01')
})

it('lets the month of ordering decide the lead unless the season is named', () => {
  expect(orderBy('2026-12-01', racing, { marginWeeks: 0 })).toBe('2026-09-22')
  expect(orderBy('2026-06-01', racing, { marginWeeks: 0 })).toBe('2026-04-20')
  expect(orderBy('2026-12-01', racing, { marginWeeks: 0, season: 'usual' })).toBe('2026-10-20')
  expect(orderBy('2026-06-01', racing, { marginWeeks: 0, season: 'peak' })).toBe('2026-03-23')
  expect(orderBy('2026-10-20', racing, { marginWeeks: 0 })).toBe('2026-08-31')
  expect(leadOn(10, racing)).toEqual({ minWeeks: 6, maxWeeks: 10, peak: true })
})

it('refuses what is no date', () => {
  expect(() => orderBy('soon', racing)).toThrow(RangeError)
})
