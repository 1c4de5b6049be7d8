import { families, isHarness, type BetweenSizes } from '../gear/index.ts'
import type { FamilyId, ShopFields, SizeTable } from '../model/index.ts'

/** What to do between two sizes, and whose rule it is. The reason is a code; the interface has the sentence. */
export interface BetweenRule {
  rule: BetweenSizes['rule']
  from: 'maker' | 'family' | 'shop'
  because: BetweenSizes['because'] | 'maker-says' | 'maker-cut' | 'shop-view'
}

/**
 * What to do between two sizes: the maker's own rule where it is stated, then the shop's side (D10) for harnesses, else
 * the family's, which may differ for a dog that still grows.
 * Source: handbook 6.2: cross-back, running plate and rain suit common practice; the others from memory, unverified.
 */
export function betweenRule(
  table: Pick<SizeTable, 'between' | 'family'> & { rules?: SizeTable['rules'] },
  views: ShopFields['views'] = {},
  growing = false,
): BetweenRule {
  if (table.between) return { rule: table.between, from: 'maker', because: 'maker-says' }
  // A maker who cuts roomy sends a dog between sizes down, one who cuts snug up (as the rain suit of handbook 6.2).
  const cut = table.rules?.cut
  if (cut === 'roomy' || cut === 'snug') return { rule: cut === 'roomy' ? 'down' : 'up', from: 'maker', because: 'maker-cut' }
  if (views.D10 && isHarness(table.family)) return { rule: views.D10 === 'A' ? 'down' : 'up', from: 'shop', because: 'shop-view' }
  const { between, betweenGrowing } = families[table.family]
  return { ...(growing && betweenGrowing ? betweenGrowing : between), from: 'family' }
}

/** The order in which dimensions win (handbook 6.3). */
export const decidingOrder = (family: FamilyId): readonly string[] => families[family].decides
