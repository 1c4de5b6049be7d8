import { endangeredBy, type Danger } from '../gear/index.ts'
import { type Because, type Band, type FamilyId, type Grade, type MeasureId, type ShopFields, type SizeTable, keysOf } from '../model/index.ts'
import { betweenRule, decidingOrder, type BetweenRule } from './between.ts'
import { chanceWithin } from './chance.ts'
import { BAD_FIRST, GOOD_FIRST, worstGrade } from './grades.ts'
import { conflictIn, fitWithinTailTolerance } from './conflicts.ts'
import type { MeasureFit, RankedSize } from './ranked-size.ts'
import type { SizedBody } from './sized-body.ts'

type Sized = Pick<SizeTable, 'family' | 'between' | 'sizes'> & { rules?: SizeTable['rules'] }

/**
 * A guess has no reading behind it, so its grade goes by chance: nine in ten holds, one in twenty misses. Ours, unverified.
 */
const guessGrade = (chance: number): Grade => (chance >= 0.9 ? 'holds' : chance <= 0.05 ? 'fails' : 'doubt')

/** A measure of the dog made ready for many bands. */
interface Ready {
  measure: MeasureId
  mm: number | null
  sigmaMm: number
  guess: boolean
  small: Danger | null
  big: Danger | null
}

function fitMeasure({ measure, mm, sigmaMm, guess, small, big }: Ready, fromMm: number, toMm: number): MeasureFit {
  if (mm === null) return { measure, mm, spreadMm: null, fromMm, toMm, byMm: null, grade: 'none', chance: null, guess: false, danger: null }
  const spreadMm = 2 * sigmaMm
  const byMm = mm < fromMm ? mm - fromMm : mm > toMm ? mm - toMm : 0
  const inside = mm - spreadMm >= fromMm && mm + spreadMm <= toMm
  const touches = mm + spreadMm >= fromMm && mm - spreadMm <= toMm
  const chance = chanceWithin(mm, sigmaMm, fromMm, toMm)
  const grade = guess ? guessGrade(chance) : inside ? 'holds' : touches ? 'doubt' : 'fails'
  return { measure, mm, spreadMm, fromMm, toMm, byMm, grade, chance, guess, danger: toMm - mm < mm - fromMm ? small : big }
}

/** Why a size has its grade: the measure that decides, and how far it misses. */
function becauseOf(perMeasure: readonly MeasureFit[], grade: Grade): Because {
  let deciding: MeasureFit | null = null
  for (const fit of perMeasure) {
    if (fit.grade !== grade || grade === 'none') continue
    const further = Math.abs(fit.byMm ?? 0)
    const nearer = Math.abs(deciding?.byMm ?? 0)
    if (!deciding || further > nearer || (further === nearer && (fit.chance ?? 1) < (deciding.chance ?? 1))) deciding = fit
  }
  if (!deciding) return { code: 'no-tape' }
  if (grade === 'fails' && deciding.measure === 'M00' && (deciding.byMm ?? 0) > 0) return { code: 'over-tested', measure: 'M00', mm: deciding.byMm ?? 0 }
  const code = grade === 'holds' ? 'in-band' : deciding.byMm === 0 ? 'edge' : (deciding.byMm ?? 0) < 0 ? 'below' : 'above'
  return { code, measure: deciding.measure, mm: deciding.byMm ?? 0 }
}

/** What of a table does not change with the dog: its measures in the deciding order, and its sizes by each measure, smaller first. */
interface TableOrder {
  family: FamilyId
  ids: readonly MeasureId[]
  bySize: Readonly<Record<string, readonly number[]>>
  /** Both ends of every band, size after size in the order of `ids`; NaN where a size has none. */
  ends: Float64Array
  /** By place in `ids`. */
  dangers: readonly { small: Danger | null; big: Danger | null }[]
}

