import {
  adviseSizes,
  atHandFirst,
  crateSeries,
  pieceTableId,
  rankAll,
  rankPieces,
  tableServes,
  withGuesses,
  type Choice,
  type Form,
  type Item,
  type Piece,
  type RankedTable,
  type SizeAdvice,
  type SizedBody,
  type SizeTable,
} from '@merry-tailor/core'
import { useMemo } from 'react'
import { usePiecesQuery, useSizeTablesQuery } from '../../api/shop-api'
import { useShop } from '../../app/use-shop'
import { newestTables } from '../../tables/newest-tables'
import { useBenchForm } from '../measure/use-bench-form'
import { useOpenTicket } from '../TicketFrame'

export type RankedChoice = RankedTable & {
  advice: SizeAdvice
  /** One of the shop's own pieces, judged like a size. */
  piece: Piece | null
}

export interface RankedItem {
  ranked: RankedChoice[]
  choice: Choice | undefined
  /** Readings, and guesses where the form has them. */
  body: SizedBody
  /** The form guesses come from; `null` while nothing is worth guessing from. */
  form: Form | null
}

/** What is read and what the form expects of the open ticket's dog. Guesses wait for one tape or a breed. */
export function useSizedBody(): { body: SizedBody; form: Form | null } {
  const { sheet, body } = useOpenTicket()
  const { form, solved } = useBenchForm()
  const worth = solved && (sheet.readings.some((reading) => !reading.struck) || (sheet.dog?.breed ?? '') !== '')
  return useMemo(() => ({ body: withGuesses(body, worth ? form : null), form: worth ? form : null }), [body, form, worth])
}

/** Every serving table and own piece for one item, ranked; the tables a choice was made by stay in the version it was made by. */
export function useRanked(item: Item | undefined): RankedItem {
  const { sheet } = useOpenTicket()
  const { data: tables } = useSizeTablesQuery(undefined)
  const { data: pieces } = usePiecesQuery(undefined)
  const { views } = useShop()
  const { body, form } = useSizedBody()
  return useMemo(() => {
    if (!item) return { ranked: [], choice: undefined, body, form }
    const choice = sheet.choices.findLast((each) => each.itemId === item.id)
    const pinned = choice ? tables?.find((table) => table.id === choice.tableId && table.version === choice.tableVersion) : undefined
    // Crates come in one series, whoever makes them.
    const usual = item.family.startsWith('K') ? [crateSeries(item.family as 'K1')] : []
    const serving = [...usual, ...newestTables(tables ?? [])]
      .map((table): SizeTable => (pinned?.id === table.id ? pinned : table))
      .filter((table) => tableServes(table, item) || table === pinned)
    const advised = (each: RankedTable, piece: Piece | null): RankedChoice => ({ ...each, advice: adviseSizes(each.table, each.sizes), piece })
    const ranked = rankAll(serving, body, null, { views }).map((each) => advised(each, null))
    const own = item.way === 'made' || item.way === 'quick-ship' ? [] : rankPieces(pieces ?? [], tables ?? [], body, item.family)
    // Of our own pieces only those that may fit are worth a hand; the chosen one stays in sight.
    const near = own.filter((each) => each.grade !== 'fails' || pieceTableId(each.piece.id) === choice?.tableId).slice(0, 4)
    const ours = near.map((each) => advised(each, each.piece))
    const [first, ...rest] = atHandFirst(ranked)
    // A piece goes before new gear where it should hold and nothing on the shelf does; else it stands beside it.
    const before = ours.filter(
      (each) => each.grade === 'holds' && each.piece?.state !== 'to-mend' && !(first?.table.way === 'stock' && first.grade === 'holds'),
    )
    return { ranked: [...before, ...(first ? [first] : []), ...ours.filter((each) => !before.includes(each)), ...rest], choice, body, form }
  }, [item, sheet.choices, tables, pieces, body, form, views])
}
