import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { agree, measureIds, measures, technicalErrorMm } from './index.ts'

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
    const halves = agree('M01', [one(296), one(302)])
    expect(halves).toMatchObject({ mm: 598, spreadMm: 12, state: 'agrees' })
    const asTaken = agree('M06', [both(296), both(302)])
    expect(halves.sigmaMm).toBeCloseTo(2 * (asTaken.sigmaMm ?? 0), 9)
    expect(agree('M01', [one(300), both(604)])).toMatchObject({ mm: 602, spreadMm: 4, state: 'agrees' })
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
