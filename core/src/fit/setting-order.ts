import type { SetPart } from '../gear/index.ts'
import type { FamilyId } from '../model/index.ts'

/** The trunk's ring says where gear sits, the neck settles the rest: what 8.2 does not order is set so (its reason, from memory, unverified). */
const USUAL: readonly SetPart[] = ['belly', 'girth', 'cinch', 'keel', 'neck', 'front', 'back', 'upper', 'lower', 'side', 'cross', 'rear', 'loopDrop']
const WALKING: readonly SetPart[] = ['neck', 'keel', 'girth', 'back']
const DRAFT: readonly SetPart[] = ['neck', 'keel', 'back', 'upper', 'lower', 'cinch', 'loopDrop', 'loop', 'belly', 'rear']

/** The order in which straps are set (handbook 8.2, common practice; boots and coats have none). */
const ORDERS: Partial<Record<FamilyId, readonly SetPart[]>> = {
  H09: ['belly', 'girth', 'neck', 'keel', 'back', 'rear'],
  H10: ['neck', 'girth', 'keel', 'back'],
  H01: WALKING,
  H22: DRAFT,
  H23: DRAFT,
  H24: ['girth', 'front', 'keel', 'back'],
}

/** A family's straps in the order they are set. */
export const settingOrder = (family: FamilyId): readonly SetPart[] => ORDERS[family] ?? USUAL
