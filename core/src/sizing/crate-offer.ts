import { families } from '../gear/index.ts'
import type { FamilyId, MeasureId, SizeTable } from '../model/index.ts'
import { MM_PER_UNIT } from '../units/index.ts'
import { GOOD_FIRST } from './grades.ts'
import type { CrateInside, OfferOf } from './offer.ts'
import { rankSizes } from './rank-sizes.ts'
import { summedUp } from './rank-tables.ts'
import type { RankedSize } from './ranked-size.ts'
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
/** Heights pens come in, inches. From memory, unverified: handbook 5.5 says "several heights". */
const PEN_HEIGHTS = [24, 30, 36, 42, 48] as const
/** A panel of a pen, inches. From memory, unverified. */
const PEN_PANEL = 24
/** Room beyond the dog, mm: at least, and enough. Source: handbook 10.3, from memory, unverified. */
const LEAST = 50
const ENOUGH = 100
/** The smallest dog fits the smallest crate. */
const ANY = 1

const inMm = (inches: readonly number[]): [number, number, number] => inches.map((inch) => inch * MM_PER_UNIT.in) as [number, number, number]
const series: readonly CrateInside[] = SERIES.map(([label, ...inches]) => ({ label, insideMm: inMm(inches) }))
const pens: readonly CrateInside[] = PEN_HEIGHTS.map((height) => ({ label: `${height} high`, insideMm: inMm([2 * PEN_PANEL, 2 * PEN_PANEL, height]) }))

const tall = (height: number): [number, number] => [ANY, height - LEAST]
/** Which dogs can stand, turn and lie in each. A longer one than needed is no failure: height or width may ask for it. */
const crateSizes: SizeTable['sizes'] = series.map(({ label, insideMm: [length, width, height] }) => ({
  label,
  bands: { M42: [ANY, length - LEAST], M44: [ANY, width / 2], M39: tall(height), M40: tall(height), M41: tall(height) },
}))
/** A pen goes by its height alone. */
const penSizes: SizeTable['sizes'] = pens.map(({ label, insideMm: [, , height] }) => ({ label, bands: { M39: tall(height), M40: tall(height) } }))

/**
 * The smallest that meets all of it first, then those that could go either way, the larger first; where the next smaller
 * could go either way the two lie beside each other, the larger first (handbook 6.2).
 */
function smallestFirst(ranked: readonly RankedSize[], inSeries: readonly string[]): RankedSize[] {
  const at = ({ label }: RankedSize): number => inSeries.indexOf(label)
  const order = [...ranked].sort((a, b) => GOOD_FIRST[a.grade] - GOOD_FIRST[b.grade] || (a.grade === 'holds' ? at(a) - at(b) : at(b) - at(a)))
  const [first] = order
  const before = first && ranked.find((size) => at(size) === at(first) - 1)
  if (first?.grade === 'holds' && before?.grade === 'doubt') {
    const open = before.perMeasure.find((fit) => fit.grade === 'doubt')?.measure as MeasureId
    first.because = { code: 'between-up', measure: open, other: before.label }
    return [first, before, ...order.filter((size) => size !== first && size !== before)]
  }
  return order
}

/** A dog that still grows: what it will be grown; `null` where nobody knows, then no size is named (handbook 6.2, D34). */
export interface CrateFor {
  grown?: SizedBody | null
}

/**
 * The series crates come in, whoever makes them, against one dog; a pen by its height. A carrier's own rules go before
 * it, and a label may count differently.
 *
 * @param grown the grown dog's body, of one that still grows: the crate is bought for it, and a divider stands behind the puppy
 * @returns `null` for a family that is no crate
 */
export function crateOffer(family: FamilyId, body: SizedBody, { grown }: CrateFor = {}): OfferOf<'series'> | null {
  if (families[family].shelf !== 'crate') return null
  const pen = family === 'K4'
  const [insides, sizes] = pen ? [pens, penSizes] : [series, crateSizes]
  const judged = { family, between: null, sizes }
  const ranked = rankSizes(judged, grown === undefined ? body : (grown ?? {}))
  const sized = smallestFirst(
    ranked,
    insides.map(({ label }) => label),
  )
  const now = body.M42
  const divider: [number, number] | null = grown !== undefined && family === 'K1' && now?.mm != null ? [now.mm + LEAST, now.mm + ENOUGH] : null
  return { kind: 'series', family, insides, judged, ...summedUp(sized), grown: grown !== undefined, divider }
}
