import type { Because, FamilyId, Grade, ShopFields, SizeTable } from '../model/index.ts'
import { betweenRule, decidingOrder } from './between.ts'
import { chanceWithin } from './chance.ts'
import { conflictIn, tailToleranceHolds } from './conflicts.ts'
import { endangeredBy } from './endangers.ts'
import type { MeasureFit, RankedSize } from './ranked-size.ts'
import type { SizedBody } from './sized-body.ts'

type Sized = Pick<SizeTable, 'family' | 'between' | 'sizes'>

const BAD_FIRST: Readonly<Record<Grade, number>> = { fails: 0, doubt: 1, holds: 2, none: 3 }
/** Order of grades, the best first. */
export const GOOD_FIRST: Readonly<Record<Grade, number>> = { holds: 0, doubt: 1, fails: 2, none: 3 }

/** The worst grade of those that say anything; `none` when none does. */
export function worstGrade(grades: readonly Grade[]): Grade {
  return grades.reduce<Grade>((worst, grade) => (BAD_FIRST[grade] < BAD_FIRST[worst] ? grade : worst), 'none')
}

/**
 * A guess has no reading behind it, so its grade goes by chance: nine in ten holds, one in twenty misses. Ours, unverified.
 */
const guessGrade = (chance: number): Grade => (chance >= 0.9 ? 'holds' : chance <= 0.05 ? 'fails' : 'doubt')

function fitMeasure(family: FamilyId, measure: string, [fromMm, toMm]: readonly [number, number], body: SizedBody): MeasureFit {
  const known = body[measure]
  if (!known || known.mm === null || !Number.isFinite(known.mm)) {
    return { measure, mm: null, spreadMm: null, fromMm, toMm, byMm: null, grade: 'none', chance: null, guess: false, spareMm: null, danger: null }
  }
  const { mm } = known
  const guess = known.guess === true
  const sigmaMm = known.sigmaMm !== null && Number.isFinite(known.sigmaMm) ? Math.max(0, known.sigmaMm) : 0
  const spreadMm = 2 * sigmaMm
  const byMm = mm < fromMm ? mm - fromMm : mm > toMm ? mm - toMm : 0
  const inside = mm - spreadMm >= fromMm && mm + spreadMm <= toMm
  const touches = mm + spreadMm >= fromMm && mm - spreadMm <= toMm
  const chance = chanceWithin(mm, sigmaMm, fromMm, toMm)
  const grade = guess ? guessGrade(chance) : inside ? 'holds' : touches ? 'doubt' : 'fails'
  const spareMm = { below: mm - fromMm, above: toMm - mm }
  const danger = endangeredBy(family, measure, spareMm.above < spareMm.below ? 'small' : 'big')
  return { measure, mm, spreadMm, fromMm, toMm, byMm, grade, chance, guess, spareMm, danger }
}

/** Why a size has its grade: the measure that decides, and how far it misses. */
function becauseOf(perMeasure: readonly MeasureFit[], grade: Grade): Because {
  if (grade === 'none') return { code: 'no-tape' }
  const deciding = perMeasure
    .filter((fit) => fit.grade === grade)
    .sort((a, b) => Math.abs(b.byMm ?? 0) - Math.abs(a.byMm ?? 0) || (a.chance ?? 1) - (b.chance ?? 1))[0]
  if (!deciding) return { code: 'no-tape' }
  const code = grade === 'holds' ? 'in-band' : deciding.byMm === 0 ? 'edge' : (deciding.byMm ?? 0) < 0 ? 'below' : 'above'
  return { code, measure: deciding.measure, mm: deciding.byMm ?? 0 }
}

/** How far out in all, mm: orders sizes whose chances are too small to tell apart. */
const missOf = ({ perMeasure }: RankedSize): number => perMeasure.reduce((sum, fit) => sum + Math.abs(fit.byMm ?? 0), 0)

