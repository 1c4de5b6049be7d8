import { cumulativeStdNormalProbability, sampleStandardDeviation } from 'simple-statistics'
import { describe, expect, it } from 'vitest'
import {
  agree,
  breeds,
  findBreed,
  KG_PER_POUND,
  MM_PER_UNIT,
  normalCdf,
  strapSlackMm,
  technicalErrorMm,
  technicalErrorOfMeasurement,
  thinPointSlackMm,
} from '../src/index.ts'

describe('units', () => {
  it('International Yard and Pound Agreement 1959, exact (value from memory)', () => {
    expect(MM_PER_UNIT.in).toBe(25.4)
    expect(KG_PER_POUND).toBe(0.45359237)
  })
})

describe('technical error of measurement', () => {
  it('Dahlberg’s form on the worked pairs (Ulijaszek & Kerr 1999, formula from memory)', () => {
    const pairs = [
      [70.2, 70.8],
      [52.1, 51.8],
      [88.0, 89.1],
      [40.4, 40.5],
      [63.3, 62.7],
    ] as const
    const tem = technicalErrorOfMeasurement(pairs)
    expect(tem).toBeCloseTo(0.4506, 4)
    const readings: readonly number[] = pairs.flat()
    expect((100 * tem) / (readings.reduce((sum, each) => sum + each, 0) / readings.length)).toBeCloseTo(0.716, 3)
  })

  it('of three readings of one thing is their standard deviation; the standard error is that over root 3', () => {
    const tem = technicalErrorOfMeasurement([[70.2, 70.8, 70.5]])
    expect(tem).toBeCloseTo(0.3, 9)
    expect(tem / Math.sqrt(3)).toBeCloseTo(0.1732, 4)
    expect(() => technicalErrorOfMeasurement([[1, 2], [1]])).toThrow(RangeError)
  })

  it('is the standard deviation of a single pair', () => {
    expect(technicalErrorOfMeasurement([[412, 418]])).toBeCloseTo(sampleStandardDeviation([412, 418]), 9)
  })

  it('bounds the standard error of an agreed value: s / sqrt(n) between prior and own scatter', () => {
    const readings = [702, 708, 705]
    const own = sampleStandardDeviation(readings)
    const prior = technicalErrorMm('M14', 705)
    const { sigmaMm, mm } = agree(
      'M14',
      readings.map((value) => ({ mm: value, side: 'both' as const })),
    )
    expect(mm).toBe(705)
    expect(own).toBeCloseTo(3, 9)
    expect(sigmaMm).toBeGreaterThan(Math.min(own, prior * 0.99) / Math.sqrt(3))
    expect(sigmaMm).toBeLessThan(Math.max(own, prior) / Math.sqrt(3))
  })
})

describe('normal probabilities', () => {
  it('against the table of a reference library', () => {
    for (let z = -3; z <= 3; z += 0.25) expect(normalCdf(z)).toBeCloseTo(cumulativeStdNormalProbability(z), 3)
    expect(normalCdf(1.959964)).toBeCloseTo(0.975, 6)
    expect(normalCdf(-1.2815516)).toBeCloseTo(0.1, 6)
  })
})

describe('slack under a strap', () => {
  it('facts 9b, computed: flat block and thin point on a circle', () => {
    const girth = (radius: number): number => 2 * Math.PI * radius
    const rows = [
      [40, 16.368, 23.481, 33.92],
      [80, 12.422, 16.393, 21.891],
      [120, 10.41, 13.142, 16.769],
      [160, 9.139, 11.214, 13.888],
    ] as const
    for (const [radius, point, one, two] of rows) {
      expect(thinPointSlackMm(radius, 16)).toBeCloseTo(point, 2)
      expect(strapSlackMm(girth(radius), { widthMm: 20, thicknessMm: 16 })).toBeCloseTo(one, 2)
      expect(strapSlackMm(girth(radius), { widthMm: 40, thicknessMm: 16 })).toBeCloseTo(two, 2)
    }
    expect(strapSlackMm(girth(80), { widthMm: 1e-6, thicknessMm: 16 })).toBeCloseTo(thinPointSlackMm(80, 16), 4)
    // Handbook 7.1, computed there: one and two fingers and a whole hand, flat, in centimetres of strap.
    for (const [cm, one, two, hand] of [[30, 2.1, 3.0, 6.2], [45, 1.7, 2.4, 4.6], [60, 1.5, 1.9, 3.7], [75, 1.3, 1.7, 3.1], [90, 1.2, 1.5, 2.6]] as const) {
      const slack = (widthMm: number, thicknessMm: number): number => Math.round(strapSlackMm(cm * 10, { widthMm, thicknessMm })) / 10
      expect([cm, slack(20, 16), slack(40, 16), slack(80, 18)]).toEqual([cm, one, two, hand])
    } // prettier-ignore
    // The classic mistake: an even gap all round would be 100 mm.
    expect(strapSlackMm(girth(80), { widthMm: 40, thicknessMm: 16 })).toBeLessThan(2 * Math.PI * 16 * 0.25)
  })
})

describe('breeds', () => {
  it('FCI standards by number (values from memory)', () => {
    expect(breeds).toHaveLength(203)
    expect(findBreed('Labrador Retriever')).toMatchObject({ fci: 122, maleCm: [56, 57] })
    expect(findBreed('siberian husky')).toMatchObject({ fci: 270, maleKg: [20.5, 28], build: 'nordic' })
    expect(findBreed('Pug')).toMatchObject({ fci: 253, flatFace: true })
    expect(findBreed('Grosser Munsterlander')).toBeUndefined()
    expect(findBreed('large munsterlander')?.fci).toBe(118)
  })
})
