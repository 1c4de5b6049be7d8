import type { Suits } from '../gear/index.ts'
import type { Dog, FamilyId, Need } from '../model/index.ts'
import { stillGrows } from '../reference/index.ts'
import { bestFirst, worseRank, type GearReason, type RankedGear } from './ranked-gear.ts'

export interface CrateQuestion {
  dog: Dog | null
  /** `ride`, `fly` and `home` count; the rest is no question of crates. */
  needs: readonly Need[]
  /** Day the question is asked on, `YYYY-MM-DD`. */
  on: string
  chews?: boolean
  backsOut?: boolean
}

/** What each crate is for each use. Source: handbook 5.5, 10.1, common practice; the wire crate on a ride is ours. */
const BY_USE: Readonly<Record<'K1' | 'K2' | 'K3' | 'K4', Readonly<Record<'ride' | 'fly' | 'home', readonly [Suits, GearReason, boolean]>>>> = {
  K1: { ride: ['conditions', 'no-restraint', false], fly: ['wrong', 'carrier-rules', false], home: ['first', 'divider', true] },
  K2: { ride: ['first', 'car-and-flight', true], fly: ['first', 'carrier-rules', true], home: ['works', 'no-divider', false] },
  K3: { ride: ['wrong', 'no-restraint', false], fly: ['wrong', 'carrier-rules', false], home: ['conditions', 'trips-trained', true] },
  K4: { ride: ['wrong', 'no-restraint', false], fly: ['wrong', 'carrier-rules', false], home: ['works', 'more-room', true] },
}

/**
 * Crates for where a dog stays, best first; of several uses each crate is as good as in its worst. A carrier's own
 * rules go before all of it.
 */
export function cratesFor({ dog, needs, on, chews = false, backsOut = false }: CrateQuestion): RankedGear[] {
  const uses = (['ride', 'fly', 'home'] as const).filter((use) => needs.includes(use))
  const grows = stillGrows(dog, on)
  return bestFirst(
    (['K1', 'K2', 'K3', 'K4'] as const).map((family): RankedGear => {
      const cells = (uses.length > 0 ? uses : (['home'] as const)).map((use) => BY_USE[family][use])
      const reasons: RankedGear['reasons'] = []
      let rank: Suits = 'first'
      const add = (atBest: Suits, code: GearReason, speaks: boolean): void => {
        rank = worseRank(rank, atBest)
        if (!reasons.some((each) => each.code === code)) reasons.push({ code, for: speaks })
      }
      for (const [cell, code, speaks] of cells) add(cell, code, speaks)
      if (family === 'K2' && grows && uses.includes('home')) add('conditions', 'no-divider', false)
      if (family === 'K3' && chews) add('wrong', 'chews-it', false)
      if (family === 'K3' && grows) add('wrong', 'untrained', false)
      if (family === 'K4' && backsOut) add('conditions', 'climbs-out', false)
      return { family: family satisfies FamilyId, rank, reasons, stops: [] }
    }),
  )
}
