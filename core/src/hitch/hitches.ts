import { HITCH_PLACES, type Activity, type HitchPlace } from '../model/index.ts'

/** Things that belong between harness and hitch. */
export type KitPart =
  'belt' | 'elastic' | 'webbing' | 'brass-snap' | 'loop' | 'ring-arm-side' | 'rings-both-sides' | 'lead' | 'gangline' | 'neck-line' | 'traces' | 'spreader'

export interface HitchDefault {
  /** Above the floor, and the line from snap to hitch; a hitch on the ticket goes before them. */
  heightMm: number
  lineMm: number
  kit: readonly KitPart[]
  activities: readonly Activity[]
}

/**
 * Heights and lengths to begin with. Source: from memory, unverified; the sets common practice (handbook 8.6: belt,
 * elastic part, webbing, snap, loop; a ring on the arm's side, on both if the dog may change sides).
 */
export const HITCH_DEFAULTS: Readonly<Record<HitchPlace, HitchDefault>> = {
  hand: { heightMm: 800, lineMm: 1800, kit: ['lead'], activities: ['stroll', 'learning-puller', 'long-hike'] },
  belt: { heightMm: 900, lineMm: 2000, kit: ['belt', 'elastic', 'webbing', 'brass-snap', 'loop'], activities: ['front-of-runner'] },
  'bike-front': { heightMm: 750, lineMm: 2500, kit: ['elastic', 'webbing', 'brass-snap', 'loop'], activities: ['bike-front'] },
  'side-arm': { heightMm: 500, lineMm: 700, kit: ['elastic', 'brass-snap', 'ring-arm-side', 'rings-both-sides'], activities: ['bike-side'] },
  'ski-belt': { heightMm: 900, lineMm: 2800, kit: ['belt', 'elastic', 'webbing', 'brass-snap', 'loop'], activities: ['ski-front'] },
  sled: { heightMm: 200, lineMm: 3000, kit: ['gangline', 'neck-line', 'elastic', 'brass-snap', 'loop'], activities: ['sled-team'] },
  cart: { heightMm: 450, lineMm: 1200, kit: ['traces', 'spreader'], activities: ['cart', 'weight-drag'] },
  wheel: { heightMm: 200, lineMm: 1300, kit: ['gangline', 'neck-line', 'brass-snap', 'loop'], activities: ['wheel-place'] },
}

/** The hitch an activity is done at; the hand where none is known. */
export const hitchFor = (activities: readonly Activity[]): HitchPlace =>
  HITCH_PLACES.findLast((hitch) => HITCH_DEFAULTS[hitch].activities.some((activity) => activities.includes(activity))) ?? 'hand'
