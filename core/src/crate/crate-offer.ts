import { families } from '../gear/index.ts'
import type { FamilyId, Grade, MeasureId, SizeTable } from '../model/index.ts'
import { GOOD_FIRST, rankSizes, summedUp, type CrateInside, type OfferOf, type RankedSize, type SizedBody } from '../sizing/index.ts'
import { MM_PER_UNIT } from '../units/index.ts'
import type { CrateCheckId, Inside } from './crate-checks.ts'
import { CRATE_LABELS, crateFor, insideOf, type SizedCrate } from './crate-for.ts'
import type { DogPlan } from './dog-plan.ts'
import { PEN_HEIGHTS } from './housing.ts'

/** A panel of a pen, inches. From memory, unverified. */
const PEN_PANEL = 24
/** Room beyond the dog, mm: at least, and enough. Source: handbook 10.3, from memory, unverified. */
const LEAST = 50
const ENOUGH = 100
/** The smallest dog fits the smallest crate. */
const ANY = 1

const tall = (height: number): [number, number] => [ANY, height - LEAST]
const pens: readonly CrateInside[] = PEN_HEIGHTS.map((height) => ({
  label: `${height} high`,
  insideMm: [2 * PEN_PANEL, 2 * PEN_PANEL, height].map((inch) => inch * MM_PER_UNIT.in) as [number, number, number],
}))
/** A pen goes by its height alone. */
const penSizes: SizeTable['sizes'] = pens.map(({ label, insideMm: [, , height] }) => ({ label, bands: { M39: tall(height), M40: tall(height) } }))

/** Which dogs can stand and lie in a crate, measure by measure. A longer one than needed is no failure: height or width may ask for it. */
const bandsOf = ({ lengthMm, widthMm, heightMm }: Inside): SizeTable['sizes'][number]['bands'] => ({
  M42: [ANY, lengthMm - LEAST],
  M44: [ANY, widthMm / 2],
  M39: tall(heightMm),
  M40: tall(heightMm),
  M41: tall(heightMm),
})

/** Each measure's clearance. */
const BY_MEASURE: Readonly<Partial<Record<MeasureId, CrateCheckId>>> = { M42: 'nose-to-tail', M44: 'two-widths', M39: 'head', M40: 'ears', M41: 'sitting' }
/** Clearances no single tape speaks of. */
const FORETOLD: readonly CrateCheckId[] = ['turn', 'curled', 'flat-out', 'door']

/** A size as it is ranked, with the grades its clearances give. */
function graded(size: RankedSize, crate: SizedCrate): RankedSize {
  const gradeOf = (id: CrateCheckId): Grade | undefined => crate.checks.find(({ check }) => check === id)?.grade
  const perMeasure = size.perMeasure.map((fit) => {
    const check = BY_MEASURE[fit.measure]
    // Ears no higher than the skull are not asked about: they hold where the head does.
    const grade = (check && gradeOf(check)) ?? (fit.measure === 'M40' ? gradeOf('head') : undefined) ?? fit.grade
    return { ...fit, grade: fit.mm === null ? 'none' : grade }
  })
  const foretold = crate.checks.filter(({ check, grade }) => FORETOLD.includes(check) && grade === crate.grade)
  const byTape = perMeasure.filter(({ grade }) => grade === crate.grade)
  const tightest = foretold.reduce<(typeof foretold)[number] | null>(
    (least, each) => (least && (least.spareMm ?? 0) <= (each.spareMm ?? 0) ? least : each),
    null,
  )
  if (byTape.length === 0 && tightest)
    return { ...size, perMeasure, grade: crate.grade, because: { code: 'clearance', other: tightest.check, mm: tightest.spareMm ?? 0 } }
  if (size.grade === crate.grade || crate.grade === 'none') return { ...size, perMeasure, grade: crate.grade }
  const worst = byTape.reduce<(typeof byTape)[number] | undefined>((most, fit) => (most && (most.byMm ?? 0) >= (fit.byMm ?? 0) ? most : fit), undefined)
  return { ...size, perMeasure, grade: crate.grade, because: worst ? { code: 'edge', measure: worst.measure, mm: worst.byMm ?? 0 } : size.because }
}

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
    const open = before.perMeasure.find((fit) => fit.grade === 'doubt')?.measure
    if (open) first.because = { code: 'between-up', measure: open, other: before.label }
    return [first, before, ...order.filter((size) => size !== first && size !== before)]
  }
  return order
}

export interface CrateOfferOptions {
  /** A dog that still grows: what it will be grown; `null` where nobody knows, then no size is named (handbook 6.2, D34). */
  grown?: SizedBody | null | undefined
  /** Of the dog the crate is for, grown where it grows: it says how the dog turns and curls up. */
  plan?: DogPlan | null | undefined
  insides?: Readonly<Partial<Record<string, Inside>>> | undefined
}

/**
 * The series crates come in, whoever makes them, against one dog; a pen by its height. A carrier's own rules go before
 * it, and a label may count differently.
 *
 * @returns `null` for a family that is no crate
 */
export function crateOffer(family: FamilyId, body: SizedBody, { grown, plan, insides = {} }: CrateOfferOptions = {}): OfferOf<'series'> | null {
  if (families[family].shelf !== 'crate') return null
  const dog = grown === undefined ? body : (grown ?? {})
  const inside = (label: string): Inside => insides[label] ?? insideOf(label)
  const offered: CrateInside[] =
    family === 'K4'
      ? [...pens]
      : CRATE_LABELS.map((label) => {
          const { lengthMm, widthMm, heightMm } = inside(label)
          return { label, insideMm: [lengthMm, widthMm, heightMm] }
        })
  const sizes = family === 'K4' ? penSizes : CRATE_LABELS.map((label) => ({ label, bands: bandsOf(inside(label)) }))
  const judged = { family, between: null, sizes }
  const ranked = rankSizes(judged, dog)
  const crates = family === 'K4' ? null : crateFor({ body: dog, plan, insides })
  const sized = smallestFirst(
    crates
      ? ranked.map((size) => {
          const crate = crates.sizes.find(({ label }) => label === size.label)
          return crate ? graded(size, crate) : size
        })
      : ranked,
    offered.map(({ label }) => label),
  )
  const now = body.M42
  const divider: [number, number] | null = grown !== undefined && family === 'K1' && now?.mm != null ? [now.mm + LEAST, now.mm + ENOUGH] : null
  return { kind: 'series', family, insides: offered, judged, ...summedUp(sized), grown: grown !== undefined, divider }
}
