import { families as allFamilies } from '../gear/index.ts'
import type { Form } from '../form/index.ts'
import type { FamilyId, Piece, ShopFields, SizeTable } from '../model/index.ts'
import { familyOf, offerKey, type Offer } from './offer.ts'
import { frontOf, pawSizes } from './paw-sizes.ts'
import { rankPieces } from './pieces.ts'
import { byFit, rankTables, type RankedTable } from './rank-tables.ts'
import { withGuesses, type SizedBody } from './sized-body.ts'

export interface RankAllOptions {
  /** Families that suit the dog and its work; without it every table is judged. */
  families?: readonly FamilyId[]
  /** Sides the shop takes (handbook 13). */
  views?: ShopFields['views']
  /** What the shop can lay a hand on. */
  pieces?: readonly Piece[]
  /** The tables their labels belong to; those ranked, where not given. */
  labelTables?: readonly SizeTable[]
  /** The dog still grows: some kinds are sized for that. */
  growing?: boolean
  /** Offers made elsewhere, ranked among the others: crates of the usual series. */
  offers?: readonly Offer[]
}

/** A ranked table as an offer: made to measure, boots paw by paw, or a size. */
function offerOf({ table, ...ranked }: RankedTable, body: SizedBody, views: ShopFields['views']): Offer {
  const judged = frontOf(table)
  if (table.way === 'made') return { kind: 'made', table, judged, ...ranked }
  if (allFamilies[table.family].shelf === 'boot') return { kind: 'paws', table, judged, paws: pawSizes(table, body, views), ...ranked }
  return { kind: 'size', table, judged, ...ranked }
}

/**
 * Everything of the suitable families against one dog, on every part it is sized by: every size of every table, the
 * shop's own pieces, and the offers handed in. What was not read is taken from the dog's form and marked as a guess. The
 * answer does not depend on the order of the tables.
 *
 * @param body agreed values, mm, with their standard deviations
 * @param form the dog's form; `null`: measures not read stay unknown
 */
export function rankAll(
  tables: readonly SizeTable[],
  body: SizedBody,
  form: Pick<Form, 'measures'> | null,
  { families, views = {}, growing = false, pieces = [], labelTables = tables, offers = [] }: RankAllOptions = {},
): Offer[] {
  const suits = (family: FamilyId): boolean => families === undefined || families.includes(family)
  const known = withGuesses(body, form)
  const ranked = rankTables(
    tables.filter((table) => suits(table.family)),
    known,
    views,
    growing,
  ).map((each) => offerOf(each, known, views))
  const more = [...rankPieces(pieces, labelTables, known), ...offers].filter((offer) => suits(familyOf(offer)))
  return more.length === 0 ? ranked : [...ranked, ...more].sort((a, b) => byFit(a, b) || (offerKey(a) < offerKey(b) ? -1 : offerKey(a) > offerKey(b) ? 1 : 0))
}
