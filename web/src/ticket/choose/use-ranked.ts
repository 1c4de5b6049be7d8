import {
  adviseSizes,
  atHandFirst,
  rankTables,
  tableServes,
  type Choice,
  type Item,
  type RankedTable,
  type SizeAdvice,
  type SizeTable,
} from '@merry-tailor/core'
import { useMemo } from 'react'
import { useSizeTablesQuery } from '../../api/shop-api'
import { newestTables } from '../../tables/newest-tables'
import { useOpenTicket } from '../TicketFrame'

export interface RankedItem {
  ranked: (RankedTable & { advice: SizeAdvice })[]
  choice: Choice | undefined
}

/** Every serving table for one item, ranked; the tables a choice was made by stay in the version it was made by. */
export function useRanked(item: Item | undefined): RankedItem {
  const { sheet, body } = useOpenTicket()
  const { data: tables } = useSizeTablesQuery(undefined)
  return useMemo(() => {
    if (!item) return { ranked: [], choice: undefined }
    const choice = sheet.choices.findLast((each) => each.itemId === item.id)
    const pinned = choice ? tables?.find((table) => table.id === choice.tableId && table.version === choice.tableVersion) : undefined
    const serving = newestTables(tables ?? [])
      .map((table): SizeTable => (pinned?.id === table.id ? pinned : table))
      .filter((table) => tableServes(table, item) || table === pinned)
    const ranked = rankTables(serving, body).map((each) => ({ ...each, advice: adviseSizes(each.table, each.sizes) }))
    return { ranked: atHandFirst(ranked), choice }
  }, [item, sheet.choices, tables, body])
}
