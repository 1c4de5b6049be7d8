import { families } from '../gear/index.ts'
import type { FamilyId, SizeTable } from '../model/index.ts'

export interface BetweenRule {
  /** `room`: the size in which the value lies nearer the middle. */
  rule: 'down' | 'up' | 'room'
  from: 'maker' | 'family'
  /** The reason as a code; the interface has the sentence. */
  because: 'maker-says' | 'seats-under-tension' | 'adjuster-middle'
}

/** Pulling harnesses seat themselves under tension. */
const seats = (family: FamilyId): boolean => families[family].shelf === 'pulling'

/**
 * What to do between two sizes: the maker's own rule where it is stated, else the family's.
 * Source: handbook 6.2: cross-back, neck between sizes, down (common practice); adjustable walking harness, the size
 * with room both ways (from memory, unverified).
 */
export function betweenRule(table: Pick<SizeTable, 'between' | 'family'>): BetweenRule {
  if (table.between) return { rule: table.between, from: 'maker', because: 'maker-says' }
  return seats(table.family) ? { rule: 'down', from: 'family', because: 'seats-under-tension' } : { rule: 'room', from: 'family', because: 'adjuster-middle' }
}

/**
 * The order in which dimensions win. Pulling: neck, then sides, then length (common practice). Walking: height of the
 * front piece, then girth, then ring (from memory, unverified). Source: handbook 6.3.
 */
export function decidingOrder(family: FamilyId): readonly string[] {
  return seats(family) ? ['M01', 'M10', 'M11', 'M12', 'M13', 'M14'] : ['M06', 'M07', 'M01']
}
