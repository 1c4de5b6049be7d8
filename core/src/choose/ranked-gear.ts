import type { Suits } from '../gear/index.ts'
import type { FamilyId } from '../model/index.ts'
import type { CautionCode } from './caution.ts'

/** A coat, a boot or a crate for what the dog needs: its rank, what speaks for and against it, and the stops that bind it. */
export interface RankedGear {
  family: FamilyId
  rank: Suits
  reasons: { code: GearReason; for: boolean }[]
  stops: CautionCode[]
}

/** Why a coat, a boot or a crate suits or does not (handbook 5.5). */
export type GearReason =
  // Boots: what the paws go on.
  | 'snow-and-ice'
  | 'wears-on-asphalt'
  | 'grip-on-rock'
  | 'hot-ground'
  | 'salt'
  | 'deep-snow-gaiter'
  | 'breaks-by-the-hour'
  | 'floors'
  | 'moisture'
  // Coats: what they keep off, and who wears them.
  | 'harness-over-it'
  | 'not-in-rain'
  | 'cold-house'
  | 'head-and-legs-handled'
  | 'long-underside'
  | 'severe-cold'
  | 'thin-coat'
  | 'thick-coat-warms'
  | 'no-rigid-hood'
  | 'rain-and-mud'
  | 'set-once'
  | 'warm-weather'
  | 'night-and-heat'
  | 'grows-with-it'
  // Crates: where the dog stays.
  | 'divider'
  | 'no-divider'
  | 'car-and-flight'
  | 'carrier-rules'
  | 'no-restraint'
  | 'trips-trained'
  | 'daily-use'
  | 'chews-it'
  | 'untrained'
  | 'more-room'
  | 'climbs-out'

const ORDER: readonly Suits[] = ['first', 'works', 'conditions', 'wrong', 'pointless']

/** Of two ranks the one that promises less. */
export const worseRank = (a: Suits, b: Suits): Suits => (ORDER.indexOf(a) >= ORDER.indexOf(b) ? a : b)
export const rankOrder = (rank: Suits): number => ORDER.indexOf(rank)

/** Best first; of one rank what has fewer stops, then more for it, then as the handbook lists them. */
export const bestFirst = (ranked: readonly RankedGear[]): RankedGear[] => {
  const weight = ({ reasons }: RankedGear): number => reasons.reduce((sum, reason) => sum + (reason.for ? 1 : -1), 0)
  return [...ranked].sort((a, b) => rankOrder(a.rank) - rankOrder(b.rank) || a.stops.length - b.stops.length || weight(b) - weight(a))
}
