import { keysOf } from '@merry-tailor/core'
import { SizeTable } from '@merry-tailor/core/schemas'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { cellText, draftOf, emptyRow, freshDraft, inUnit, judgeDraft, stepMm, tableId, type TableDraft } from './table-draft'

const table: SizeTable = {
  id: 'lee-loft-trail-y', version: 2, name: 'Trail Y', maker: 'Lee Loft', family: 'H01', way: 'quick-ship', unit: 'cm', between: 'up',
  sizes: [
    { label: 'S', bands: { M01: [300, 370], M07: [370, 455] }, straps: { Back: [120, 180] }, testedKg: 12.5 },
    { label: 'M', bands: { M01: [380, 450] } },
  ],
  rules: { fingers: [1, 2], cut: 'snug' }, price: [31, 38], unjudged: ['Comfort'],
  lead: { minWeeks: 1, maxWeeks: 2, peak: { months: [10, 11], minWeeks: 3, maxWeeks: 5 } },
} // prettier-ignore
const says = (draft: TableDraft) => Object.fromEntries(judgeDraft(draft).problems.map(({ at, says: words }) => [at, words]))
const row = (draft: TableDraft, at: number) => draft.rows[at]!
const withCell = (draft: TableDraft, at: number, key: string, cell: readonly [string, string]): TableDraft => ({
  ...draft,
  rows: draft.rows.map((each, i) => (i === at ? { ...each, cells: { ...each.cells, [key]: cell } } : each)),
})

describe('a table being typed', () => {
  it('reads back as the table it was made from, every part of it', () => {
    expect(judgeDraft(draftOf(table, 2))).toMatchObject({ problems: [], table })
  })

  it('reads back as itself whatever its bands, in either unit, to a hundredth of a millimetre', () => {
    const band = fc.tuple(fc.integer({ min: 120, max: 900 }), fc.integer({ min: 0, max: 200 })).map(([from, more]): [number, number] => [from, from + more])
    fc.assert(
      fc.property(fc.array(fc.record({ M01: band, M14: band }), { minLength: 1, maxLength: 6 }), fc.constantFrom('in', 'cm'), (rows, unit) => {
        const made: SizeTable = { ...table, unit, sizes: rows.map((bands, i) => ({ label: `${i + 1}`, bands })) }
        const read = judgeDraft(draftOf(made, 3)).table
        expect(read?.version).toBe(3)
        expect(SizeTable.safeParse(read).success).toBe(true)
        read?.sizes.forEach((size, i) => {
          for (const id of keysOf(made.sizes[i]!.bands)) {
            const [from, to] = made.sizes[i]!.bands[id]!
            expect(Math.abs(size.bands[id]![0] - from)).toBeLessThan(0.01)
            expect(Math.abs(size.bands[id]![1] - to)).toBeLessThan(0.01)
          }
        })
      }),
    )
  })

  it('C17: a table printed in millimetres is typed in centimetres and stays in millimetres; turned to inches it is in inches', () => {
    const printed: SizeTable = { ...table, unit: 'mm' }
    expect(draftOf(printed, 3).unit).toBe('cm')
    expect(judgeDraft(draftOf(printed, 3)).table).toEqual({ ...printed, version: 3 })
    expect(judgeDraft(inUnit(draftOf(printed, 3), 'in')).table?.unit).toBe('in')
    expect(judgeDraft(draftOf(table, 3)).table?.unit).toBe('cm')
  })

  it('turned into the other unit keeps its lengths, and what cannot be read as it was typed', () => {
    const draft = withCell(draftOf(table, 2), 1, 'measure M07', ['wide', '48'])
    const inches = inUnit(draft, 'in')
    expect(row(inches, 0).cells['measure M01']).toEqual(['11.811', '14.5669'])
    expect(row(inches, 1).cells['measure M07']).toEqual(['wide', '18.8976'])
    const there = judgeDraft(inUnit(draftOf(table, 2), 'in')).sizes[0]?.bands.M01 ?? [0, 0]
    expect(there[0]).toBeCloseTo(300, 1)
    expect(there[1]).toBeCloseTo(370, 1)
  })
})

