import { describe, expect, it } from 'vitest'
import { PLAIN_CIRCUMSTANCES, type Reading, type MeasureId } from '../model/index.ts'
import { HANDS_ELSEWHERE, ownErrorFactor, technicalErrorMm, USUAL_RULES, visitsOf, withOwnError } from './index.ts'

let n = 0
const reading = (measure: MeasureId, mm: number, over: Partial<Reading> = {}): Reading => ({
  ...PLAIN_CIRCUMSTANCES,
  id: `01900000-0000-7000-8000-${(n += 1).toString(16).padStart(12, '0')}`,
  measure,
  mm,
  side: 'both',
  asTyped: String(mm),
  unit: 'mm',
  takenAt: '2026-10-05T09:00:00Z',
  by: 'Ylva',
  ...over,
})
const pairs = (count: number, apart: number, by = 'Ylva'): Reading[] =>
  Array.from({ length: count }, (_, i) => [
    reading('M07', 700 + i, { by, takenAt: `2026-10-${String(i + 1).padStart(2, '0')}T09:00:00Z` }),
    reading('M07', 700 + i + apart, { by, takenAt: `2026-10-${String(i + 1).padStart(2, '0')}T09:05:00Z` }),
  ]).flat()

describe('ownErrorFactor', () => {
  it('is one for a hand nobody knows', () => {
    expect(ownErrorFactor([], 'Ylva')).toBe(1)
    expect(ownErrorFactor([reading('M07', 700)], 'Ylva')).toBe(1)
    expect(ownErrorFactor(pairs(5, 40), 'Orrin')).toBe(1)
  })

  it('grows with readings that scatter, shrinks with readings that meet, and more so the more there are', () => {
    const usual = technicalErrorMm('M07', 700)
    expect(ownErrorFactor(pairs(3, 6 * usual), 'Ylva')).toBeGreaterThan(1.3)
    expect(ownErrorFactor(pairs(30, 0.2 * usual), 'Ylva')).toBeLessThan(ownErrorFactor(pairs(3, 0.2 * usual), 'Ylva'))
    expect(ownErrorFactor(pairs(40, 0), 'Ylva')).toBe(0.6)
    expect(ownErrorFactor(pairs(9, 400), 'Ylva')).toBe(3)
  })

  it('comes to the pooled within-subject formula', () => {
    const usual = technicalErrorMm('M07', 700)
    const [a, b] = [reading('M07', 700), reading('M07', 700 + 2 * usual, { takenAt: '2026-10-05T09:03:00Z' })]
    const squares = [a, b].reduce((sum, each) => sum + ((each.mm - (700 + usual)) / technicalErrorMm('M07', each.mm)) ** 2, 0)
    expect(ownErrorFactor([a, b], 'Ylva')).toBeCloseTo(Math.sqrt((8 + squares) / 9), 9)
  })

  it('C06 takes no hitch and no fingers for a tape laid twice', () => {
    const hitches = [reading('M48', 450), reading('M48', 2200), reading('M49', 1), reading('M49', 3)]
    expect(ownErrorFactor(hitches, 'Ylva')).toBe(1)
    expect(ownErrorFactor([...pairs(5, 0), ...hitches], 'Ylva')).toBe(ownErrorFactor(pairs(5, 0), 'Ylva'))
  })

  it('leaves out what was struck', () => {
    const wild = pairs(3, 90).map((each) => ({ ...each, struck: { why: 'slip', at: each.takenAt, by: 'Ylva' } }))
    expect(ownErrorFactor(wild, 'Ylva')).toBe(1)
  })
})

it('withOwnError widens the values of the hand that took them', () => {
  const wild = pairs(6, 60)
  const body = { M07: { mm: 700, sigmaMm: 5 }, M01: { mm: 560, sigmaMm: 5 } }
  const own = withOwnError(body, [...wild, reading('M01', 560, { by: 'Orrin' })])
  expect(own.M07.sigmaMm).toBeGreaterThan(6)
  expect(own.M01.sigmaMm).toBe(5)
  expect(withOwnError(body, [])).toEqual(body)
})

it('A16 withOwnError works a hand out once for all the bodies it is given', () => {
  const factors = new Map<string, number>()
  const readings = pairs(6, 60)
  const body = { M07: { mm: 700, sigmaMm: 5 } }
  const first = withOwnError(body, readings, factors)
  expect([...factors.keys()]).toEqual(['Ylva'])
  // Known already: the readings are not gone through again.
  expect(withOwnError(body, [reading('M07', 700)], factors)).toEqual(first)
})

it('visitsOf gathers days, each with what was known by then', () => {
  const tickets = [
    { readings: [reading('M07', 700, { takenAt: '2026-03-01T09:00:00Z' })] },
    {
      readings: [
        reading('M01', 560, { takenAt: '2026-01-01T09:00:00Z' }),
        reading('M14', 500, { takenAt: '2026-01-01T09:00:00Z', struck: { why: 'slip', at: '', by: '' } }),
      ],
    },
  ]
  const visits = visitsOf(tickets, USUAL_RULES)
  expect(visits.map(({ on }) => on)).toEqual(['2026-01-01', '2026-03-01'])
  expect(Object.keys(visits[0]?.known ?? {})).toEqual(['M01'])
  expect(Object.keys(visits[1]?.known ?? {}).sort()).toEqual(['M01', 'M07'])
})

it('X07 numbers of the owner or of somebody else are nobody’s own error, however far apart', () => {
  const wild = (by: string) => [600, 760, 610, 780].map((mm, i) => reading('M07', mm, { by, takenAt: `2026-01-0${(i >> 1) + 1}T09:0${i}:00Z` }))
  expect(ownErrorFactor(wild('Ylva'), 'Ylva')).toBeGreaterThan(1.5)
  for (const by of [...HANDS_ELSEWHERE, '']) expect(ownErrorFactor(wild(by), by)).toBe(1)
})
