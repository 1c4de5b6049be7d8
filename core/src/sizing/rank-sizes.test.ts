import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { SizeTable } from '../model/index.ts'
import { adviseSizes, atHandFirst, rankSizes, rankTables } from './index.ts'

const table = (over: Partial<SizeTable> = {}): SizeTable => ({
  id: 'test-table',
  version: 1,
  name: 'Test',
  maker: 'Test',
  family: 'H11',
  way: 'stock',
  unit: 'cm',
  between: null,
  sizes: [
    { label: '4', bands: { M01: [500, 540], M13: [600, 650] } },
    { label: '5', bands: { M01: [550, 590], M13: [660, 700] } },
    { label: '6', bands: { M01: [600, 640], M13: [710, 760] } },
  ],
  lead: { minWeeks: 0, maxWeeks: 0 },
  ...over,
})
const known = (mm: number, sigmaMm = 4) => ({ mm, sigmaMm })
const labels = (...args: Parameters<typeof rankSizes>) => rankSizes(...args).map((size) => size.label)

describe('rankSizes', () => {
  it('grades a measure by where its whole spread lies', () => {
    const [best] = rankSizes(table(), { M01: known(570) })
    expect(best).toMatchObject({ label: '5', grade: 'holds', because: { code: 'in-band' } })
    expect(best?.perMeasure).toMatchObject([
      { measure: 'M01', spreadMm: 8, byMm: 0, grade: 'holds' },
      { measure: 'M13', mm: null, byMm: null, grade: 'none', chance: null },
    ])
    const far = rankSizes(table(), { M01: known(570) }).find((size) => size.label === '4')
    expect(far).toMatchObject({ grade: 'fails', perMeasure: [{ byMm: 30 }, {}] })
    expect(rankSizes(table(), { M01: known(553) })[0]).toMatchObject({ label: '5', grade: 'doubt', because: { code: 'edge' } })
  })

  it('takes a size’s worst measure, and says none without a tape', () => {
    expect(rankSizes(table(), { M01: known(570), M13: known(630) }).find((size) => size.label === '5')).toMatchObject({
      grade: 'fails',
      because: { code: 'below', measure: 'M13', mm: -30 },
    })
    expect(rankSizes(table(), {}).map((size) => [size.grade, size.chance])).toEqual([
      ['none', null],
      ['none', null],
      ['none', null],
    ])
  })

  it('orders two sizes about a gap by the family’s rule, down for a cross-back, or by the maker’s', () => {
    const inGap = { M01: known(597) }
    expect(labels(table(), inGap).slice(0, 2)).toEqual(['5', '6'])
    expect(labels(table({ between: 'up' }), inGap).slice(0, 2)).toEqual(['6', '5'])
    // Bands that overlap: whoever sits well inside the smaller is not between, though the larger begins there.
    const overlap = table({ between: 'up', sizes: [{ label: 'S', bands: { M01: [500, 600] } }, { label: 'M', bands: { M01: [580, 680] } }] }) // prettier-ignore
    expect(labels(overlap, { M01: known(585) })).toEqual(['S', 'M'])
    expect(labels(overlap, { M01: known(597) })).toEqual(['M', 'S'])
    expect(rankSizes(overlap, { M01: known(615) })[0]?.because).toEqual({ code: 'in-band', measure: 'M01', mm: 0 })
    // Inside both: where the rule goes down the smaller goes first, though the larger has more room.
    expect(labels({ ...overlap, between: 'down' }, { M01: known(590, 2) })).toEqual(['S', 'M'])
    expect(rankSizes(table(), inGap)[0]?.because).toEqual({ code: 'between-down', measure: 'M01', other: '6' })
    expect(labels(table({ family: 'H01' }), inGap)[0]).toBe('6')
  })

  it('lets no rule about the neck save a size that another measure rules out', () => {
    expect(labels(table(), { M01: known(597), M13: known(735) })[0]).toBe('6')
  })

  it('changes nothing when dog and table move together', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 505, max: 635, noNaN: true }),
        fc.double({ min: 1, max: 12, noNaN: true }),
        fc.integer({ min: -200, max: 900 }),
        (mm, sigma, by) => {
          const moved = table({ sizes: table().sizes.map((size) => ({ ...size, bands: { M01: [size.bands.M01![0] + by, size.bands.M01![1] + by] } })) })
          const still = table({ sizes: table().sizes.map((size) => ({ ...size, bands: { M01: size.bands.M01! } })) })
          const round = (sizes: ReturnType<typeof rankSizes>) => sizes.map((size) => [size.label, size.grade, (size.chance ?? 0).toFixed(6)])
          expect(round(rankSizes(moved, { M01: known(mm + by, sigma) }))).toEqual(round(rankSizes(still, { M01: known(mm, sigma) })))
        },
      ),
    )
  })

  it('never lowers the chance when a band grows wider', () => {
    const n = fc.double({ min: 0, max: 60, noNaN: true })
    fc.assert(
      fc.property(fc.double({ min: 450, max: 700, noNaN: true }), fc.double({ min: 0, max: 30, noNaN: true }), n, n, (mm, sigma, low, high) => {
        const one = (band: [number, number]) => rankSizes(table({ sizes: [{ label: 'x', bands: { M01: band } }] }), { M01: known(mm, sigma) })[0]?.chance ?? 0
        expect(one([550 - low, 590 + high])).toBeGreaterThanOrEqual(one([550, 590]) - 1e-12)
      }),
    )
  })
})

