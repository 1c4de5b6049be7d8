import { offerKey, type Offer, type SizeTable } from '@merry-tailor/core'

/** What a screen says of an offer: whose it is, how it comes, and what it is judged by. */
export type OfferFace = Pick<SizeTable, 'maker' | 'name' | 'family' | 'way' | 'unit' | 'between' | 'sizes' | 'lead'> &
  Partial<Pick<SizeTable, 'rules' | 'price' | 'school' | 'unjudged'>> & { id: string; kind: Offer['kind'] }

/** An offer as it is shown: a maker's table, a piece of our own, or the usual series of crates. */
export function faceOf(offer: Offer): OfferFace {
  const id = offerKey(offer)
  switch (offer.kind) {
    case 'size':
    case 'paws':
    case 'made':
      return { ...offer.table, id, kind: offer.kind }
    case 'gear':
      return {
        ...offer.judged,
        id,
        kind: 'gear',
        maker: offer.piece.maker || 'Own',
        name: offer.piece.label ? `Label ${offer.piece.label}` : 'No label',
        way: 'stock',
        unit: offer.table?.unit ?? 'cm',
        lead: { minWeeks: 0, maxWeeks: 0 },
      }
    case 'series':
      return {
        ...offer.judged,
        id,
        kind: 'series',
        maker: 'Usual series',
        name: 'The usual series, inches long',
        way: 'stock',
        unit: 'in',
        lead: { minWeeks: 0, maxWeeks: 2 },
      }
  }
}
