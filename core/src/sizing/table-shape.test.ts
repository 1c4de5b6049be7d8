import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import type { SizeTable } from '../model/index.ts'
import { measuresOfTable, shapeOfMeasure, sizeFor, whoMoves } from './index.ts'

const sizes = (...bands: [number, number][]): SizeTable['sizes'] => bands.map((M07, i) => ({ label: `${i + 1}`, bands: { M07 } }))
const table = (...bands: [number, number][]) => ({ family: 'H01' as const, between: null, sizes: sizes(...bands) })
const dog = (name: string, mm: number | null) => ({ name, body: mm === null ? {} : { M07: { mm, sigmaMm: 2 } } })

describe('the shape of one measure', () => {
  it('finds gaps and overlaps between neighbours; ends that touch are neither', () => {
    const shape = shapeOfMeasure(sizes([500, 560], [560, 600], [620, 700], [690, 750]), 'M07')
    expect(shape.gaps).toEqual([{ measure: 'M07', fromMm: 600, toMm: 620, sizes: ['2', '3'] }])
    expect(shape.overlaps).toEqual([{ measure: 'M07', fromMm: 690, toMm: 700, sizes: ['3', '4'] }])
    expect(shape.reversed).toEqual([])
  })

  it('names a band that runs backwards and leaves it out of the rest', () => {
    const shape = shapeOfMeasure(sizes([500, 560], [640, 600], [620, 700]), 'M07')
    expect(shape.reversed).toEqual([{ measure: 'M07', size: '2' }])
    expect(shape.gaps).toEqual([{ measure: 'M07', fromMm: 560, toMm: 620, sizes: ['1', '3'] }])
  })

  it('does not depend on the order of the rows, and no stretch is empty', () => {
    const band = fc.tuple(fc.integer({ min: 300, max: 900 }), fc.integer({ min: 1, max: 90 })).map(([from, more]): [number, number] => [from, from + more])
    fc.assert(
      fc.property(fc.uniqueArray(band, { minLength: 2, maxLength: 7, selector: ([a, b]) => a + b }), (bands) => {
        const rows = sizes(...bands)
        const shape = shapeOfMeasure(rows, 'M07')
        expect(shapeOfMeasure([...rows].reverse(), 'M07')).toEqual(shape)
        expect(shape.gaps.length + shape.overlaps.length).toBeLessThan(bands.length)
        for (const { fromMm, toMm } of [...shape.gaps, ...shape.overlaps]) expect(fromMm).toBeLessThan(toMm)
        // Nothing lies in a gap between two neighbours but, at most, a size that swallows others.
        for (const { fromMm, toMm } of shape.gaps) expect(bands.some(([from, to]) => from <= fromMm && to >= toMm && to - from < toMm - fromMm)).toBe(false)
      }),
    )
  })

  it('knows the measures a table sizes by, each once', () => {
    expect(measuresOfTable({ sizes: [{ label: 'a', bands: { M07: [1, 2], M01: [1, 2] } }, { label: 'b', bands: { M14: [1, 2], M01: [1, 2] } }] })).toEqual(['M01', 'M07', 'M14']) // prettier-ignore
  })
})

describe('who changes size', () => {
  const before = table([500, 560], [570, 640])

  it('says from where to where, and of nobody else', () => {
    const dogs = [dog('stays', 530), dog('moves', 571), dog('falls out', 630), dog('unread', null)]
    const after = table([500, 572], [580, 620])
    expect(whoMoves(before, after, dogs).map(({ dog: { name }, from, to }) => [name, from, to])).toEqual([
      ['moves', '2', '1'],
      ['falls out', '2', null],
    ])
    const wider = table([500, 540], [550, 640])
    expect(whoMoves(before, wider, [dog('goes up', 552)]).map(({ from, to }) => [from, to])).toEqual([['1', '2']])
  })

  it('sends nobody anywhere who was not read, or lies past every size', () => {
    expect([sizeFor(before, {}), sizeFor(before, dog('', 900).body), sizeFor(before, dog('', 600).body)]).toEqual([null, null, '2'])
  })

  it('nothing moves where nothing changed', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 400, max: 800 }), { maxLength: 8 }), (girths) => {
        expect(whoMoves(before, structuredClone(before), girths.map((mm) => dog(`${mm}`, mm)))).toEqual([]) // prettier-ignore
      }),
    )
  })
})
