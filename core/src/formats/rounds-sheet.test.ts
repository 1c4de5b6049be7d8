import { describe, expect, it } from 'vitest'
import { typicalForm } from '../form/index.ts'
import { aimedLengths, layGear } from '../lay/index.ts'
import type { SizeTable, TryOn } from '../model/index.ts'
import { laySvg, readCsv, roundsToCsv, roundsToJson, sizeTableFromCsv, sizeTableFromJson, sizeTableToCsv, sizeTableToJson } from './index.ts'

const round: TryOn = {
  id: 'r', itemId: 'i', of: { named: true }, label: '=Cedar, "wide"', settings: [], changed: '', at: '2026-10-05T09:30:00.000Z', by: 'Test',
  foretold: {
    version: 3, straps: { neck: 600.5 },
    checks: [
      { check: 'v-on-breastbone', state: 'pulling', mm: -8.1, sigmaMm: 6, grade: 'holds' },
      { check: 'under-every-strap', state: 'slack', strap: 'neck', mm: 12, sigmaMm: 5, grade: 'doubt' },
      { check: 'under-every-strap', state: 'slack', strap: 'girth', mm: 2, sigmaMm: 5, grade: 'fails' },
    ],
  },
  moves: [{ strap: 'girth', side: 'left', byMm: -12.5 }], seconds: 160,
  observations: [
    { id: 'a', check: 'v-on-breastbone', state: 'pulling', grade: 'fails', asTyped: '-1 in', mm: -25.4, fingers: null, at: '', by: '' },
    { id: 'b', check: 'v-on-breastbone', state: 'pulling', grade: 'holds', asTyped: '', mm: null, fingers: null, at: '', by: '' },
    { id: 'c', check: 'no-sway', state: 'slack', grade: 'holds', asTyped: '', mm: null, fingers: null, at: '', by: '' },
  ],
  symptoms: [],
} // prettier-ignore
const head = { dog: 'Gannet', ticket: '147', family: 'H11' as const }

describe('rounds out', () => {
  it('as CSV: a line for each check, foretold beside seen, the newest answer; what was taken back is left out', () => {
    const { rows } = readCsv(roundsToCsv([round, { ...round, id: 's', struck: { at: '', by: '', why: '' } }], head))
    const column = (name: string): number => rows[0]?.indexOf(name) ?? -1
    const told = rows
      .slice(1)
      .map((cells) => [cells[column('check')], cells[column('strap')], cells[column('foretold')], cells[column('seen')], cells[column('foretold mm')]])
    expect(told).toEqual([
      ['v-on-breastbone', '', 'holds', 'holds', '-8.1'],
      ['under-every-strap', 'neck', 'doubt', '', '12'],
      ['under-every-strap', 'girth', 'fails', '', '2'],
      ['no-sway', '', '', 'holds', ''],
    ])
    expect(rows.every((cells) => cells.length === rows[0]?.length)).toBe(true)
  })

  it('as JSON: moves, seconds, strap lengths and the version of the rules', () => {
    const read = JSON.parse(roundsToJson([round], head)) as { rounds: Record<string, unknown>[] }
    expect(read).toMatchObject({ format: 'merry-tailor/rounds', dog: 'Gannet' })
    expect(read.rounds[0]).toMatchObject({ round: 1, moves: round.moves, seconds: 160, rules: 3, straps: { neck: 600.5 } })
  })
})

describe('a lay out', () => {
  it('is an SVG of one unit a millimetre, side and above, each strap named once', () => {
    const form = typicalForm({ build: 'nordic' })
    const { straps } = aimedLengths(form, 'H11', { neckMm: 0, neckLeastMm: 0, neckMostMm: 0, girthMm: 0, bellyMm: 0, behindElbowMm: 50 })
    const svg = laySvg(form, layGear({ form, family: 'H11', straps, pull: { riseRad: 0 }, withoutSpread: true }), {
      dog: 'A & B',
      gear: 'Cedar',
      on: '2026-10-05',
    })
    const [, width, height] = /width="([\d.]+)mm" height="([\d.]+)mm"/.exec(svg) ?? []
    expect(svg).toContain(`viewBox="0 0 ${width ?? ''} ${height ?? ''}"`)
    expect(svg).toContain('A &amp; B')
    const ids = [...svg.matchAll(/ id="([^"]+)"/g)].map(([, id]) => id)
    expect(new Set(ids).size).toBe(ids.length)
    expect(ids).toEqual(expect.arrayContaining(['side-neck', 'side-rear', 'above-cross']))
    // The dog is as long on paper as it is: within the drawing's own rounding.
    expect(Number(width)).toBeGreaterThan(form.sections.nose.tx - form.sections.tail.tx)
  })
})

it('a size table carries strap lengths, whose they are and the build through CSV and JSON', () => {
  const table: SizeTable = {
    id: 'test-car', version: 1, name: 'Test', maker: 'Test', family: 'H24', way: 'stock', unit: 'cm', between: null, build: 'two-buckle',
    strapWords: { Chest: 'girth', 'Tail bit': null },
    sizes: [{ label: 'M', bands: { M07: [600, 700] }, straps: { Chest: [620, 740], 'Tail bit': [100, 120] } }],
    lead: { minWeeks: 0, maxWeeks: 0 },
  } // prettier-ignore
  expect(sizeTableFromCsv(sizeTableToCsv(table))).toEqual({ ok: true, value: table })
  expect(sizeTableFromJson(sizeTableToJson(table))).toEqual({ ok: true, value: table })
})
