import { describe, expect, it } from 'vitest'
import { trustOf, unevenSides, type KeptPair } from './index.ts'

const pair = (round: number, over: Partial<KeptPair> = {}): KeptPair => ({
  round: `r${round}`,
  family: 'H11',
  check: 'v-on-breastbone',
  predicted: 'holds',
  seen: 'holds',
  ...over,
})

describe('what kept pairs say', () => {
  it('counts what held by what was foretold, a seen doubt not as held, rounds once', () => {
    const pairs = [
      pair(1),
      pair(1, { check: 'sides-on-ribs', seen: 'doubt' }),
      pair(2, { predicted: 'fails', seen: 'fails' }),
      pair(3, { family: 'H01' }),
      pair(4, { predicted: 'none' }),
    ]
    const trust = trustOf(pairs)
    expect(trust.H11).toMatchObject({
      rounds: 2,
      byGrade: { holds: { n: 2, held: 1 }, doubt: { n: 0, held: 0, low: 0, high: 1 }, fails: { n: 1, held: 0 } },
      trusted: false,
    })
    expect(trust.H01?.rounds).toBe(1)
    expect(trustOf([])).toEqual({})
  })

  it('has Wilson’s interval (score test inverted: the ends are where the share lies 1.645 standard errors off)', () => {
    const pairs = Array.from({ length: 30 }, (_, i) => pair(i, i < 27 ? {} : { seen: 'fails' }))
    const { low, high } = trustOf(pairs).H11?.byGrade.holds ?? { low: 0, high: 0 }
    for (const end of [low, high]) expect(Math.abs(27 / 30 - end) / Math.sqrt((end * (1 - end)) / 30)).toBeCloseTo(1.6449, 3)
    expect([low < 0.9, high > 0.9]).toEqual([true, true])
  })

  it('trusts a family from thirty rounds on, and only with misses that missed', () => {
    const held = Array.from({ length: 30 }, (_, i) => pair(i))
    const missed = Array.from({ length: 30 }, (_, i) => pair(i, { check: 'tug-at-tail-base', predicted: 'fails', seen: 'fails' }))
    expect(trustOf([...held, ...missed]).H11?.trusted).toBe(true)
    expect(trustOf([...held.slice(1), ...missed.slice(1)]).H11?.trusted).toBe(false)
    expect(trustOf(held).H11?.trusted).toBe(false)
    expect(trustOf([...held, ...missed.map((each, i) => (i < 8 ? { ...each, seen: 'holds' as const } : each))]).H11?.trusted).toBe(false)
  })
})

describe('sides', () => {
  it('are uneven over 5 mm, which is longer and by how much', () => {
    const straps = {
      girth: { leftMm: 320, rightMm: 328 },
      neck: { leftMm: 250, rightMm: 245 },
      back: { leftMm: 90, rightMm: null },
      side: { leftMm: 330, rightMm: 300 },
    }
    expect(unevenSides(straps)).toEqual([
      { strap: 'side', longer: 'left', byMm: 30 },
      { strap: 'girth', longer: 'right', byMm: 8 },
    ])
    expect(() => unevenSides({ neck: { leftMm: Number.NaN, rightMm: 1 } })).toThrow(/neck/)
  })
})
