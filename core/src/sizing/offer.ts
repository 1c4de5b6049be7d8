import type { FamilyId, Piece, SizeTable } from '../model/index.ts'
import type { PawSize } from './paw-sizes.ts'
import type { RankedTable } from './rank-tables.ts'
import type { RankedSize } from './ranked-size.ts'

/** What sizes are judged by, wherever they come from. */
export type Judged = Pick<SizeTable, 'family' | 'between' | 'sizes'> & { rules?: SizeTable['rules'] }

/** Of every offer: its sizes against the dog, best first. */
type Ranked = Omit<RankedTable, 'table'> & { judged: Judged }

/**
 * Something an item can be settled on, judged against one dog. The kinds are those of a choice: a size of a table, boots
 * paw by paw, a piece of our own, a crate of the usual series, a piece made to measure.
 */
export type Offer =
  | (Ranked & { kind: 'size'; table: SizeTable })
  | (Ranked & { kind: 'paws'; table: SizeTable; paws: PawSize[] })
  | (Ranked & { kind: 'made'; table: SizeTable })
  /** `table`: the one its label belongs to, where that is known. */
  | (Ranked & { kind: 'gear'; piece: Piece; table: SizeTable | null })
  /** `grown`: sized for the dog as it will be; `divider`: where the movable wall stands now, mm of length. */
  | (Ranked & { kind: 'series'; family: FamilyId; insides: readonly CrateInside[]; grown: boolean; divider: [number, number] | null })

export type OfferKind = Offer['kind']
export type OfferOf<K extends OfferKind> = Extract<Offer, { kind: K }>

/** Length, width and height inside, mm. */
export interface CrateInside {
  label: string
  insideMm: [length: number, width: number, height: number]
}

/** What names an offer among those of one item. */
export function offerKey(offer: Offer): string {
  switch (offer.kind) {
    case 'size':
    case 'paws':
    case 'made':
      return `table ${offer.table.id}`
    case 'gear':
      return `piece ${offer.piece.id}`
    case 'series':
      return `series ${offer.family}`
  }
}

/** The gear family an offer is of. */
export const familyOf = (offer: Offer): FamilyId => offer.judged.family

/** The table an offer stands in; `null` for a piece of ours and for the usual series. */
export const tableIn = (offer: Offer): SizeTable | null => (offer.kind === 'gear' || offer.kind === 'series' ? null : offer.table)

/** The size under a label. */
export const sizeOf = (offer: Offer, label: string | undefined): RankedSize | undefined => offer.sizes.find((size) => size.label === label)
