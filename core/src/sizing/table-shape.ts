import { type MeasureId, type SizeTable, keysOf } from '../model/index.ts'
import { frontOf } from './paw-sizes.ts'
import { rankSizes } from './rank-sizes.ts'
import type { SizedBody } from './sized-body.ts'

/** A stretch of one measure between two sizes that no size has, or that both have. */
export interface Stretch {
  measure: MeasureId
  fromMm: number
  toMm: number
  /** The smaller size, then the larger. */
  sizes: [string, string]
}

export interface TableShape {
  gaps: Stretch[]
  overlaps: Stretch[]
  /** Bands that run from the larger to the smaller length. */
  reversed: { measure: MeasureId; size: string }[]
}

/** Gaps, overlaps and reversed bands of one measure, over sizes in the order of their bands; touching ends are neither. */
export function shapeOfMeasure(sizes: SizeTable['sizes'], measure: MeasureId): TableShape {
  const rows = sizes.flatMap((size) => {
    const band = size.bands[measure]
    return band ? [{ label: size.label, from: band[0], to: band[1] }] : []
  })
  const reversed = rows.filter(({ from, to }) => from > to).map(({ label }) => ({ measure, size: label }))
  const inOrder = rows.filter(({ from, to }) => from <= to).sort((a, b) => a.from + a.to - (b.from + b.to))
  const shape: TableShape = { gaps: [], overlaps: [], reversed }
  inOrder.slice(1).forEach((next, i) => {
    const before = inOrder[i]
    if (!before) return
    const stretch = (fromMm: number, toMm: number): Stretch => ({ measure, fromMm, toMm, sizes: [before.label, next.label] })
    if (next.from > before.to) shape.gaps.push(stretch(before.to, next.from))
    else if (next.from < before.to) shape.overlaps.push(stretch(next.from, Math.min(before.to, next.to)))
  })
  return shape
}

/** The measures a table sizes by, in order of their IDs. */
export const measuresOfTable = (table: Pick<SizeTable, 'sizes'>): MeasureId[] => [...new Set(table.sizes.flatMap((size) => keysOf(size.bands)))].sort()

/** The size a dog would be sent to: the best that is not ruled out; `null` where none is near or nothing was read. */
export function sizeFor(table: Pick<SizeTable, 'family' | 'between' | 'sizes'>, body: SizedBody): string | null {
  const best = rankSizes(frontOf(table), body)[0]
  return best && best.grade !== 'none' && best.grade !== 'fails' ? best.label : null
}

export interface Move<T> {
  dog: T
  from: string | null
  to: string | null
}

/** Which dogs another version of a table would send to another size. */
export function whoMoves<T extends { body: SizedBody }>(
  before: Pick<SizeTable, 'family' | 'between' | 'sizes'>,
  after: Pick<SizeTable, 'family' | 'between' | 'sizes'>,
  dogs: readonly T[],
): Move<T>[] {
  return dogs.map((dog) => ({ dog, from: sizeFor(before, dog.body), to: sizeFor(after, dog.body) })).filter(({ from, to }) => from !== to)
}
