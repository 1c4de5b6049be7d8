import type { FamilyId } from '../model/index.ts'

/** Straps of drafting gear, in the order they are set (handbook 8.2). */
export type DraftPart = 'neck' | 'keel' | 'back' | 'upper' | 'lower' | 'cinch' | 'loopDrop' | 'loop' | 'belly' | 'rear'

const FREIGHT: readonly { part: DraftPart; count: number }[] = [
  { part: 'neck', count: 1 },
  { part: 'keel', count: 1 },
  { part: 'back', count: 1 },
  { part: 'upper', count: 2 },
  { part: 'lower', count: 2 },
  { part: 'cinch', count: 1 },
  { part: 'rear', count: 2 },
]
const CART: readonly { part: DraftPart; count: number }[] = [
  ...FREIGHT.slice(0, -1),
  { part: 'loopDrop', count: 2 },
  { part: 'loop', count: 2 },
  { part: 'belly', count: 1 },
  { part: 'rear', count: 2 },
]

/**
 * The parts of a drafting harness: four primary traces and two rear ones (handbook 8.5, V44, common practice); a cart's has
 * shaft loops and a belly band too.
 *
 * @throws RangeError for a kind that draws nothing
 */
export function draftParts(family: FamilyId): readonly { part: DraftPart; count: number }[] {
  if (family === 'H22') return FREIGHT
  if (family === 'H23') return CART
  throw new RangeError(`${family} is no drafting harness`)
}
