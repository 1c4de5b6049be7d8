import Ajv2020 from 'ajv/dist/2020.js'
import addFormats from 'ajv-formats'
import { parse } from 'csv-parse/sync'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { crc8 } from '../src/index.ts'
import {
  bodySheetFromCsv,
  bodySheetFromJson,
  bodySheetSchema,
  bodySheetToCsv,
  bodySheetToJson,
  guardCell,
  readCsv,
  unguardCell,
  writeCsv,
  type BodySheet,
} from '../src/formats/index.ts'
import { aSheet } from './a-sheet.ts'

describe('CSV (RFC 4180)', () => {
  it.each([
    [
      'aaa,bbb,ccc\r\nzzz,yyy,xxx\r\n',
      [
        ['aaa', 'bbb', 'ccc'],
        ['zzz', 'yyy', 'xxx'],
      ],
    ],
    [
      'aaa,bbb,ccc\r\nzzz,yyy,xxx',
      [
        ['aaa', 'bbb', 'ccc'],
        ['zzz', 'yyy', 'xxx'],
      ],
    ],
    [
      '"aaa","b\r\nbb","ccc"\r\nzzz,yyy,xxx',
      [
        ['aaa', 'b\r\nbb', 'ccc'],
        ['zzz', 'yyy', 'xxx'],
      ],
    ],
    ['"aaa","b""bb","ccc"', [['aaa', 'b"bb', 'ccc']]],
    ['aaa,,\r\n', [['aaa', '', '']]],
    ['a b, c ,d\r\n', [['a b', ' c ', 'd']]],
  ])('reads the cases of section 2: %j (value from memory)', (text, rows) => {
    expect(readCsv(text).rows).toEqual(rows)
  })

  it('is read by a reference parser as it was meant, and read back by itself', () => {
    const cell = fc.string({ unit: fc.constantFrom('a', '7', ',', '"', '\n', '\r\n', ' ', ';', 'ä', "'") })
    fc.assert(
      fc.property(fc.array(fc.tuple(cell, cell, cell), { minLength: 1, maxLength: 8 }), (body) => {
        // A head of plain words, as every list of ours has one.
        const rows = [['one', 'two', 'three'], ...body]
        const text = writeCsv(rows)
        expect(parse(text, { relax_column_count: true, skip_empty_lines: false }).map((row) => row.map(unguardCell))).toEqual(rows)
        expect(readCsv(text).rows).toEqual(rows)
      }),
      { numRuns: 400 },
    )
  })

  it('lets no spreadsheet run a cell, and brings every cell back', () => {
    for (const cell of ['=1+1', '+49 30', '@name', '-2+3', '\tx', "'=1", "''=1"]) {
      expect(guardCell(cell).startsWith("'")).toBe(true)
      expect(unguardCell(guardCell(cell))).toBe(cell)
    }
    for (const cell of ['Tern', '-2.5', '', "O'Hara", '27,3']) expect(guardCell(cell)).toBe(cell)
    // A22: where a spreadsheet splits at semicolons, tabs or bars a formula begins inside a cell; full-width signs begin one too.
    for (const [cell, safe] of [
      ['x;=1+1', "x;'=1+1"],
      ['x\t=1', "x\t'=1"],
      ['a|@b', "a|'@b"],
      ['＝1+1', "'＝1+1"],
    ] as const) {
      expect(guardCell(cell)).toBe(safe)
      expect(unguardCell(guardCell(cell))).toBe(cell)
    }
    fc.assert(fc.property(fc.string(), (cell) => unguardCell(guardCell(cell)) === cell))
  })
})

describe('the body sheet', () => {
  const ajv = new Ajv2020({ strict: false })
  addFormats(ajv)
  const valid = ajv.compile(bodySheetSchema())

  it('meets its own schema by a reference validator', () => {
    expect(valid(JSON.parse(bodySheetToJson(aSheet())))).toBe(true)
    expect(valid({ ...aSheet(), version: 2 })).toBe(false)
    expect(valid({ ...aSheet(), dog: { name: 'Tern' } })).toBe(false)
  })

  it('comes back as it went out', () => {
    const read = bodySheetFromJson(bodySheetToJson(aSheet()))
    expect(read).toEqual({ ok: true, value: aSheet() })
  })

  it('names what is wrong by its path and takes nothing in half', () => {
    const bad: unknown = { ...aSheet(), visits: [{ ...aSheet().visits[0], by: 7 }] }
    const read = bodySheetFromJson(JSON.stringify(bad))
    expect(read.ok ? [] : read.problems.map((problem) => problem.at)).toContain('visits.0.by')
    const strange: BodySheet = aSheet()
    strange.visits[0]!.readings[0]!.measure = 'M09'
    expect(bodySheetFromJson(JSON.stringify(strange)).ok).toBe(true)
    expect(bodySheetFromJson('[]').ok).toBe(false)
    expect(bodySheetFromJson('{"format"').ok).toBe(false)
  })

  it('goes to a spreadsheet with its formulas guarded', () => {
    const sheet = aSheet()
    sheet.dog.name = '=cmd()'
    const rows = parse(bodySheetToCsv(sheet), { relax_column_count: true })
    expect(rows.find((row) => row[0] === 'name')?.[1]).toBe("'=cmd()")
    const head = rows.findIndex((row) => row[1] === 'taken at')
    expect(rows.slice(head + 1, head + 3).map((row) => row[9])).toEqual(['yes', 'no'])
    expect(bodySheetFromCsv(bodySheetToCsv(sheet))).toEqual({ ok: true, value: sheet })
    expect(bodySheetFromCsv('name,Tern\n')).toMatchObject({ ok: false })
    expect(bodySheetFromCsv(bodySheetToCsv(sheet).replace('scar', 'tattoo')).ok).toBe(false)
  })
})

it('CRC-8/SMBUS of "123456789" is F4 (catalogue of parametrised CRC algorithms, value from memory)', () => {
  expect(crc8('123456789')).toBe(0xf4)
})