describe('rankTables', () => {
  it('does not let a maker win by asking for fewer measures', () => {
    const three = table({ id: 'three', sizes: [{ label: 'M', bands: { M01: [540, 600], M13: [640, 720] } }] })
    const neckOnly = table({ id: 'neck', sizes: [{ label: 'M', bands: { M01: [560, 585] } }] })
    const ranked = rankTables([neckOnly, three], { M01: known(571), M13: known(680) })
    expect(ranked.map((each) => each.table.id)).toEqual(['three', 'neck'])
    expect(ranked[0]?.lowestChance).toBeGreaterThan(ranked[1]?.lowestChance ?? 1)
  })
})

describe('adviseSizes', () => {
  const advise = (mm: number, over: Partial<SizeTable> = {}) => adviseSizes(table(over), rankSizes(table(over), { M01: known(mm) }))
  it('says one, both, nothing, or no tape yet', () => {
    expect(advise(570)).toEqual({ kind: 'one', labels: ['5'] })
    expect(advise(595)).toEqual({ kind: 'both', labels: ['5', '6'] })
    expect(advise(900)).toEqual({ kind: 'nothing', labels: [] })
    // Between two sizes by the neck, past both by the girth: neither is worth trying, and the girth says why.
    const past = rankSizes(table(), { M01: known(595), M13: known(900) })
    expect(adviseSizes(table(), past)).toEqual({ kind: 'nothing', labels: [] })
    expect(past[0]?.because).toMatchObject({ code: 'above', measure: 'M13' })
    expect(advise(570, { way: 'made' })).toEqual({ kind: 'measured', labels: ['5'] })
    expect(adviseSizes(table(), rankSizes(table(), {}))).toEqual({ kind: 'no-tape', labels: [] })
  })

  it('puts stock that may fit before anything ordered', () => {
    const row = (id: string, way: SizeTable['way'], kind: 'one' | 'nothing' | 'measured') => ({ table: table({ id, way }), advice: { kind, labels: [] } })
    const first = (...rows: ReturnType<typeof row>[]) => atHandFirst(rows).map((each) => each.table.id)
    expect(first(row('m', 'made', 'measured'), row('q', 'quick-ship', 'one'), row('s', 'stock', 'one'))).toEqual(['s', 'm', 'q'])
    expect(first(row('m', 'made', 'measured'), row('s', 'stock', 'nothing'))).toEqual(['m', 's'])
  })
})