/** Weights a size is for, kg: the maker's own band, never above the heaviest dog it was tested with. */
function weightBand({ bands, testedKg }: SizeTable['sizes'][number]): Band | undefined {
  const said = bands.M00
  if (testedKg === undefined) return said
  return said ? [Math.min(said[0], testedKg), Math.min(said[1], testedKg)] : [0, testedKg]
}

/** Kept by the sizes themselves, which never change once a table is read; hundreds of tables are ranked at every pin. */
const orders = new WeakMap<SizeTable['sizes'], TableOrder>()

function orderOf({ family, sizes }: Sized): TableOrder {
  const known = orders.get(sizes)
  if (known?.family === family) return known
  const deciding = decidingOrder(family)
  const rank = (measure: MeasureId): number => (deciding.includes(measure) ? deciding.indexOf(measure) : deciding.length)
  const tested = sizes.some((size) => size.testedKg !== undefined)
  const ids = [...new Set([...sizes.flatMap((size) => keysOf(size.bands)), ...(tested ? (['M00'] as const) : [])])].sort((a, b) => rank(a) - rank(b))
  const bandOf = (size: SizeTable['sizes'][number], id: MeasureId): Band | undefined => (id === 'M00' ? weightBand(size) : size.bands[id])
  const bandAt = (i: number, id: MeasureId): Band | undefined => {
    const size = sizes[i]
    return size && bandOf(size, id)
  }
  const middle = (i: number, id: MeasureId): number => (bandAt(i, id)?.[0] ?? 0) + (bandAt(i, id)?.[1] ?? 0)
  const bySize = Object.fromEntries(
    ids.map((id) => [
      id,
      sizes
        .map((_size, i) => i)
        .filter((i) => bandAt(i, id))
        .sort((a, b) => middle(a, id) - middle(b, id)),
    ]),
  )
  const dangers = ids.map((id) => ({ small: endangeredBy(family, id, 'small'), big: endangeredBy(family, id, 'big') }))
  const ends = Float64Array.from(sizes.flatMap((size) => ids.flatMap((id) => bandOf(size, id) ?? [Number.NaN, Number.NaN])))
  const order = { family, ids, bySize, ends, dangers }
  orders.set(sizes, order)
  return order
}

/** How far out in all, mm: orders sizes whose chances are too small to tell apart. */
function missOf({ perMeasure }: RankedSize): number {
  let sum = 0
  for (const fit of perMeasure) sum += Math.abs(fit.byMm ?? 0)
  return sum
}

/** Where in the deciding order a size fails first; 0 for one that does not. */
function firstBad({ grade, perMeasure }: RankedSize): number {
  if (grade !== 'fails') return 0
  for (let i = 0; i < perMeasure.length; i++) if (perMeasure[i]?.grade === 'fails') return i
  return 0
}

function fitOf(size: RankedSize | undefined, measure: MeasureId): MeasureFit | undefined {
  if (size) for (const fit of size.perMeasure) if (fit.measure === measure) return fit
  return undefined
}

/** The two neighbouring sizes a value lies between, smaller first: in the gap, or its spread touches both. */
function neighbours(measure: MeasureId, sizes: readonly RankedSize[], inOrder: readonly number[]): [RankedSize, RankedSize] | null {
  let [likeliest, second] = [-1, -1]
  let [below, above] = [-1, -1]
  let inNone = true
  const chanceAt = (i: number): number => fitOf(sizes[i], measure)?.chance ?? 0
  for (const i of inOrder) {
    const fit = fitOf(sizes[i], measure)
    if (!fit || fit.mm === null) continue
    const spread = fit.spreadMm ?? 0
    if (fit.mm + spread >= fit.fromMm && fit.mm - spread <= fit.toMm) {
      if (likeliest < 0 || (fit.chance ?? 0) > chanceAt(likeliest)) [likeliest, second] = [i, likeliest]
      else if (second < 0 || (fit.chance ?? 0) > chanceAt(second)) second = i
    }
    if (fit.byMm === 0) inNone = false
    if (fit.toMm < fit.mm) below = i
    if (above < 0 && fit.fromMm > fit.mm) above = i
  }
  const pair = (a: number, b: number): [RankedSize, RankedSize] | null => {
    const [one, two] = [sizes[a], sizes[b]]
    return one && two ? [one, two] : null
  }
  if (second >= 0) return inOrder.indexOf(likeliest) < inOrder.indexOf(second) ? pair(likeliest, second) : pair(second, likeliest)
  return inNone && below >= 0 && above >= 0 ? pair(below, above) : null
}

