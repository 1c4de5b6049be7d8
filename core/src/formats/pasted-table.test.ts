import { describe, expect, it } from 'vitest'
import {
  guessColumns,
  parseSpan,
  readPasted,
  sizeTableFromCsv,
  sizeTableToCsv,
  tableFromPasted,
  type ColumnMeaning,
  type Pasted,
  type PastedAbout,
} from './index.ts'

const table: PastedAbout['table'] = { id: 'pasted', version: 1, name: 'Pasted', maker: 'Test', family: 'H01', way: 'stock', between: null }
const pasted = (text: string): Pasted => {
  const read = readPasted(text)
  if (!read.ok) throw new Error(read.problems.map((each) => each.message).join('; '))
  return read.value
}
const size: ColumnMeaning = { kind: 'size' }
const range = (measure: string): ColumnMeaning => ({ kind: 'range', measure })
const problemsOf = (text: string, columns: (ColumnMeaning | null)[], over: Partial<PastedAbout> = {}) => {
  const read = tableFromPasted(pasted(text), { unit: 'cm', columns, giveMm: null, table, ...over })
  return read.ok ? [] : read.problems
}

describe('cells of a spreadsheet', () => {
  it('are read with tabs, semicolons or commas, and say what their columns may mean', () => {
    const cells = pasted('Size\tNeck\tGirth from\tGirth to\tLength\tColour\tM06\nS\t35-40\t50\t56\t41\tred\t14-16\n')
    const guesses = guessColumns(cells)
    expect(guesses.map((guess) => guess.meaning)).toEqual([size, null, null, null, null, null, range('M06')])
    expect(guesses[1]?.ask).toContain('M01')
    expect(guesses[1]?.ask).toContain('M02')
    expect(guesses[4]?.ask.length).toBeGreaterThan(3)
    expect(guesses[5]?.ask).toEqual([])
    expect(pasted('a;b\n1;2').head).toEqual(['a', 'b'])
  })

  it('become a table once somebody said which paths they are; the rest is kept and judges nothing', () => {
    const cells = pasted('Size\tNeck\tGirth from\tGirth to\tLänge\nS\t35 – 40\t50\t56\t41\nM\t41 to 46\t57\t64,5\t48\n')
    const read = tableFromPasted(cells, {
      unit: 'cm',
      columns: [size, range('M01'), { kind: 'from', measure: 'M07' }, { kind: 'to', measure: 'M07' }, null],
      giveMm: null,
      table,
    })
    expect(read.ok && read.value.sizes).toEqual([
      { label: 'S', bands: { M01: [350, 400], M07: [500, 560] } },
      { label: 'M', bands: { M01: [410, 460], M07: [570, 645] } },
    ])
    expect(read.ok && read.value.unjudged).toEqual(['Länge'])
    expect(read.ok && sizeTableFromCsv(sizeTableToCsv(read.value)).ok).toBe(true)
  })

  it('take inches with fractions, and a unit in the cell before the table’s', () => {
    expect(parseSpan('18 1/2-20', 'in')).toEqual({ ok: true, band: [18.5 * 25.4, 508], mm: 18.5 * 25.4 })
    expect(parseSpan('45-52 cm', 'in')).toMatchObject({ band: [450, 520] })
    expect(parseSpan('18-3/4', 'in')).toMatchObject({ ok: true, band: null })
    expect(parseSpan('45-52', null)).toEqual({ ok: false, says: 'has no unit' })
    expect(parseSpan('45 cm – 52 cm', null)).toMatchObject({ band: [450, 520] })
    expect(parseSpan('soon', 'cm')).toEqual({ ok: false, says: 'is no length' })
  })

  it('with one number to a cell need to be told how far it gives', () => {
    expect(problemsOf('Size,Girth\nS,50\n', [size, range('M07')])[0]?.message).toContain('one number')
    const read = tableFromPasted(pasted('Size,Girth\nS,50\n'), { unit: 'cm', columns: [size, range('M07')], giveMm: 20, table })
    expect(read.ok && read.value.sizes[0]?.bands.M07).toEqual([480, 520])
  })

  it('are refused with every bad cell named: reversed, twice the name, no unit, no number', () => {
    expect(problemsOf('Size,Girth\nS,56-50\nM,far\nS,60-64\n', [size, range('M07')]).map((each) => each.at)).toEqual([
      'row 2, “Girth”',
      'row 3, “Girth”',
      'row 4',
    ])
    expect(problemsOf('Size,Girth\nS,50-56\n', [size, range('M07')], { unit: null })).toEqual([
      { at: 'unit', message: 'say whether these are inches or centimetres' },
    ])
    expect(problemsOf('Size,a,b\nS,50-56,60-64\n', [size, range('M07'), range('M07')])[0]?.message).toContain('two columns')
    expect(problemsOf('Size,a\nS,50-56\n', [size, null])[0]?.at).toBe('columns')
    expect(problemsOf('Size,from\nS,50\n', [size, { kind: 'from', measure: 'M07' }])[0]?.message).toContain('lacks one end')
    expect(problemsOf('Size,a\n,50-56\n', [size, range('M07')])[0]?.message).toContain('no name')
  })

  it('are refused in thousands, and when nothing was copied', () => {
    const many = `Size,Girth\n${Array.from({ length: 10_000 }, (_, i) => `${i},${i + 1}-${i + 2}`).join('\n')}`
    expect(readPasted(many)).toMatchObject({ ok: false, problems: [{ at: 'cells', message: '10,000 rows; a size table has at most 60 sizes' }] })
    expect(readPasted('')).toMatchObject({ ok: false })
    expect(readPasted('Size,Girth')).toMatchObject({ ok: false })
    expect(readPasted('Size,"Girth\nS,1')).toMatchObject({ ok: false })
  })

  it('carry straps and the weight a size was tested for', () => {
    const read = tableFromPasted(pasted('Size\tGirth\tBelly strap\tTested to\nS\t50-56\t40-52\t44 lb\n'), {
      unit: 'cm',
      columns: [size, range('M07'), { kind: 'strap', name: 'Belly' }, { kind: 'tested' }],
      giveMm: null,
      table: { ...table, family: 'H24' },
    })
    expect(read.ok && read.value.sizes[0]).toMatchObject({ straps: { Belly: [400, 520] } })
    expect(read.ok && read.value.sizes[0]?.testedKg).toBeCloseTo(19.958, 3)
  })

  it('T12 weights are kilograms or pounds, in the title, the cell or once for all; none is taken for granted', () => {
    const both: ColumnMeaning[] = [size, { kind: 'range', measure: 'M00' }]
    expect(problemsOf('Size\tWeight\nS\t18-27\n', both)).toEqual([{ at: 'weight unit', message: 'say whether the weights are kilograms or pounds' }])
    const taken = (text: string, over: Partial<PastedAbout> = {}) => {
      const read = tableFromPasted(pasted(text), { unit: 'in', columns: both, giveMm: null, table, ...over })
      return read.ok ? read.value.sizes[0]?.bands.M00 : read.problems
    }
    expect(taken('Size\tWeight kg\nS\t18-27\n')).toEqual([18, 27])
    expect(taken('Size\tWeight\nS\t18-27\n', { weightUnit: 'kg' })).toEqual([18, 27])
    // 40 lb is 18.143 695 kg (international pound, exact).
    expect(taken('Size\tWeight lbs\nS\t40 - 60\n')).toEqual([40 * 0.45359237, 60 * 0.45359237])
    expect(taken('Size\tWeight\nS\t40 to 60 lb\n')).toEqual([40 * 0.45359237, 60 * 0.45359237])
    const read = tableFromPasted(pasted('Size\tWeight\nS\t18-27 kg\n'), { unit: 'in', columns: both, giveMm: null, table })
    if (!read.ok) throw new Error('a table')
    const csv = sizeTableToCsv(read.value)
    expect(csv).toContain('weight unit,kg')
    expect(sizeTableFromCsv(csv)).toEqual({ ok: true, value: read.value })
    expect(sizeTableFromCsv(csv.replace('weight unit,kg\r\n', ''))).toMatchObject({
      ok: false,
      problems: [{ at: 'line 15, column 2' }, { at: 'line 15, column 3' }],
    })
  })

  it('X01 a cell where no dog is, and sizes that fall or are equal, are named before anything is taken in', () => {
    expect(problemsOf('Size\tGirth\nS\t1-2\n', [size, range('M07')])[0]?.message).toContain('where no dog does')
    const fall = 'Size\tGirth\nS\t50-55\nM\t45-50\nL\t45-50\n'
    expect(problemsOf(fall, [size, range('M07')]).map((each) => each.message)).toEqual([
      '“M” is smaller than “S” in M07: is that as the maker prints it?',
      '“L” is the same as “M” in M07: is that as the maker prints it?',
    ])
    expect(problemsOf(fall, [size, range('M07')], { sureOfOrder: true })).toEqual([])
  })

  it('X09 an open end is asked once for its column and each way', () => {
    const cells = 'Size\tGirth\nS\tup to 50\nM\t50-60\nL\t60+\n'
    expect(problemsOf(cells, [size, range('M07')]).map((each) => each.at)).toEqual(['open 1 down', 'open 1 up'])
    const read = tableFromPasted(pasted(cells), { unit: 'cm', columns: [size, range('M07')], giveMm: null, table, opens: [null, { fromMm: 400, toMm: 750 }] })
    expect(read.ok && read.value.sizes.map((each) => each.bands.M07)).toEqual([[400, 500], [500, 600], [600, 750]]) // prettier-ignore
  })
})
