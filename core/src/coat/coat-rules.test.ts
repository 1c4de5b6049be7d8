import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { growthShare } from '../reference/index.ts'
import { bandFor, cordsFor, frontsToLast, hoodOf, rugGrowth } from './index.ts'

const IN = 25.4

describe('hoods', () => {
  const h = { m03Mm: 14 * IN, m04Mm: 13 * IN, m05Mm: 7 * IN, neckEaseMm: 0, headEaseMm: 0 }

  it('V37: neck 14 over head 13, so the opening goes by the neck', () => {
    expect(hoodOf({ ...h, weightKg: 20 })).toMatchObject({ openingMm: 14 * IN, by: 'neck' })
    expect(hoodOf({ ...h, weightKg: 20, headEaseMm: 2 * IN })).toMatchObject({ openingMm: 15 * IN, by: 'head' })
  })

  it('V39: additions of 2, 3, 4, 5 in make 9, 10, 11, 12; 10 and 25 kg open a class, 45 kg is still large', () => {
    const lengths = [5, 9.9, 10, 24.9, 25, 45, 45.1, 90].map((weightKg) => hoodOf({ ...h, weightKg }).lengthMm / IN)
    expect(lengths.map((mm) => Math.round(mm * 1e6) / 1e6)).toEqual([9, 9, 10, 10, 11, 11, 12, 12])
    expect(() => hoodOf({ ...h, weightKg: 0 })).toThrow(/weightKg/)
  })
})

describe('belly bands (handbook 9.2)', () => {
  const dog = { sex: 'male' as const, girthMm: 500, restless: false, ringMm: 430, coveredMm: 380, sternumToSheathMm: 250, clearMm: 50.8 }

  it('whole on a small dog, strips of an inch on a big or a restless one (V36)', () => {
    expect(bandFor(dog)).toEqual({ kind: 'whole', stripMm: null, gapMm: 50, rearLimitMm: 250 - 50.8, fastening: 'buckle', because: 'small' })
    expect(bandFor({ ...dog, girthMm: 650 })).toMatchObject({ kind: 'strips', stripMm: IN, because: 'big', fastening: 'clip' })
    expect(bandFor({ ...dog, restless: true })).toMatchObject({ kind: 'strips', because: 'restless' })
  })

  it('the gap is never under 0; a bitch has no rear limit, nor a dog whose sheath was not taped', () => {
    expect(bandFor({ ...dog, coveredMm: 900 }).gapMm).toBe(0)
    expect(bandFor({ ...dog, sex: 'female' }).rearLimitMm).toBeNull()
    expect(bandFor({ ...dog, sternumToSheathMm: null }).rearLimitMm).toBeNull()
  })
})

describe('cords of a suit', () => {
  it('come in the order of 8.2, drawn in to ring and slack, long enough to open', () => {
    const cords = cordsFor(
      [
        { place: 'collar', flatMm: 400, ringMm: 360 },
        { place: 'leg-hind-right', flatMm: 300, ringMm: 120 },
        { place: 'chest', flatMm: 500, ringMm: 480 },
      ],
      { slackMm: 20, tailMm: 80 },
    )
    expect(cords.map(({ place }) => place)).toEqual(['chest', 'leg-hind-right', 'collar'])
    expect(cords[2]).toEqual({ place: 'collar', drawInMm: 20, ratio: 400 / 380, cordMm: 560, state: 'draws' })
    expect(cords[1]?.state).toBe('bunches')
    expect(cordsFor([{ place: 'belly', flatMm: 300, ringMm: 300 }], { slackMm: 10, tailMm: 0 })[0]?.state).toBe('too-small')
    expect(() => cordsFor([{ place: 'belly', flatMm: 0, ringMm: 300 }], { slackMm: 0, tailMm: 0 })).toThrow(/belly/)
  })
})

describe('growth (bands from memory, unverified)', () => {
  it('shares stand in the table’s columns and straight between them', () => {
    expect(growthShare(3, 8)).toEqual([0.25, 0.35])
    expect(growthShare(10, 12)).toEqual([0.3, 0.38])
    expect(growthShare(45, 26)).toEqual([0.6, 0.7])
    expect(growthShare(46, 26)).toEqual([0.5, 0.62])
    expect(growthShare(30, 14)).toEqual([0.31, 0.395])
    expect(growthShare(30, 400)).toEqual([0.99, 1])
    expect(() => growthShare(0, 8)).toThrow(/weight/)
    expect(() => growthShare(10, NaN)).toThrow(/age/)
  })

  it('a dog nearer to grown has less to grow; shares rise with age', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 95, noNaN: true }),
        fc.double({ min: 0, max: 100, noNaN: true }),
        fc.double({ min: 0, max: 50, noNaN: true }),
        (kg, week, more) => {
          const [a, b] = [growthShare(kg, week), growthShare(kg, week + more)]
          expect(a[0]).toBeLessThanOrEqual(a[1])
          expect(b[0]).toBeGreaterThanOrEqual(a[0] - 1e-12)
        },
      ),
    )
  })

  const rug = { spanMm: 8 * IN, eachMm: 6 * IN, holes: 5, ageWeeks: 10, adultKg: 30, atWeeks: [10, 16, 26, 52] }

  it('W07: 6 and 6 over 8 lap by 4 now, and just meet when the span is 12', () => {
    const { weeks, outgrownWeeks } = rugGrowth(rug)
    expect(weeks[0]?.overlapMm.map((mm) => Math.round((mm / IN) * 1e6) / 1e6)).toEqual([4, 4])
    expect(weeks[0]?.hole).toBe(1)
    for (const { spanMm, overlapMm } of weeks) expect(overlapMm[0] + spanMm[1]).toBeCloseTo(12 * IN, 6)
    const [earliest, latest] = outgrownWeeks ?? [0, 0]
    expect(earliest).toBeGreaterThan(10)
    expect(latest === null || latest >= earliest).toBe(true)
    // As the cube root of the weight: half as long again is 3.4 times as heavy.
    const share = growthShare(30, earliest)
    expect(Math.max(share[0] / growthShare(30, 10)[0], share[1] / growthShare(30, 10)[1])).toBeCloseTo(1.5 ** 3, 2)
  })

  it('a grown dog outgrows nothing; a known weight now counts instead of the bands', () => {
    expect(rugGrowth({ ...rug, ageWeeks: 90, atWeeks: [90, 120] }).outgrownWeeks).toBeNull()
    const [light, heavy] = [3, 9].map((weightKg) => rugGrowth({ ...rug, weightKg, atWeeks: [52] }).weeks[0]?.spanMm[1] ?? 0)
    expect(light).toBeGreaterThan(heavy ?? 0)
  })

  it('fronts that are to last still meet at that age on the faster track', () => {
    const eachMm = frontsToLast({ spanMm: 8 * IN, ageWeeks: 10, adultKg: 30, untilWeeks: 26 })
    const { weeks } = rugGrowth({ ...rug, eachMm, atWeeks: [26] })
    expect(weeks[0]?.overlapMm[0]).toBeCloseTo(0, 6)
  })
})
