import { describe, expect, it } from 'vitest'
import type { SizeTable } from '../model/index.ts'
import { sizeTableFromCsv, sizeTableFromJson, sizeTableToCsv, sizeTableToJson } from './index.ts'

const table: SizeTable = {
  id: 'a-b',
  version: 3,
  name: 'Cross-back, "long", stock',
  maker: 'Test, & Sons',
  family: 'H11',
  way: 'made',
  school: 'B',
  unit: 'in',
  between: 'down',
  sizes: [
    { label: '5', bands: { M01: [21 * 25.4, 22.5 * 25.4], M13: [24.75 * 25.4, 26.75 * 25.4] } },
    { label: '6', bands: { M01: [23 * 25.4, 24.5 * 25.4] } },
  ],
  lead: { minWeeks: 4, maxWeeks: 6, peak: { months: [9, 10], minWeeks: 6, maxWeeks: 10 } },
}

describe('size tables as documents', () => {
  it('come back as they went out', () => {
    expect(sizeTableFromJson(sizeTableToJson(table))).toEqual({ ok: true, value: table })
    const read = sizeTableFromCsv(sizeTableToCsv(table))
    expect(read.ok && read.value).toMatchObject({ ...table, sizes: [{ label: '5' }, { label: '6' }] })
    const band = read.ok ? read.value.sizes[0]?.bands.M13 : undefined
    expect(band?.[0]).toBeCloseTo(24.75 * 25.4, 6)
    expect(read.ok && Object.keys(read.value.sizes[1]?.bands ?? {})).toEqual(['M01'])
  })

  it('keep what the maker says besides, and what it says nothing of', () => {
    const full: SizeTable = {
      ...table,
      sizes: [
        { label: '5', bands: { M01: [530, 570] }, straps: { Belly: [400, 520] }, testedKg: 30 },
        { label: '6', bands: { M01: [580, 620] } },
      ],
      rules: { fingers: [1, 2], cut: 'roomy' },
      price: [30, 45],
      unjudged: ['Länge', 'Fit'],
      retired: '2026-11-01',
    }
    expect(sizeTableFromJson(sizeTableToJson(full))).toEqual({ ok: true, value: full })
    const read = sizeTableFromCsv(sizeTableToCsv(full))
    expect(read.ok && read.value).toMatchObject({ rules: full.rules, price: full.price, unjudged: full.unjudged, retired: '2026-11-01' })
    expect(sizeTableFromCsv(sizeTableToCsv(full).replace('2026-11-01', 'last week'))).toMatchObject({ ok: false, problems: [{ at: 'retired' }] })
    expect(read.ok && read.value.sizes[0]).toMatchObject({ testedKg: 30 })
    expect(read.ok && read.value.sizes[0]?.straps?.Belly?.[1]).toBeCloseTo(520, 3)
    expect(read.ok && 'straps' in (read.value.sizes[1] ?? {})).toBe(false)
    expect(sizeTableFromCsv(sizeTableToCsv(full).replace('fingers,1-2', 'fingers,some'))).toMatchObject({ ok: false, problems: [{ at: 'fingers' }] })
  })

  it('read lengths as a fitter types them', () => {
    const csv = 'id,x\nname,X\nmaker,Y\nfamily,H01\nway,stock\nunit,in\nlead weeks,0\n\nsize,M07 from,M07 to\nS,13 1/2,34.5 cm\n'
    const read = sizeTableFromCsv(csv)
    expect(read.ok && read.value.sizes).toEqual([{ label: 'S', bands: { M07: [342.9, 345] } }])
  })

  it('name every bad cell and take nothing in half', () => {
    const csv = 'id,x\nname,X\nmaker,Y\nfamily,H01\nway,stock\nunit,cm\nlead weeks,soon\n\nsize,M07 from,M07 to,M99x from\nS,50,forty,1\nM,,60,\n'
    const read = sizeTableFromCsv(csv)
    expect(read.ok ? [] : read.problems.map((problem) => problem.at)).toEqual(['line 9, column 4', 'line 10, column 3', 'line 10', 'line 11', 'lead weeks'])
    const rows = (body: string) => `id,x\nname,X\nmaker,Y\nfamily,H01\nway,stock\nunit,cm\nlead weeks,0\n\nsize,M07 from,M07 to\n${body}`
    const said = (body: string) => {
      const r = sizeTableFromCsv(rows(body))
      return r.ok ? [] : r.problems.map((problem) => `${problem.at}: ${problem.message}`)
    }
    expect(said('S,60,50\nM,70,80\nS,90,95\n')).toEqual(['line 10: M07 runs from the larger to the smaller', 'line 12: "S" is also the name of line 10'])
    expect(said('S,50,60\n'.repeat(10_000))).toEqual(['file: 10,009 lines; a size table has at most 60 sizes'])
    expect(sizeTableFromCsv(rows('S,50,60').replace('unit,cm', 'unit,'))).toMatchObject({ ok: false, problems: [{ at: 'unit' }] })
    expect(sizeTableFromCsv('')).toMatchObject({ ok: false })
    expect(sizeTableFromJson('{')).toMatchObject({ ok: false, problems: [{ at: 'file' }] })
    expect(sizeTableFromJson('{"id":"A b"}')).toMatchObject({ ok: false })
    const twice = { ...table, sizes: [table.sizes[0], table.sizes[0]] }
    expect(sizeTableFromJson(JSON.stringify(twice))).toMatchObject({ ok: false, problems: [{ at: 'sizes' }] })
  })
})
