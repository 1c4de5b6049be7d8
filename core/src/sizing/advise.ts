import type { SizeTable } from '../model/index.ts'
import { tableIn, type Offer } from './offer.ts'
import type { RankedSize } from './ranked-size.ts'

/** What to put on the dog: one size, two one after the other, or nothing from this table yet. */
export interface SizeAdvice {
  /** `guess`: no tape of this table was read; the size its form makes likeliest. */
  kind: 'one' | 'both' | 'nothing' | 'no-tape' | 'measured' | 'guess'
  labels: string[]
}

/** Two sizes are near when the second is neither ruled out nor much less likely than the first. */
const NEAR = 0.15

/**
 * Turns ranked sizes into an act. Where two sizes are near and stock is at hand, the advice is to try both: fit shows
 * only under load, so it is not decided on paper (handbook 6.1, common practice).
 */
export function adviseSizes(table: Pick<SizeTable, 'way'>, ranked: readonly RankedSize[]): SizeAdvice {
  const [first, second] = ranked
  if (!first || first.grade === 'none') return { kind: 'no-tape', labels: [] }
  if (first.perMeasure.every((fit) => fit.guess || fit.mm === null)) {
    // A guess that touches more than two sizes names none: the tape first.
    const open = ranked.filter((size) => size.grade === 'doubt').length + (first.grade === 'holds' ? 1 : 0)
    return { kind: 'guess', labels: table.way === 'made' || open > 2 ? [] : [first.label] }
  }
  if (first.grade === 'fails') return { kind: 'nothing', labels: [] }
  if (table.way === 'made') return { kind: 'measured', labels: [first.label] }
  const byRule = first.because.code === 'between-down' || first.because.code === 'between-up'
  // Between two sizes both are tried, unless another measure rules the second one out.
  const other = byRule ? ranked.find(({ label }) => label === first.because.other) : undefined
  if (other) return other.grade === 'fails' ? { kind: 'one', labels: [first.label] } : { kind: 'both', labels: [first.label, other.label] }
  const near = first.grade === 'doubt' && second?.grade === 'doubt' && (second.chance ?? 0) >= NEAR * (first.chance ?? 0)
  if (near) return { kind: 'both', labels: [first.label, second.label] }
  return { kind: 'one', labels: [first.label] }
}

/** The advice for an offer: our own piece and the usual series are at hand like stock. */
export const adviseOffer = (offer: Offer): SizeAdvice => adviseSizes({ way: tableIn(offer)?.way ?? 'stock' }, offer.sizes)

/**
 * Stock that may fit goes before everything ordered: its fit shows on the dog today, and nothing is decided on paper
 * (handbook 6.1, common practice). The rest keeps its rank.
 */
export function atHandFirst<T extends { table: Pick<SizeTable, 'way'>; advice: SizeAdvice }>(ranked: readonly T[]): T[] {
  const atHand = ranked.find((each) => each.table.way === 'stock' && (each.advice.kind === 'one' || each.advice.kind === 'both'))
  return atHand ? [atHand, ...ranked.filter((each) => each !== atHand)] : [...ranked]
}
