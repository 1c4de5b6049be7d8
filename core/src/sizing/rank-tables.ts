import type { Grade, ShopFields, SizeTable } from '../model/index.ts'
import { frontOf } from './paw-sizes.ts'
import { GOOD_FIRST, rankSizes } from './rank-sizes.ts'
import type { RankedSize } from './ranked-size.ts'
import type { SizedBody } from './sized-body.ts'

export interface RankedTable {
  table: SizeTable
  sizes: RankedSize[]
  best: RankedSize | null
  /** Worst grade of the best size. */
  grade: Grade
  /** The lowest single chance of the best size; `null` when nothing is known. */
  lowestChance: number | null
}

/**
 * All tables against one body, best first: by the worst grade of each table's best size, then by its lowest single
 * chance, so that a maker who asks for fewer measures does not win by that. Boots are ranked by the front pair.
 */
export function rankTables(tables: readonly SizeTable[], body: SizedBody, views: ShopFields['views'] = {}): RankedTable[] {
  return tables
    .map((table) => {
      const sizes = rankSizes(frontOf(table), body, views)
      const best = sizes[0] ?? null
      const chances = best?.perMeasure.flatMap((fit) => (fit.chance === null ? [] : [fit.chance])) ?? []
      const lowestChance = chances.length === 0 ? null : Math.min(...chances)
      return { table, sizes, best, grade: best?.grade ?? 'none', lowestChance }
    })
    .sort(
      (a, b) =>
        GOOD_FIRST[a.grade] - GOOD_FIRST[b.grade] ||
        (b.lowestChance ?? -1) - (a.lowestChance ?? -1) ||
        // A name decides what nothing else does, so that the order of the tables never shows.
        (a.table.id < b.table.id ? -1 : a.table.id > b.table.id ? 1 : b.table.version - a.table.version),
    )
}
