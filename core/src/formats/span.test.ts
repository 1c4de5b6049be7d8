import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { parseSpan } from './index.ts'

const inches = (from: number, to: number) => ({ ok: true, band: [from * 25.4, to * 25.4], mm: from * 25.4 })
const cm = (from: number, to: number) => ({ ok: true, band: [from * 10, to * 10], mm: from * 10 })

describe('a cell with two numbers', () => {
  it('X01 takes a slash between whole numbers as a range in centimetres, and in inches as a fraction only where a tape has it', () => {
    for (const [cell, unit] of [['40/45 cm', 'in'], ['40/45', 'cm'], ['40 / 45 CM', null]] as const) expect([cell, parseSpan(cell, unit)]).toEqual([cell, cm(40, 45)]) // prettier-ignore
    expect(parseSpan('400/450 mm', 'in')).toEqual(cm(40, 45))
    expect(parseSpan('50/55', 'in')).toEqual(inches(50, 55))
    expect(parseSpan('18/20"', null)).toEqual(inches(18, 20))
    expect(parseSpan('5/8', 'in')).toEqual({ ok: true, band: null, mm: 15.875 })
    for (const cell of ['6/8', '14/16', '30/32 in']) expect(parseSpan(cell, 'in')).toMatchObject({ ok: false, says: expect.stringContaining('write which') as string }) // prettier-ignore
    expect(parseSpan('45/40', 'cm')).toEqual({ ok: false, says: 'runs from the larger to the smaller' })
    expect(parseSpan('40/45', null)).toEqual({ ok: false, says: 'has no unit' })
    // With a whole part it is a fraction, whatever the tape.
    expect(parseSpan('18 5/8', 'in')).toEqual({ ok: true, band: null, mm: 18.625 * 25.4 })
  })

  it('X09 reads ranges of single digits, words, curly quotes, two units and give and take', () => {
    const read: [string, ReturnType<typeof inches>][] = [
      ['7-9"', inches(7, 9)], ['7–9 in', inches(7, 9)], ['5 to 7 in', inches(5, 7)], ['9½-11 in', inches(9.5, 11)], ['12” - 14”', inches(12, 14)],
      ['18 to 20ins', inches(18, 20)], ['18-1/2 - 20-1/2 in', inches(18.5, 20.5)], ['5-6 cm', cm(5, 6)], ['5 bis 6 cm', cm(5, 6)], ['40 ± 2 cm', cm(38, 42)], ['45..52 cm', cm(45, 52)], ['from 45 to 52 cm', cm(45, 52)],
    ] // prettier-ignore
    for (const [cell, span] of read) expect([cell, parseSpan(cell, null)]).toEqual([cell, span])
    expect(parseSpan('~30 cm', 'in')).toEqual({ ok: true, band: null, mm: 300 })
    expect(parseSpan('30 cm (12 in)', 'cm')).toEqual({ ok: true, band: null, mm: 300 })
    expect(parseSpan('30 cm (12 in)', 'in')).toMatchObject({ ok: true, band: null, mm: expect.closeTo(304.8, 6) as number })
    expect(parseSpan('30-35 cm (12-14 in)', null)).toEqual(cm(30, 35))
    expect(parseSpan('30 cm (14 in)', 'cm')).toEqual({ ok: false, says: 'says two lengths that differ' })
  })

  it('X09 says of an open end that it is one', () => {
    const says = 'has an open end: how far does it go?'
    expect(parseSpan('up to 36"', 'cm')).toEqual({ ok: false, says, open: { way: 'down', mm: 914.4 } })
    expect(parseSpan('20+ in', 'cm')).toEqual({ ok: false, says, open: { way: 'up', mm: 508 } })
    expect(parseSpan('< 30 cm', 'in')).toEqual({ ok: false, says, open: { way: 'down', mm: 300 } })
    expect(parseSpan('20+', null)).toEqual({ ok: false, says: 'has no unit' })
  })

  it('reads every range it is written, and never throws', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 200 }), fc.integer({ min: 0, max: 80 }), fc.constantFrom('-', ' – ', ' to ', '/', '..'), (from, more, mark) => {
        expect(parseSpan(`${from}${mark}${from + more} cm`, 'in')).toEqual(cm(from, from + more))
      }),
    )
    fc.assert(fc.property(fc.string(), fc.constantFrom('in' as const, 'cm' as const, null), (cell, unit) => typeof parseSpan(cell, unit).ok === 'boolean'))
  })
})
