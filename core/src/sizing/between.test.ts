import { describe, expect, it } from 'vitest'
import { betweenRule, chanceWithin, decidingOrder, normalCdf, tableServes } from './index.ts'

describe('betweenRule', () => {
  it('lets the maker’s own word win over the family’s', () => {
    expect(betweenRule({ family: 'H11', between: null })).toEqual({ rule: 'down', from: 'family', because: 'seats-under-tension' })
    expect(betweenRule({ family: 'H01', between: null })).toMatchObject({ rule: 'room', from: 'family' })
    expect(betweenRule({ family: 'H11', between: 'up' })).toEqual({ rule: 'up', from: 'maker', because: 'maker-says' })
  })

  it('puts the neck first for pulling and the front piece first for walking', () => {
    expect(decidingOrder('H11')[0]).toBe('M01')
    expect(decidingOrder('H01')[0]).toBe('M06')
  })
})

describe('tableServes', () => {
  const table = { family: 'H11', way: 'made', school: 'A' } as const
  it.each([
    [{ family: 'H11', way: 'made', school: 'A' }, true],
    [{ family: 'H11', way: 'made', school: null }, true],
    [{ family: 'H11', way: 'undecided', school: null }, true],
    [{ family: 'H11', way: 'made', school: 'B' }, false],
    [{ family: 'H11', way: 'stock', school: null }, false],
    [{ family: 'H01', way: 'made', school: null }, false],
  ] as const)('%j: %s', (item, serves) => {
    expect(tableServes(table, item)).toBe(serves)
  })
})

describe('chanceWithin', () => {
  it('is whole over everything, half at an edge, and sharp without spread', () => {
    expect(chanceWithin(500, 5, 1, 3000)).toBeCloseTo(1, 9)
    expect(chanceWithin(500, 5, 500, 3000)).toBeCloseTo(0.5, 9)
    expect([chanceWithin(500, 0, 500, 510), chanceWithin(499, 0, 500, 510)]).toEqual([1, 0])
    expect(chanceWithin(500, 5, 490, 500) + chanceWithin(500, 5, 500, 510)).toBeCloseTo(chanceWithin(500, 5, 490, 510), 9)
  })

  it('is symmetric and ordered', () => {
    expect(chanceWithin(500, 7, 505, 520)).toBeCloseTo(chanceWithin(500, 7, 480, 495), 9)
    expect(normalCdf(-7)).toBeCloseTo(1.279812543885835e-12, 18)
    expect(normalCdf(40)).toBe(1)
    expect(normalCdf(Number.NaN)).toBeNaN()
    expect(normalCdf(0)).toBe(0.5)
  })
})
