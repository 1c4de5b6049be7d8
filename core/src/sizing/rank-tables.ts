import type { Grade, ShopFields, SizeTable } from '../model/index.ts'
import { frontOf } from './paw-sizes.ts'
import { GOOD_FIRST } from './grades.ts'
import { rankSizes } from './rank-sizes.ts'
import type { RankedSize } from './ranked-size.ts'
import type { SizedBody } from './sized-body.ts'

export interface RankedTable {
  table: SizeTable
  sizes: RankedSize[]
  best: RankedSize | null
  /** Worst grade of the best size. */
  grade: Grade
  basis: RankedSize['basis']
  /** The lowest single chance of the best size; `null` when nothing is known. */
  lowestChance: number | null
}

/** Sizes in their order, with what is said of the best. */
export function summedUp(sizes: RankedSize[]): Omit<RankedTable, 'table'> {
  const best = sizes[0] ?? null
  const chances = best?.perMeasure.flatMap((fit) => (fit.chance === null ? [] : [fit.chance])) ?? []
  return { sizes, best, grade: best?.grade ?? 'none', basis: 'predicted', lowestChance: chances.length === 0 ? null : Math.min(...chances) }
}

/** Best first: by the worst grade of each best size, then by its lowest single chance. */
export const byFit = (a: Pick<RankedTable, 'grade' | 'lowestChance'>, b: Pick<RankedTable, 'grade' | 'lowestChance'>): number =>
  GOOD_FIRST[a.grade] - GOOD_FIRST[b.grade] || (b.lowestChance ?? -1) - (a.lowestChance ?? -1)

/**
 * All tables against one body, best first: by the worst grade of each table's best size, then by its lowest single
 * chance, so that a maker who asks for fewer measures does not win by that. Boots are ranked by the front pair.
 */
export function rankTables(tables: readonly SizeTable[], body: SizedBody, views: ShopFields['views'] = {}, growing = false): RankedTable[] {
  return tables
    .map((table) => ({ table, ...summedUp(rankSizes(frontOf(table), body, views, growing)) }))
    .sort(
      (a, b) =>
        byFit(a, b) ||
        // A name decides what nothing else does, so that the order of the tables never shows.
        (a.table.id < b.table.id ? -1 : a.table.id > b.table.id ? 1 : b.table.version - a.table.version),
    )
}
