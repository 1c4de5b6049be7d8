import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { piecesFromCsv, piecesToCsv, type PieceFlat } from './piece-flats.ts'

const piece = (over: Partial<PieceFlat> = {}): PieceFlat => ({
  tag: 'Peg 5',
  family: 'H11',
  maker: 'Rimefold',
  label: 'Elm',
  flat: { M01: [548, 548], M14: [690, 702] },
  ...over,
})

describe('pieces laid flat as CSV', () => {
  it('come back as they went out, in any unit', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(
          fc.record({ tag: fc.string({ minLength: 1, maxLength: 30 }), mm: fc.integer({ min: 300, max: 800 }), more: fc.integer({ min: 0, max: 90 }) }),
          {
            selector: ({ tag }) => tag.trim().toLowerCase(),
            maxLength: 12,
          },
        ),
        fc.constantFrom('in' as const, 'cm' as const),
        (list, unit) => {
          const pieces = list.filter(({ tag }) => tag.trim() !== '').map(({ tag, mm, more }) => piece({ tag: tag.trim(), flat: { M01: [mm, mm + more] } }))
          const back = piecesFromCsv(piecesToCsv(pieces, unit))
          expect(back.ok).toBe(true)
          if (!back.ok) return
          expect(back.value.map(({ tag, family, maker, label }) => [tag, family, maker, label])).toEqual(
            pieces.map((each) => [each.tag, each.family, each.maker, each.label]),
          )
          back.value.forEach(({ flat }, i) => {
            for (const end of [0, 1] as const) expect(Math.abs((flat.M01?.[end] ?? 0) - (pieces[i]?.flat.M01?.[end] ?? 0))).toBeLessThan(0.01)
          })
        },
      ),
      { numRuns: 60 },
    )
  })

  it('one length is enough for a piece that cannot be set, and an empty cell says nothing', () => {
    const read = piecesFromCsv('tag;family;unit;M01 from;M01 to;M07 from\r\nNail 2;H01;cm;54,2;;\r\n')
    expect(read).toEqual({ ok: true, value: [{ tag: 'Nail 2', family: 'H01', maker: '', label: '', flat: { M01: [542, 542] } }] })
  })

  it('every bad cell is named, and nothing is read', () => {
    const read = piecesFromCsv('tag,family,unit,M01 from,M01 to\nA,H01,cm,long,60\nA,H99,ft,54,60\nB,H01,in,54,60\nC,H01,cm,60,54\n')
    expect(read.ok).toBe(false)
    if (read.ok) return
    expect(read.problems.map(({ at, message }) => `${at}: ${message}`)).toEqual([
      'line 2, column 4: "long" is no length',
      'line 2: M01 has a longest setting alone',
      'line 3, column 3: the unit is in, cm or mm, not "ft"',
      'line 3, column 2: "H99" is no kind',
      'line 3, column 1: "A" is also the tag of line 2',
      // 54 in of neck is no dog's: inches typed as centimetres.
      'line 4: M01 lies where no dog does: look at its unit',
      'line 5: M01 runs from the longer to the shorter',
    ])
    expect(piecesFromCsv('name,size\nA,M\n').ok).toBe(false)
  })
})
