import {
  adviseOffer,
  atHandFirst,
  GARMENT_FAMILIES,
  families,
  isOf,
  wornFor,
  newestWeightKg,
  newestTables,
  stillGrows,
  tableIn,
  tableOf,
  tableServes,
  withGuesses,
  type WornChoice,
  type Form,
  type Item,
  type Offer,
  type SizeAdvice,
  type SizedBody,
  type SizeTable,
} from '@merry-tailor/core'
import { useMemo } from 'react'
import { usePiecesQuery, useSizeTablesQuery } from '../api/queries'
import { useShop } from '../state/use-shop'
import { useToday } from '../state/use-today'
import { useRankAll } from '../form'
import { useBenchForm } from './OpenBench'
import { useOpenTicket } from './open-ticket'
import { useGrown } from './use-grown'
import { useInsides } from './use-insides'
import { useOut } from './use-out'

export interface RankedItem {
  /** Everything the item can be settled on, the advised first. */
  ranked: Offer[]
  choice: WornChoice | undefined
  /** Readings, and guesses where the form has them. */
  body: SizedBody
  /** The form guesses come from; `null` while nothing is worth guessing from. */
  form: Form | null
  /** The first answer is not there yet. */
  out: boolean
  /** It is the answer to the tapes as they are, not the one before. */
  fresh: boolean
  /** Nobody's sizes serve it and it is made to measure: a garment is cut here from the tapes. */
  cutHere: boolean
}

/** What is read and what the form expects of the open ticket's dog. Guesses wait for one tape or a breed. */
export function useSizedBody(): { body: SizedBody; form: Form | null } {
  const { sheet } = useOpenTicket()
  const { form, solved, own } = useBenchForm()
  const worth = solved && (sheet.readings.some((reading) => !reading.struck) || (sheet.dog?.breed ?? '') !== '')
  const { dog, readings, weighings } = sheet
  return useMemo(() => {
    // The newest weighing counts, at the bench or in the record; a scale of the record is good to a fiftieth (ours, unverified).
    const kg = newestWeightKg({ dog, readings, weighings })
    const read = own.M00?.mm
    const weighed = kg === null || (read != null && Math.abs(read - kg) < 0.05 * kg) ? own : { ...own, M00: { mm: kg, sigmaMm: kg / 50 } }
    return { body: withGuesses(weighed, worth ? form : null), form: worth ? form : null }
  }, [own, form, worth, dog, readings, weighings])
}

interface Advised {
  offer: Offer
  table: { way: SizeTable['way'] }
  advice: SizeAdvice
}

/** Our own pieces among the rest: only those that may fit are worth a hand; the chosen one stays in sight. */
function inOrder(offers: readonly Offer[], item: Item, choice: WornChoice | undefined, out: ReadonlyMap<string, unknown>): Offer[] {
  const advised = (offer: Offer): Advised => ({ offer, table: { way: tableIn(offer)?.way ?? 'stock' }, advice: adviseOffer(offer) })
  const own = item.way === 'made' || item.way === 'quick-ship' ? [] : offers.filter((offer) => offer.kind === 'gear')
  const near = own.filter((offer) => offer.grade !== 'fails' || (choice && isOf(choice, offer))).slice(0, 4)
  const [first, ...rest] = atHandFirst(offers.filter((offer) => offer.kind !== 'gear').map(advised)).map(({ offer }) => offer)
  // A piece goes before new gear where it should hold and nothing on the shelf does; else it stands beside it.
  const shelfHolds = first !== undefined && (tableIn(first)?.way ?? 'stock') === 'stock' && first.grade === 'holds'
  const before = near.filter((offer) => offer.grade === 'holds' && offer.piece.state !== 'to-mend' && !out.has(offer.piece.id) && !shelfHolds)
  return [...before, ...(first ? [first] : []), ...near.filter((offer) => !before.includes(offer)), ...rest]
}

/** Every serving table, own piece and crate for one item, ranked beside the page; a table a choice was made by stays in that version. */
export function useRanked(item: Item | undefined): RankedItem {
  const { sheet } = useOpenTicket()
  const { data: tables, isLoading: tablesOut } = useSizeTablesQuery(undefined)
  const { data: pieces, isLoading: piecesOut } = usePiecesQuery(undefined)
  const { views } = useShop()
  const { body, form } = useSizedBody()
  const { solved } = useBenchForm()
  const pending = !solved && (sheet.readings.length > 0 || (sheet.dog?.breed ?? '') !== '')
  const grown = useGrown(item)
  const insides = useInsides(item?.family)
  const growing = stillGrows(sheet.dog, useToday())
  const choice = item && wornFor(sheet.choices, item.id)
  const question = useMemo(() => {
    if (!item || tablesOut || piecesOut) return null
    const made = choice && tableOf(choice)
    const pinned = made ? tables?.find((table) => table.id === made.tableId && table.version === made.tableVersion) : undefined
    const serving = newestTables(tables ?? [])
      .map((table): SizeTable => (pinned?.id === table.id ? pinned : table))
      .filter((table) => (tableServes(table, item) && table.retired === undefined) || table === pinned)
    return {
      tables: serving,
      labelTables: tables ?? [],
      body,
      families: [item.family],
      views,
      growing,
      pieces: pieces ?? [],
      ...(families[item.family].shelf === 'crate' ? { crateForm: grown ? grown.form : form, insides } : {}),
      ...(grown === undefined ? {} : { grown: grown.body }),
    }
  }, [item, choice, tables, pieces, tablesOut, piecesOut, body, form, views, growing, grown, insides])
  const booked = useOut()
  const answer = useRankAll(item?.id ?? '', question)
  return useMemo(() => {
    const out = item !== undefined && (answer === null || pending || grown?.solved === false)
    const offers = (answer?.offers ?? []).filter((offer) => offer.judged.family === item?.family)
    const ranked = item ? inOrder(offers, item, choice, booked) : []
    return {
      ranked,
      choice,
      body,
      form,
      out,
      fresh: answer?.fresh === true,
      cutHere: item?.way === 'made' && ranked.length === 0 && !out && GARMENT_FAMILIES.some((family) => family === item.family),
    }
  }, [answer, item, choice, body, form, pending, grown, booked])
}