/** Does the value lie in the gap between the two, on neither? */
function inGap(measure: MeasureId, [small, large]: readonly [RankedSize, RankedSize]): boolean {
  const [below, above] = [fitOf(small, measure), fitOf(large, measure)]
  return below?.mm != null && above?.mm != null && !below.guess && below.mm > below.toMm && above.mm < above.fromMm
}

/**
 * What lies in the gap between two sizes fails neither of them: the between-sizes rule speaks of it (handbook 6.2), and
 * both may be tried. On every measure that lies between the same two.
 */
function excuseGaps(ids: readonly MeasureId[], pair: readonly [RankedSize, RankedSize]): void {
  const excused = ids.filter((id) => inGap(id, pair))
  if (excused.length === 0) return
  for (const size of pair) {
    size.perMeasure = size.perMeasure.map((fit) => (excused.includes(fit.measure) && fit.grade === 'fails' ? { ...fit, grade: 'doubt' } : fit))
    size.grade = worstGrade(size.perMeasure.map((fit) => fit.grade))
    size.because = becauseOf(size.perMeasure, size.grade)
  }
}

/** The girth decides where the neck can be let out or in (6.3): the neck stays in doubt, it never holds, and fails no size alone. */
function letNeckOut(size: RankedSize, neck: MeasureId | undefined): void {
  if (neck === undefined) return
  size.perMeasure = size.perMeasure.map((fit) => (fit.measure === neck && fit.grade === 'fails' ? { ...fit, grade: 'doubt' } : fit))
  size.grade = worstGrade(size.perMeasure.map((fit) => fit.grade))
  if (size.grade !== 'fails') size.because = { code: 'girth-decides', measure: neck, mm: fitOf(size, neck)?.byMm ?? 0 }
  else size.because = becauseOf(size.perMeasure, size.grade)
}

/** Two sizes the dog lies between by the first measure in the deciding order that says so. */
interface Between {
  measure: MeasureId
  favoured: RankedSize
  other: RankedSize
  code: 'between-down' | 'between-up'
}

/** Boots: the width decides, and goes up only where the paw is long for the smaller one too, or its length is not known (6.2). */
function longToo(measure: MeasureId, small: RankedSize): boolean {
  const length = measure === 'M32' ? fitOf(small, 'M33') : measure === 'M34' ? fitOf(small, 'M35') : undefined
  return length?.mm == null || length.guess || (length.byMm ?? 0) > 0 || length.mm + (length.spreadMm ?? 0) > length.toMm
}

/** Which two sizes the dog lies between, and which of them the rule names; `null` where it is well inside one. */
function betweenOf({ ids, bySize }: TableOrder, { rule: said, because }: BetweenRule, sizes: readonly RankedSize[]): Between | null {
  for (const measure of ids) {
    const inOrder = bySize[measure]
    const pair = inOrder && neighbours(measure, sizes, inOrder)
    if (!pair) continue
    const gap = inGap(measure, pair)
    const rule = because === 'width-decides' && !longToo(measure, pair[0]) ? 'down' : said
    const [small, large] = pair.map((size) => fitOf(size, measure)) as [MeasureFit, MeasureFit]
    // Room both ways: the size in which the value lies nearer; without a gap the likelier one stands first anyhow.
    if (rule === 'room' && !gap) continue
    const down = rule === 'down' || (rule === 'room' && Math.abs(small.byMm ?? 0) <= Math.abs(large.byMm ?? 0))
    // Well inside one size is not between two; inside both at once, the smaller one still pulls where the rule goes down.
    const [inSmall, inLarge] = [small.grade === 'holds', large.grade === 'holds']
    if (down ? inSmall && !inLarge : inSmall || inLarge) continue
    return { measure, favoured: down ? pair[0] : pair[1], other: down ? pair[1] : pair[0], code: down ? 'between-down' : 'between-up' }
  }
  return null
}

