import fc from 'fast-check'
import jstat from 'jstat'
import { describe, expect, it } from 'vitest'
import { bootRate, countCdf } from './boot-counts.ts'
import { bootDemand, bootStock } from './boot-stock.ts'
import { seeded } from '../units/index.ts'

const { jStat } = jstat

describe('how many boots a season takes', () => {
  it('is Poisson where seasons are alike, negative binomial where they are not (jstat)', () => {
    for (const mean of [0.4, 3, 21.6, 60])
      for (const k of [0, 2, 9, 30, 70]) {
        expect(countCdf(k, mean, null)).toBeCloseTo(jStat.poisson.cdf(k, mean), 9)
        for (const r of [1, 6, 40]) expect(countCdf(k, mean, r)).toBeCloseTo(jStat.negbin.cdf(k, r, r / (r + mean)), 8)
      }
    expect(countCdf(-1, 3, null)).toBe(0)
    expect(() => countCdf(1, -1, null)).toThrow(RangeError)
    expect(() => countCdf(1, 1, 0)).toThrow(RangeError)
  })
  it('a rate is the usual one weighed with one’s own counts, and never surer than both', () => {
    expect(bootRate({ per: 0.02, weight: 10 }, { count: 0, exposure: 0 }, 0)).toMatchObject({ per: 0.02 })
    const own = bootRate({ per: 0.02, weight: 10 }, { count: 40, exposure: 1000 }, 0.3)
    expect(own.per).toBeCloseTo(50 / 1500, 9)
    expect(1 / own.shape).toBeCloseTo(1 / 50 + 0.09, 9)
  })
  it('sums outings, kilometres and paws by size', () => {
    const means = bootDemand({
      outings: [{ count: 30, km: 10, footing: 'snow' }, { count: 5, km: 4, footing: 'rock' }],
      dogs: [{ labels: { 'front-left': 'M', 'front-right': 'M', 'rear-left': 'S', 'rear-right': 'S' } }, { labels: { 'front-left': 'M', 'front-right': 'L', 'rear-left': 'M', 'rear-right': 'M' } }],
      rates: { snow: { wornPerKm: 0.004, lostPerOuting: 0.01 } },
    })
    const each = 30 * (10 * 0.004 + 0.01)
    expect(means.M).toBeCloseTo(5 * each, 9)
    expect(means.S).toBeCloseTo(2 * each, 9)
    expect(means.L).toBeCloseTo(each, 9)
  }) // prettier-ignore
})

describe('spares', () => {
  it('(38, 22) at shape 6 and one season in twenty: fewer than each size alone asks, and Monte Carlo agrees', () => {
    const means = { M: 38, S: 22 }
    const { sizes, chanceShort } = bootStock({ means, shape: 6, risk: 0.05 })
    expect(chanceShort).toBeLessThanOrEqual(0.05)
    const by = seeded(7)
    const normal = (): number => Math.sqrt(-2 * Math.log(1 - by())) * Math.cos(2 * Math.PI * by())
    const gamma = (shape: number): number => {
      // Marsaglia & Tsang 2000.
      const d = shape - 1 / 3
      for (;;) {
        const x = normal()
        const v = (1 + x / Math.sqrt(9 * d)) ** 3
        if (v > 0 && Math.log(1 - by()) < 0.5 * x * x + d - d * v + d * Math.log(v)) return d * v
      }
    }
    const poisson = (mean: number): number => {
      let [k, sum] = [0, -Math.log(1 - by())]
      while (sum < mean) {
        k++
        sum -= Math.log(1 - by())
      }
      return k
    }
    let short = 0
    const seasons = 20_000
    for (let i = 0; i < seasons; i++) {
      const hard = gamma(6) / 6
      if (sizes.some(({ label, spares }) => poisson((means as Record<string, number>)[label]! * hard) > spares)) short++
    }
    expect(Math.abs(short / seasons - chanceShort)).toBeLessThan(0.006)
    const all = sizes.reduce((sum, { spares }) => sum + spares, 0)
    // A trial’s figure for the same question, unverified: 116 in all.
    expect(all).toBeGreaterThan(108)
    expect(all).toBeLessThan(122)
  }, 20_000)
  it('no smaller stock does: one boot less of any size is over the risk', () => {
    const means = { L: 9, M: 20, S: 4 }
    const { sizes, chanceShort } = bootStock({ means, shape: null, risk: 0.1 })
    const chance = (less: number): number =>
      sizes.reduce(
        (product, { label, spares, mean }, i) => product * countCdf(spares - (i === less ? 1 : 0), mean || (means as Record<string, number>)[label]!, null),
        1,
      )
    expect(1 - chance(-1)).toBeCloseTo(chanceShort, 9)
    for (let i = 0; i < sizes.length; i++) expect(1 - chance(i)).toBeGreaterThan(0.1)
  })
  it('less risk never asks for fewer boots', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0, max: 40, noNaN: true }), { minLength: 1, maxLength: 4 }),
        fc.option(fc.double({ min: 1, max: 30, noNaN: true })),
        (rows, shape) => {
          const means = Object.fromEntries(rows.map((mean, i) => [`size ${i}`, mean]))
          const [careful, bold] = [0.02, 0.2].map((risk) => bootStock({ means, shape, risk }).sizes.reduce((sum, { spares }) => sum + spares, 0)) as [
            number,
            number,
          ]
          expect(careful).toBeGreaterThanOrEqual(bold)
        },
      ),
      { numRuns: 25 },
    )
  }, 30_000)
  it('orders worn, spares and what is kept less what is there, in whole packs', () => {
    const bare = bootStock({ means: { M: 10 }, shape: null, risk: 0.05 }).sizes[0]!
    const { sizes } = bootStock({ means: { M: 10 }, shape: null, risk: 0.05, worn: { M: 8 }, keep: { M: 16 }, onHand: { M: 5 }, pack: 4 })
    expect(sizes[0]?.order).toBe(Math.ceil((8 + bare.spares + 16 - 5) / 4) * 4)
    expect(bootStock({ means: { M: 1 }, shape: null, risk: 0.05, onHand: { M: 99 } }).sizes[0]?.order).toBe(0)
    expect(() => bootStock({ means: { M: 1 }, shape: null, risk: 0 })).toThrow(RangeError)
    expect(bootStock({ means: {}, shape: 4, risk: 0.05 })).toEqual({ sizes: [], chanceShort: expect.closeTo(0, 9) as number })
  })
})
