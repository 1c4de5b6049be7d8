import { families } from '../gear/index.ts'
import type { FamilyId, SizeTable } from '../model/index.ts'
import { MM_PER_UNIT } from '../units/index.ts'
import type { CrateInside, OfferOf } from './offer.ts'
import { rankSizes } from './rank-sizes.ts'
import { summedUp } from './rank-tables.ts'
import type { SizedBody } from './sized-body.ts'

/** Length, inner width, inner height, inches. Source: handbook 10.2: lengths common practice; width and height from memory, unverified. */
const SERIES: readonly (readonly [label: string, length: number, width: number, height: number])[] = [
  ['18', 18, 12, 14],
  ['24', 24, 17, 19],
  ['30', 30, 19, 21],
  ['36', 36, 23, 25],
  ['42', 42, 28, 30],
  ['48', 48, 30, 33],
  ['54, by order', 54, 37, 45],
]
/** Room beyond the dog, mm: at least, and enough. Source: handbook 10.3, from memory, unverified. */
const LEAST = 50
const ENOUGH = 100

const insides: readonly CrateInside[] = SERIES.map(([label, ...inches]) => ({
  label,
  insideMm: inches.map((inch) => inch * MM_PER_UNIT.in) as [number, number, number],
}))

/** Which dogs can stand, turn and lie in each, and would not do with the next smaller. Height takes all three of M39 to M41. */
const sizes: SizeTable['sizes'] = insides.map(({ label, insideMm: [length, width, height] }, i) => {
  const before = insides[i - 1]?.insideMm[0]
  const tall: [number, number] = [1, height - LEAST]
  return { label, bands: { M42: [before === undefined ? 1 : before - ENOUGH, length - LEAST], M44: [1, width / 2], M39: tall, M40: tall, M41: tall } }
})

/**
 * The series crates come in, whoever makes them, against one dog; a carrier's own rules go before it, and a label may
 * count differently.
 *
 * @returns `null` for a family that is no crate
 */
export function crateOffer(family: FamilyId, body: SizedBody): OfferOf<'series'> | null {
  if (families[family].shelf !== 'crate') return null
  const judged = { family, between: null, sizes }
  return { kind: 'series', family, insides, judged, ...summedUp(rankSizes(judged, body)) }
}