describe('what is wrong stands at its field', () => {
  const draft = draftOf(table, 2)
  const key = row(draft, 0).key

  it('a fresh one says what it still wants', () => {
    const problems = says(freshDraft('in'))
    expect(problems).toMatchObject({ maker: 'Whose table is it?', name: 'Give it a name to find it by.', rows: 'Nothing to size by yet: fill in one band.' })
    expect(Object.keys(problems).filter((at) => at.endsWith('label'))).toHaveLength(2)
    expect(judgeDraft({ ...freshDraft('in'), rows: [] }).problems.map(({ says: words }) => words)).toContain('A table needs a size.')
  })

  it.each([
    [['45', ''], 'measure M01 1', 'Both ends, please.'],
    [['45', 'wide'], 'measure M01 1', 'A length, such as 13 1/2 or 34.5.'],
    [['45', '38'], 'measure M01 1', 'Smaller than its other end.'],
    [['-3', '38'], 'measure M01 0', 'A length, such as 13 1/2 or 34.5.'],
  ] as const)('a band %o', (cell, at, words) => {
    const judged = judgeDraft(withCell(draft, 0, 'measure M01', cell))
    // While the other end is on its way it is no slip yet.
    expect(judged.problems).toEqual([{ at: `row ${key} ${at}`, says: words, ...(cell[1] === '' ? { half: true } : {}) }])
    // Everything else still shows on the tapes meanwhile.
    expect(judged.table).toBeNull()
    expect(judged.sizes[0]?.bands).toEqual({ M07: [370, 455] })
  })

  it.each([
    ['weeks', 'soon', 'Weeks, such as 0, or 4-6.'],
    ['weeks', '6-4', 'The shorter time comes first.'],
    ['peakWeeks', 'later', 'Weeks, such as 6-10, or nothing.'],
    ['fingers', '12', 'Fingers, such as 2, or 1-2; or nothing.'],
    ['price', '40-30', 'A price, such as 38, or 30-45; or nothing.'],
  ] as const)('%s %j', (field, typed, words) => {
    expect(says({ ...draft, [field]: typed })[field]).toBe(words)
  })

  it('two sizes of one name, a size without one, a weight no dog has', () => {
    const rows = draft.rows.map((each, i) => ({ ...each, label: i === 1 ? 'S' : each.label, tested: '600' }))
    expect(says({ ...draft, rows })).toMatchObject({
      [`row ${rows[1]!.key} label`]: 'Row 1 is called S too.',
      [`row ${rows[0]!.key} tested`]: 'Kilograms, up to 150.',
    })
    expect(says({ ...draft, rows: [...draft.rows, emptyRow()] })).toMatchObject({ [`row ${emptyRow().key - 1} label`]: 'Name this size.' })
  })
})

it('an id is made of the names, never one that is taken', () => {
  expect(tableId({ maker: 'Ærø & Söner', name: 'Långa Y, 2' }, [])).toBe('r-soner-langa-y-2')
  expect(tableId({ maker: '', name: '···' }, [])).toBe('table')
  const names = { maker: 'Lee Loft', name: 'Trail Y' }
  expect(tableId(names, ['lee-loft-trail-y', 'lee-loft-trail-y-2'])).toBe('lee-loft-trail-y-3')
  expect(tableId({ maker: 'm'.repeat(80), name: 'n' }, []).length).toBeLessThanOrEqual(54)
})

it('an end is dragged in the shop’s own steps, and typed back with no more digits than it needs', () => {
  const shop = { inchStep: 0.125, cmStep: 0.5 } as const
  expect([stepMm('in', shop), stepMm('cm', shop)]).toEqual([3.175, 5])
  expect([cellText(345, 'cm'), cellText(342.9, 'in'), cellText(100, 'in')]).toEqual(['34.5', '13.5', '3.937'])
})