/** The two neighbouring sizes a value lies between, smaller first: in the gap, or its spread touches both. */
function neighbours(measure: string, sizes: readonly RankedSize[]): [RankedSize, RankedSize] | null {
  const rows = sizes
    .flatMap((size) => {
      const fit = size.perMeasure.find((each) => each.measure === measure)
      return fit && fit.mm !== null ? [{ size, fit, mm: fit.mm, spread: fit.spreadMm ?? 0 }] : []
    })
    .sort((a, b) => a.fit.fromMm + a.fit.toMm - (b.fit.fromMm + b.fit.toMm))
  const first = rows[0]
  if (!first) return null
  const touched = rows.filter(({ fit, mm, spread }) => mm + spread >= fit.fromMm && mm - spread <= fit.toMm)
  if (touched.length >= 2) {
    const [a, b] = [...touched].sort((left, right) => (right.fit.chance ?? 0) - (left.fit.chance ?? 0))
    if (!a || !b) return null
    return rows.indexOf(a) < rows.indexOf(b) ? [a.size, b.size] : [b.size, a.size]
  }
  const below = rows.filter(({ fit, mm }) => fit.toMm < mm).at(-1)
  const above = rows.find(({ fit, mm }) => fit.fromMm > mm)
  const inNone = rows.every(({ fit }) => fit.byMm !== 0)
  return below && above && inNone ? [below.size, above.size] : null
}

/** Is `one` out on some other measure than `measure` while `two` is not? Then no rule about `measure` saves it. */
function ruledOut(one: RankedSize, two: RankedSize, measure: string): boolean {
  const others = (size: RankedSize): Grade => worstGrade(size.perMeasure.filter((fit) => fit.measure !== measure).map((fit) => fit.grade))
  return others(one) === 'fails' && others(two) !== 'fails'
}

/**
 * Every size of a table against a body, best first.
 *
 * Per measure: holds when the whole spread (plus and minus 2 sigma) lies in the band, doubt when spread and band
 * overlap, fails when they don't, none without a reading. A size takes its worst measure. Order is by grade, then
 * chance; where a value lies in a gap or its spread touches two sizes, the between-sizes rule (the maker's, else the
 * family's) orders those two, unless another measure rules the favoured one out: then it is rejected "whatever the
 * neck says" (handbook 6.3).
 *
 * @param table sizes with bands in mm
 * @param body agreed values, mm
 * @param views sides the shop takes
 */
export function rankSizes(table: Sized, body: SizedBody, views: ShopFields['views'] = {}): RankedSize[] {
  const order = decidingOrder(table.family)
  const rank = (measure: string): number => (order.includes(measure) ? order.indexOf(measure) : order.length)
  const sizes: RankedSize[] = table.sizes.map((size) => {
    const perMeasure = Object.entries(size.bands)
      .map(([measure, band]) => fitMeasure(table.family, measure, band, body))
      .sort((a, b) => rank(a.measure) - rank(b.measure))
    const past = tailToleranceHolds(table.family, perMeasure)
    if (past) past.grade = 'doubt'
    const grade = worstGrade(perMeasure.map((fit) => fit.grade))
    const chances = perMeasure.flatMap((fit) => (fit.chance === null ? [] : [fit.chance]))
    const chance = chances.length === 0 ? null : chances.reduce((product, each) => product * each, 1)
    const because: Because = past ? { code: 'past-tail', measure: past.measure, mm: past.byMm ?? 0 } : becauseOf(perMeasure, grade)
    return { label: size.label, grade, perMeasure, chance, because, conflict: null }
  })
  for (const size of sizes) size.conflict = conflictIn(table.family, size, sizes, body)
  // Where nothing fits, the size that fails later in the trade's order goes first.
  const firstBad = ({ grade, perMeasure }: RankedSize): number => (grade === 'fails' ? perMeasure.findIndex((fit) => fit.grade === 'fails') : 0)
  const ranked = [...sizes].sort(
    (a, b) => GOOD_FIRST[a.grade] - GOOD_FIRST[b.grade] || firstBad(b) - firstBad(a) || (b.chance ?? 0) - (a.chance ?? 0) || missOf(a) - missOf(b),
  )

  const { rule } = betweenRule(table, views)
  if (rule === 'room') return ranked
  for (const measure of order) {
    const pair = neighbours(measure, sizes)
    if (!pair) continue
    // Going up is for a dog on the edge; one well inside both is no dog between sizes.
    if (rule === 'up' && pair.every((size) => size.perMeasure.find((fit) => fit.measure === measure)?.grade === 'holds')) continue
    const [favoured, other] = rule === 'down' ? pair : [pair[1], pair[0]]
    if (ruledOut(favoured, other, measure)) continue
    const [at, before] = [ranked.indexOf(favoured), ranked.indexOf(other)]
    if (at > before) {
      ranked.splice(at, 1)
      ranked.splice(before, 0, favoured)
    }
    favoured.because = { code: rule === 'down' ? 'between-down' : 'between-up', measure, other: other.label }
    return ranked
  }
  return ranked
}
