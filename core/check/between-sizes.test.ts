import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { adviseSizes, rankSizes, settleByForm, type FamilyId, type SizedBody, type SizeTable } from '../src/index.ts'

type Table = Pick<SizeTable, 'family' | 'between' | 'sizes' | 'way'>
const table = (family: FamilyId, measure: string, bands: readonly (readonly [string, number, number])[], between: 'up' | 'down' | null = null): Table => ({
  family,
  between,
  way: 'stock',
  sizes: bands.map(([label, from, to]) => ({ label, bands: { [measure]: [from, to] } })),
})
const read = (measure: string, mm: number, sigmaMm = 0.5): SizedBody => ({ [measure]: { mm, sigmaMm } })
const advised = (of: Table, body: SizedBody) => adviseSizes(of, rankSizes(of, body))
const inch = (value: number): number => value * 25.4

/** A cross-back's necks with half-inch gaps, and a running plate's lengths: invented. */
const crossBack = table('H11', 'M01', [['Birch', inch(19.25), inch(20.5)], ['Cedar', inch(21), inch(22.5)]]) // prettier-ignore
const plate = table('H10', 'M06', [['M', 150, 180], ['L', 210, 240]]) // prettier-ignore

describe('between two sizes, handbook 6.2 (common practice: cross-back down, running plate up)', () => {
  it('T01 a neck in the gap is between two sizes however narrow its spread: never nothing', () => {
    for (const value of [20.55, 20.6, 20.8, 20.9, 20.95, 20.99]) expect([value, advised(crossBack, read('M01', inch(value)))]).toEqual([value, { kind: 'both', labels: ['Birch', 'Cedar'] }]) // prettier-ignore
    expect(advised({ ...crossBack, between: 'up' }, read('M01', inch(20.55)))).toEqual({ kind: 'both', labels: ['Cedar', 'Birch'] })
    for (const mm of [181, 183, 195, 205, 209]) expect([mm, advised(plate, read('M06', mm))]).toEqual([mm, { kind: 'both', labels: ['L', 'M'] }])
    const wide = table('H11', 'M01', [['M', 460, 500], ['L', 540, 580]]) // prettier-ignore
    for (const mm of [501, 520, 533, 539]) expect([mm, advised(wide, read('M01', mm))]).toEqual([mm, { kind: 'both', labels: ['M', 'L'] }])
    expect(advised(wide, read('M01', 560))).toEqual({ kind: 'one', labels: ['L'] })
  })

  it('T01 room both ways: the nearer of the two first', () => {
    const girth = table('H01', 'M07', [['M', 600, 640], ['L', 660, 700]]) // prettier-ignore
    expect(advised(girth, read('M07', 645))).toEqual({ kind: 'both', labels: ['M', 'L'] })
    expect(advised(girth, read('M07', 656))).toEqual({ kind: 'both', labels: ['L', 'M'] })
  })

  it('says nothing only outside the table, or where another measure rules both out (6.3, V15)', () => {
    expect(advised(crossBack, read('M01', inch(19))).kind).toBe('nothing')
    expect(advised(crossBack, read('M01', inch(23))).kind).toBe('nothing')
    const two: Table = { ...crossBack, sizes: crossBack.sizes.map((size) => ({ ...size, bands: { ...size.bands, M13: [700, 760] } })) }
    const ranked = rankSizes(two, { ...read('M01', inch(20.8)), M13: { mm: 455, sigmaMm: 1 } })
    expect(adviseSizes(two, ranked).kind).toBe('nothing')
    expect(ranked[0]?.because.measure).toBe('M13')
  })

  it('a size another measure rules out is not tried with the one that may do', () => {
    const two: Table = {
      ...crossBack,
      sizes: crossBack.sizes.map((size, i) => ({ ...size, bands: { ...size.bands, M13: i === 0 ? [700, 760] : [600, 660] } })),
    }
    const body = { ...read('M01', inch(20.8)), M13: { mm: 730, sigmaMm: 1 } }
    expect(advised(two, body)).toEqual({ kind: 'one', labels: ['Birch'] })
    expect(advised({ ...two, between: 'up' }, body).labels[0]).toBe('Birch')
  })

  it('T02 what would settle it favours the size the advice names first', () => {
    for (const [of, measure, values] of [
      [crossBack, 'M01', [20.55, 20.8, 20.99].map(inch)],
      [plate, 'M06', [186, 195, 205]],
    ] as const)
      // prettier-ignore
      for (const mm of values) {
        const { favoured } = settleByForm(of, read(measure, mm), null)
        expect([mm, favoured]).toEqual([mm, advised(of, read(measure, mm)).labels[0]])
      }
  })

  it('over random tables and bodies: a gap is one or both of its two sizes, and what fails never stands before what may do', () => {
    const families = ['H01', 'H02', 'H05', 'H09', 'H10', 'H11', 'H14', 'H20', 'H21', 'H22', 'H24', 'C1', 'C4'] as const
    const tables = fc.record({
      family: fc.constantFrom(...families),
      between: fc.constantFrom('up' as const, 'down' as const, null),
      steps: fc.array(fc.tuple(fc.integer({ min: 5, max: 60 }), fc.integer({ min: 1, max: 40 })), { minLength: 2, maxLength: 7 }),
      at: fc.double({ min: 0, max: 1, noNaN: true }),
      which: fc.nat(20),
      sigmaMm: fc.double({ min: 0, max: 12, noNaN: true }),
    })
    fc.assert(
      fc.property(tables, ({ family, between, steps, at, which, sigmaMm }) => {
        let from = 400
        const bands = steps.map(([wide, gap], i): [string, number, number] => {
          const band: [string, number, number] = [`size ${i}`, from, from + wide]
          from += wide + gap
          return band
        })
        const measure = family === 'C1' ? 'M15' : 'M07'
        const of = table(family, measure, bands, between)
        const i = which % (bands.length - 1)
        const [below, above] = [bands[i] as [string, number, number], bands[i + 1] as [string, number, number]]
        const mm = below[2] + (above[1] - below[2]) * (0.02 + 0.96 * at)
        const ranked = rankSizes(of, read(measure, mm, sigmaMm))
        const { kind, labels } = adviseSizes(of, ranked)
        const order = ranked.map(({ grade }) => grade)
        const isOrdered = order.lastIndexOf('doubt') < (order.includes('fails') ? order.indexOf('fails') : order.length)
        return (
          isOrdered &&
          (kind === 'one' || kind === 'both') &&
          (sigmaMm > 0.5 * Math.min(below[2] - below[1], above[2] - above[1]) || labels.every((label) => label === below[0] || label === above[0]))
        )
      }),
      { numRuns: 400 },
    )
  })
})
