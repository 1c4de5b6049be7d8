import type { Suits } from '../gear/index.ts'
import type { FamilyId, Footing } from '../model/index.ts'
import { bestFirst, worseRank, type GearReason, type RankedGear } from './ranked-gear.ts'

type Cell = readonly [rank: Suits, code: GearReason, speaks: boolean]

/**
 * Boots by what the paws go on. Source: handbook 5.5, from memory, unverified; where it is silent (rock under cloth,
 * salt under cloth, floors under a trail boot) ours.
 */
const BY_FOOTING: Readonly<Record<'B1' | 'B2' | 'B3', Readonly<Record<Footing, Cell>>>> = {
  B1: {
    snow: ['first', 'snow-and-ice', true],
    rock: ['conditions', 'wears-on-asphalt', false],
    hot: ['wrong', 'wears-on-asphalt', false],
    salt: ['conditions', 'wears-on-asphalt', false],
    indoor: ['wrong', 'floors', false],
  },
  B2: {
    snow: ['conditions', 'deep-snow-gaiter', false],
    rock: ['first', 'grip-on-rock', true],
    hot: ['first', 'hot-ground', true],
    salt: ['first', 'salt', true],
    indoor: ['conditions', 'breaks-by-the-hour', false],
  },
  B3: {
    snow: ['wrong', 'moisture', false],
    rock: ['wrong', 'grip-on-rock', false],
    hot: ['wrong', 'hot-ground', false],
    salt: ['works', 'salt', true],
    indoor: ['first', 'floors', true],
  },
}

/**
 * Boots for a footing, best first; of several footings each boot is as good as on its worst.
 *
 * @param footing `snow`, `rock`, `hot`, `salt`, `indoor`, or several of them
 * @throws RangeError for a footing nobody knows
 */
export function bootsFor({ footing }: { footing: Footing | readonly Footing[] }): RankedGear[] {
  const on: readonly Footing[] = typeof footing === 'string' ? [footing] : footing
  const ids = ['B1', 'B2', 'B3'] as const
  return bestFirst(
    ids.map((family): RankedGear => {
      const cells = on.map((each) => {
        const cell = (BY_FOOTING[family] as Readonly<Record<string, Cell>>)[each]
        if (!cell) throw new RangeError(`footing: ${each} is none of snow, rock, hot, salt, indoor`)
        return cell
      })
      const reasons = cells
        .map(([, code, speaks]) => ({ code, for: speaks }))
        .filter((reason, i, all) => all.findIndex((other) => other.code === reason.code) === i)
      return { family: family satisfies FamilyId, rank: cells.reduce<Suits>((rank, [cell]) => worseRank(rank, cell), 'first'), reasons, stops: [] }
    }),
  )
}
