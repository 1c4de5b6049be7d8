import { tableIn, type Offer, type ProposedChoice, type Supply } from '@merry-tailor/core'

const countOf = (offer: Offer, label: string | undefined, supply: readonly Supply[]): number | undefined => {
  const table = tableIn(offer)
  return table === null || table.way === 'made' || label === undefined ? undefined : supply.find((each) => each.tableId === table.id)?.count[label]
}

/** Of two sizes to try what hangs on the shelf is tried first: the other is ordered if it must be. */
export function hangingFirst(proposed: ProposedChoice | null, supply: readonly Supply[]): ProposedChoice | null {
  if (!proposed || proposed.labels.length !== 2 || !proposed.follows) return proposed
  const [first = '', second = ''] = proposed.labels
  const gone = countOf(proposed.offer, first, supply) === 0 && (countOf(proposed.offer, second, supply) ?? 0) > 0
  if (!gone) return proposed
  const settlement = proposed.settlement?.kind === 'size' ? { ...proposed.settlement, labels: [second, first] } : proposed.settlement
  return { ...proposed, labels: [second, first], settlement }
}

/** "Birch is sold out" where the size that would lead does not hang there; `''` where it does or nobody knows. */
export function soldOutWords(offer: Offer, labels: readonly string[], supply: readonly Supply[]): string {
  const gone = labels.filter((label) => countOf(offer, label, supply) === 0)
  if (gone.length === 0) return ''
  const [only] = gone
  return gone.length === labels.length
    ? `${gone.join(' and ')}: none on the shelf, to order`
    : `${only ?? ''} is sold out: order it if ${labels.find((label) => label !== only) ?? 'this'} does not do`
}
