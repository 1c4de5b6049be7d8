import { SUSTAINED_PULL } from '../hitch/index.ts'
import type { Grade } from '../model/index.ts'
import { askNumbers, GRAVITY } from '../units/index.ts'

/** Shares of a dog’s weight it is planned to pull: up to the first holds, up to the second is in doubt. From memory, unverified; no study fixes a safe limit (facts 5c). */
export const PULL_SHARES = { long: SUSTAINED_PULL, short: [0.15, 0.2] } as const

export interface PullVerdict {
  grade: Exclude<Grade, 'none'>
  basis: 'predicted'
  /** Pull as a share of the dog’s weight. */
  share: number
}

/**
 * A pull beside what a conditioned grown dog is planned with.
 *
 * @param lasts the whole outing, or a short stretch
 * @throws RangeError for a number that is none, or a dog without weight
 */
export function pullVerdict({ pullN, dogKg, lasts }: { pullN: number; dogKg: number; lasts: 'long' | 'short' }): PullVerdict {
  askNumbers({ pullN })
  if (!(dogKg > 0)) throw new RangeError('dogKg: a dog has weight')
  const share = pullN / (dogKg * GRAVITY)
  const [holds, doubt] = PULL_SHARES[lasts]
  return { grade: share <= holds ? 'holds' : share <= doubt ? 'doubt' : 'fails', basis: 'predicted', share }
}
