import { describe, expect, it } from 'vitest'
import type { Piece, SizeTable } from '../model/index.ts'
import { bandOfFlat, rankPieces } from './index.ts'

const piece = (over: Partial<Piece> = {}): Piece => ({
  id: '01900000-0000-7000-8000-000000000001', tag: 'Peg 1', family: 'H01', maker: 'Lee Loft', label: 'M', tableId: 'y', flat: {}, sliders: '', home: 'shop', holder: '', wearerId: null,
  state: 'good', wear: '', retired: null, createdAt: '2026-10-05T09:00:00Z', ...over,
}) // prettier-ignore
const table = (version = 1, m: [number, number] = [600, 680]): SizeTable => ({
  id: 'y', version, name: 'Y', maker: 'Lee Loft', family: 'H01', way: 'stock', unit: 'cm', between: null, lead: { minWeeks: 0, maxWeeks: 0 },
  sizes: [{ label: 'S', bands: { M07: [500, 590] } }, { label: 'M', bands: { M07: m, M01: [440, 520] } }],
}) // prettier-ignore
const body = (M07: number) => ({ M07: { mm: M07, sigmaMm: 2 } })

describe('a piece laid flat', () => {
  it('leaves room for fingers in a ring, less in a pulling neck, and a finger each way along the body', () => {
    expect(bandOfFlat('H01', 'M07', [640, 700])).toEqual([610, 685])
    expect(bandOfFlat('H11', 'M01', [580, 580])).toEqual([550, 570])
    expect(bandOfFlat('H11', 'M13', [680, 680])).toEqual([660, 700])
    expect(bandOfFlat('C3', 'M21', [10, 12])).toEqual([1, 1])
  })

  it('T50 gives a straight width a gap, never a ring’s slack', () => {
    // A board as wide as the dog holds it; two fingers a side are the most (ours).
    expect(bandOfFlat('K2', 'M44', [300, 300])).toEqual([240, 300])
    expect(bandOfFlat('K2', 'M07', [300, 300])).toEqual([270, 285])
  })

  it('is believed before its label, measure by measure', () => {
    const bandsOf = (one: Piece) => rankPieces([one], [table()], body(640))[0]?.judged.sizes[0]?.bands
    expect(bandsOf(piece({ flat: { M07: [640, 700] } }))).toEqual({ M07: [610, 685], M01: [440, 520] })
    expect(bandsOf(piece())).toEqual({ M07: [600, 680], M01: [440, 520] })
  })

  it('without flat measures or a known label is judged by nobody', () => {
    expect(rankPieces([piece({ label: 'XXL' })], [table()], body(640))).toEqual([])
    expect(rankPieces([piece()], [], body(640))).toEqual([])
    expect(rankPieces([piece({ label: '' })], [table()], body(640))).toEqual([])
  })
})

describe('which of ours fits', () => {
  it('puts the best first, by the newest version of its label’s table, and leaves out what is retired', () => {
    const pieces = [
      piece({ id: 'a', tag: 'Small', label: 'S' }),
      piece({ id: 'b', tag: 'Middle' }),
      piece({ id: 'c', tag: 'Crashed', retired: { on: '2026-09-01', why: 'crash' } }),
      piece({ id: 'd', tag: 'Sled', family: 'H11', flat: { M01: [500, 500] } }),
    ]
    const tags = (girth: number, tables = [table()]) => rankPieces(pieces, tables, body(girth), 'H01').map((each) => [each.piece.tag, each.grade])
    expect(tags(640)).toEqual([['Middle', 'holds'], ['Small', 'fails']]) // prettier-ignore
    expect(tags(550)[0]).toEqual(['Small', 'holds'])
    // The next version lets Middle begin later: 640 is out of it.
    expect(tags(640, [table(), table(2, [660, 740])])[0]?.[1]).toBe('fails')
    expect(rankPieces(pieces, [table()], body(640)).map((each) => each.piece.tag)).toContain('Sled')
  })
})
