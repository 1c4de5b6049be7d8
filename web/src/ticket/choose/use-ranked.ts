import { adviseSizes, rankSizes, rankTables, tableServes, type Choice, type Item, type RankedTable, type SizeAdvice, type SizeTable } from '@merry-tailor/core'
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
    const ranked = rankTables(serving, body).map((each) => ({ ...each, advice: adviseSizes(each.table, rankSizes(each.table, body)) }))
    return { ranked: atHandFirst(ranked), choice }
  }, [item, sheet.choices, tables, body])
}

/**
 * Stock that may fit goes before everything ordered: its fit shows on the dog today, and nothing is decided on paper
 * (handbook 6.1). The rest keeps its rank.
 */
function atHandFirst<T extends { table: SizeTable; advice: SizeAdvice; grade: string }>(ranked: readonly T[]): T[] {
  const atHand = ranked.find((each) => each.table.way === 'stock' && (each.advice.kind === 'one' || each.advice.kind === 'both'))
  return atHand ? [atHand, ...ranked.filter((each) => each !== atHand)] : [...ranked]
}