/**
 * Every size of a table against a body, best first.
 *
 * Per measure: holds when the whole spread (plus and minus 2 sigma) lies in the band, doubt when spread and band
 * overlap, fails when they don't, none without a reading. A size takes its worst measure. Order is by grade, then
 * chance; where a value lies in a gap, or its spread touches two sizes and lies well inside neither, the between-sizes
 * rule (the maker's, else the family's) orders those two and a gap fails neither, unless another measure rules the
 * favoured one out: then it is rejected "whatever the neck says" (handbook 6.3).
 *
 * @param table sizes with bands in mm
 * @param body agreed values, mm
 * @param views sides the shop takes
 */
export function rankSizes(table: Sized, body: SizedBody, views: ShopFields['views'] = {}, growing = false): RankedSize[] {
  const order = orderOf(table)
  const { ids, ends, dangers } = order
  const ready = ids.map((measure, i): Ready => {
    const known = body[measure]
    const mm = known?.mm != null && Number.isFinite(known.mm) ? known.mm : null
    const sigmaMm = known?.sigmaMm != null && Number.isFinite(known.sigmaMm) ? Math.max(0, known.sigmaMm) : 0
    return { measure, mm, sigmaMm, guess: known?.guess === true, small: dangers[i]?.small ?? null, big: dangers[i]?.big ?? null }
  })
  const sizes: RankedSize[] = table.sizes.map((size, s) => {
    const perMeasure: MeasureFit[] = []
    for (let i = 0; i < ready.length; i++) {
      const at = 2 * (s * ready.length + i)
      const fromMm = ends[at] as number
      if (!Number.isNaN(fromMm)) perMeasure.push(fitMeasure(ready[i] as Ready, fromMm, ends[at + 1] as number))
    }
    const past = fitWithinTailTolerance(table.family, perMeasure)
    if (past) past.grade = 'doubt'
    let grade: Grade = 'none'
    let chance: number | null = null
    for (const fit of perMeasure) {
      if (BAD_FIRST[fit.grade] < BAD_FIRST[grade]) grade = fit.grade
      if (fit.chance !== null) chance = (chance ?? 1) * fit.chance
    }
    const because: Because = past ? { code: 'past-tail', measure: past.measure, mm: past.byMm ?? 0 } : becauseOf(perMeasure, grade)
    return { label: size.label, grade, basis: 'predicted', perMeasure, chance, because, conflict: null }
  })
  const between = betweenOf(order, betweenRule(table, views, growing), sizes)
  if (between) excuseGaps(ids, between.code === 'between-down' ? [between.favoured, between.other] : [between.other, between.favoured])
  for (const size of sizes) {
    size.conflict = conflictIn(table.family, size, sizes, body)
    if (size.conflict?.code === 'girth-decides') letNeckOut(size, size.conflict.measures[1])
  }
  // Where nothing fits, the size that fails later in the trade's order goes first.
  const ranked = [...sizes].sort(
    (a, b) => GOOD_FIRST[a.grade] - GOOD_FIRST[b.grade] || firstBad(b) - firstBad(a) || (b.chance ?? 0) - (a.chance ?? 0) || missOf(a) - missOf(b),
  )
  // What rules the favoured size out says more than what it lies between; one that fails never goes before one that may do.
  if (!between || between.favoured.grade === 'fails') return ranked
  const { favoured, other, measure, code } = between
  const [at, before] = [ranked.indexOf(favoured), ranked.indexOf(other)]
  if (at > before) {
    ranked.splice(at, 1)
    ranked.splice(before, 0, favoured)
  }
  favoured.because = { code, measure, other: other.label }
  return ranked
}
