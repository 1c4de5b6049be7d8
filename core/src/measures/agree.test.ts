import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { agree, measureIds, measures, technicalErrorMm, USUAL_RULES } from './index.ts'

const both = (mm: number) => ({ mm, side: 'both' as const })
const one = (mm: number) => ({ mm, side: 'one' as const })
const struck = (mm: number) => ({ mm, side: 'both' as const, struck: { why: 'slipped', at: '2026-01-01T00:00:00Z', by: 'x' } })

describe('agree', () => {
  it('names every state', () => {
    expect(agree('M06', [])).toMatchObject({ state: 'none', mm: null, n: 0 })
    expect(agree('M06', [both(310)])).toMatchObject({ state: 'once', mm: 310, sigmaMm: technicalErrorMm('M06', 310) })
    expect(agree('M06', [both(310), both(318)])).toMatchObject({ state: 'agrees', mm: 314, spreadMm: 8 })
    expect(agree('M06', [both(310), both(321)]).state).toBe('third-wanted')
    expect(agree('M06', [both(310), both(321), both(335)]).state).toBe('disagrees')
    expect(agree('M06', [both(310), both(312), both(318)])).toMatchObject({ state: 'agrees', mm: 312 })
  })

  it('allows the larger of 1 cm and 2 %', () => {
    expect(agree('M07', [both(900), both(917)]).state).toBe('agrees')
    expect(agree('M07', [both(900), both(919)]).state).toBe('third-wanted')
    expect(agree('M06', [both(300), both(310)]).state).toBe('agrees')
  })

  it('follows the measure’s rule: largest girth, shortest rib to tail, middle neck', () => {
    expect(agree('M07', [both(740), both(748)]).mm).toBe(748)
    expect(agree('M12', [both(262), both(266)]).mm).toBe(262)
    expect(agree('M06', [both(300), both(309), both(302)]).mm).toBe(302)
  })

  it('compares one-side readings as taken, then doubles them with twice the error', () => {
    const halves = agree('M01', [one(296), one(301)])
    expect(halves).toMatchObject({ mm: 597, spreadMm: 10, state: 'agrees' })
    const asTaken = agree('M06', [both(296), both(301)])
    expect(halves.sigmaMm).toBeCloseTo(2 * (asTaken.sigmaMm ?? 0), 9)
    expect(agree('M01', [one(300), both(604)])).toMatchObject({ mm: 602, spreadMm: 4, state: 'agrees' })
  })

  it('U07 lets a third reading help: two within the tolerance settle it, and the far one stands aside', () => {
    // 11 3/4, 12 1/4, then 11 7/8 in, one side.
    const inch = (value: number) => one(value * 25.4)
    const neck = agree('M01', [inch(11.75), inch(12.25), inch(11.875)])
    expect(neck).toMatchObject({ state: 'agrees', n: 3, mm: 2 * 11.875 * 25.4, aside: [2 * 12.25 * 25.4] })
    expect(neck.spreadMm).toBeCloseTo(2 * 0.125 * 25.4, 6)
    // The middle one near to both: none is far.
    expect(agree('M06', [both(310), both(318), both(326)])).toMatchObject({ state: 'agrees', mm: 318, aside: [] })
    expect(agree('M06', [both(310), both(330), both(350)])).toMatchObject({ state: 'disagrees', aside: [] })
    // The mean, the largest, the shortest are of those that count.
    expect(agree('M06', [both(310), both(314), both(350)], { ...USUAL_RULES, repeat: 'three' })).toMatchObject({ mm: 312, aside: [350] })
    expect(agree('M07', [both(700), both(704), both(760)])).toMatchObject({ mm: 704, aside: [760] })
    expect(agree('M12', [both(250), both(254), both(200)])).toMatchObject({ mm: 250, aside: [200] })
  })

  it('U02 is not wrecked by one slip of three, and no surer by it', () => {
    const pair = agree('M01', [one(289), one(289)])
    const slip = agree('M01', [one(289), one(289), one(1067)])
    expect(slip).toMatchObject({ mm: 578, state: 'agrees', aside: [2134], sigmaMm: pair.sigmaMm })
    expect(agree('M01', [one(289), one(1067)]).state).toBe('third-wanted')
  })

  it('T44 takes the larger of a pair of paws, and the middle of one paw’s tracings', () => {
    expect(agree('M32', [both(50), both(50), both(58)])).toMatchObject({ mm: 50, state: 'agrees', aside: [58] })
    expect(agree('M32', [both(50), both(52)]).mm).toBe(51)
  })

  it('T45 allows small things less: 3 mm on a paw, 5 mm on one side of a ring', () => {
    expect(agree('M32', [both(45), both(54)]).state).toBe('third-wanted')
    expect(agree('M32', [both(45), both(48)]).state).toBe('agrees')
    expect(agree('M01', [one(70), one(79)]).state).toBe('third-wanted')
    expect(agree('M01', [one(70), one(75)]).state).toBe('agrees')
    expect(agree('M06', [both(70), both(79)]).state).toBe('agrees')
  })

  it('pays no heed to struck readings nor to order', () => {
    const reading = fc.oneof(fc.double({ min: 100, max: 900, noNaN: true }).map(both), fc.double({ min: 100, max: 900, noNaN: true }).map(one))
    fc.assert(
      fc.property(
        fc.constantFrom('M01', 'M07', 'M12'),
        fc.array(reading, { maxLength: 6 }),
        fc.double({ min: 50, max: 2000, noNaN: true }),
        (id, list, odd) => {
          const plain = agree(id, list)
          const shuffled = agree(id, [...list].reverse())
          expect(agree(id, [...list.slice(0, 2), struck(odd), ...list.slice(2)])).toEqual(plain)
          expect(shuffled.state).toBe(plain.state)
          expect(shuffled.mm ?? 0).toBeCloseTo(plain.mm ?? 0, 6)
          expect(shuffled.sigmaMm ?? 0).toBeCloseTo(plain.sigmaMm ?? 0, 6)
        },
      ),
    )
  })

  it('grows surer with readings that agree and less sure with scatter', () => {
    const once = agree('M14', [both(520)]).sigmaMm ?? 0
    const twice = agree('M14', [both(520), both(521)]).sigmaMm ?? 0
    const wide = agree('M14', [both(500), both(540)]).sigmaMm ?? 0
    expect(twice).toBeLessThan(once)
    expect(wide).toBeGreaterThan(twice)
  })
})

describe('the catalogue', () => {
  it('holds M00 to M49 and doubles only the half neck and the half drop', () => {
    expect(measureIds).toHaveLength(50)
    expect(measureIds[0]).toBe('M00')
    expect(measureIds.at(-1)).toBe('M49')
    expect(
      Object.values(measures)
        .filter((measure) => measure.doubling)
        .map((measure) => measure.id),
    ).toEqual(['M01', 'M18'])
    expect(
      Object.values(measures)
        .filter((measure) => !measure.howTo.stand || !measure.howTo.howTight || !measure.howTo.usualSlip)
        .map((measure) => measure.id),
    ).toEqual([])
  })
})
