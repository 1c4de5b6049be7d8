import { families, type Shelf } from '../gear/index.ts'
import type { FamilyId, ShopFields, SizeTable } from '../model/index.ts'

export interface BetweenRule {
  /** `room`: the size in which the value lies nearer the middle. */
  rule: 'down' | 'up' | 'room'
  from: 'maker' | 'family' | 'shop'
  /** The reason as a code; the interface has the sentence. */
  because:
    | 'maker-says'
    | 'maker-cut'
    | 'shop-view'
    | 'seats-under-tension'
    | 'adjuster-middle'
    | 'plate-clears-armpit'
    | 'cords-do-the-rest'
    | 'must-pass-the-head'
    | 'grows-into-it'
    | 'width-decides'
    | 'cloth-gives'
    | 'larger-ring'
    | 'stand-turn-lie'
}

type Own = Omit<BetweenRule, 'from'>
const seated: Own = { rule: 'down', because: 'seats-under-tension' }
const roomy: Own = { rule: 'room', because: 'adjuster-middle' }
const sturdy: Own = { rule: 'up', because: 'width-decides' }
const standing: Own = { rule: 'up', because: 'stand-turn-lie' }

/** Handbook 6.2 by item; where practitioners disagree (handbook 13, D10) it goes by item. */
const BY_ITEM: Partial<Readonly<Record<FamilyId, Own>>> = {
  H05: { rule: 'up', because: 'must-pass-the-head' },
  H10: { rule: 'up', because: 'plate-clears-armpit' },
  H24: { rule: 'up', because: 'larger-ring' },
  C1: { rule: 'up', because: 'grows-into-it' },
  C4: { rule: 'down', because: 'cords-do-the-rest' },
  B1: { rule: 'down', because: 'cloth-gives' },
  B2: sturdy,
  B3: sturdy,
  K1: standing,
  K2: standing,
  K3: standing,
  K4: standing,
}

/** Pulling harnesses seat themselves under tension. */
const seats = (family: FamilyId): boolean => families[family].shelf === 'pulling'

/**
 * What to do between two sizes: the maker's own rule where it is stated, then the shop's side (D10) for harnesses, else
 * the family's.
 * Source: handbook 6.2: cross-back, running plate and rain suit common practice; the others from memory, unverified.
 */
export function betweenRule(table: Pick<SizeTable, 'between' | 'family'> & { rules?: SizeTable['rules'] }, views: ShopFields['views'] = {}): BetweenRule {
  if (table.between) return { rule: table.between, from: 'maker', because: 'maker-says' }
  // A maker who cuts roomy sends a dog between sizes down, one who cuts snug up (as the rain suit of handbook 6.2).
  const cut = table.rules?.cut
  if (cut === 'roomy' || cut === 'snug') return { rule: cut === 'roomy' ? 'down' : 'up', from: 'maker', because: 'maker-cut' }
  if (views.D10 && table.family.startsWith('H')) return { rule: views.D10 === 'A' ? 'down' : 'up', from: 'shop', because: 'shop-view' }
  return { ...(BY_ITEM[table.family] ?? (seats(table.family) ? seated : roomy)), from: 'family' }
}

/**
 * The order in which dimensions win. Pulling: neck, then sides, then length (common practice). Walking: height of the
 * front piece, then girth, then ring (from memory, unverified). A neck that cannot be let out goes first. Source: handbook 6.3.
 */
export function decidingOrder(family: FamilyId): readonly string[] {
  if (family === 'H05') return ['M01', 'M02', 'M04', 'M06', 'M07']
  return ORDERS[families[family].shelf]
}

const ORDERS: Readonly<Record<Shelf, readonly string[]>> = {
  pulling: ['M01', 'M10', 'M11', 'M12', 'M13', 'M14'],
  walking: ['M06', 'M07', 'M08', 'M01', 'M02', 'M14'],
  drafting: ['M01', 'M07', 'M46', 'M47'],
  car: ['M07', 'M01', 'M02', 'M00'],
  coat: ['M14', 'M15', 'M16', 'M07', 'M02'],
  boot: ['M32', 'M34', 'M33', 'M35', 'M36'],
  crate: ['M41', 'M39', 'M40', 'M42', 'M43', 'M44'],
}
