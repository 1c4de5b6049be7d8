import { trunkVariations, type Form, type TrunkVariation } from '../form/index.ts'
import type { Bends } from './bends.ts'
import { figuresOf } from './figures.ts'
import { loaded, type Load } from './load.ts'
import { midline } from './midline.ts'
import { placeOf, pointAt, type Rigging } from './rigging.ts'
import type { Seat } from './seat.ts'
import type { FigureId, RigNode } from '../gear/index.ts'

/** What a lay may yet be off by. */
export interface LaySpread {
  figures: Partial<Record<FigureId, number>>
  nodes: Partial<Record<RigNode, number>>
}

/** Solves a small square system in place by elimination with pivots. */
function solve(matrix: Float64Array[], right: Float64Array): Float64Array {
  const n = right.length
  for (let i = 0; i < n; i++) {
    let pivot = i
    for (let k = i + 1; k < n; k++) if (Math.abs((matrix[k] as Float64Array)[i] as number) > Math.abs((matrix[pivot] as Float64Array)[i] as number)) pivot = k
    ;[matrix[i], matrix[pivot]] = [matrix[pivot] as Float64Array, matrix[i] as Float64Array]
    ;[right[i], right[pivot]] = [right[pivot] as number, right[i] as number]
    const row = matrix[i] as Float64Array
    const own = Math.abs(row[i] as number) > 1e-9 ? (row[i] as number) : 1e-9
    for (let k = i + 1; k < n; k++) {
      const other = matrix[k] as Float64Array
      const by = (other[i] as number) / own
      if (by === 0) continue
      for (let j = i; j < n; j++) other[j] = (other[j] as number) - by * (row[j] as number)
      right[k] = (right[k] as number) - by * (right[i] as number)
    }
  }
  for (let i = n - 1; i >= 0; i--) {
    const row = matrix[i] as Float64Array
    let sum = right[i] as number
    for (let j = i + 1; j < n; j++) sum -= (row[j] as number) * (right[j] as number)
    right[i] = sum / (Math.abs(row[i] as number) > 1e-9 ? (row[i] as number) : 1e-9)
  }
  return right
}

/** The rigging on a trunk that differs, with the same unknowns. */
function varied(rigging: Rigging, { trunk, logs }: TrunkVariation, bends: Bends): Rigging {
  const over = midline(trunk.skin, 'over')
  const by = Object.fromEntries(
    Object.entries(rigging.bends).map(([strap, bend]) => {
      const follows = bends.follows[strap]
      return [strap, follows ? bend * Math.exp(-follows.weight * (logs[follows.tape] ?? 0)) : bend]
    }),
  )
  return {
    ...rigging,
    trunk,
    over,
    under: midline(trunk.skin, 'under'),
    bends: by,
    ringOverMm: rigging.ringOverMm + 2 * Math.PI * (trunk.coatMm - rigging.trunk.coatMm),
  }
}

const STEP_MM = 0.4
/** A strap's own spread is tried by this much, mm. */
const TRY_MM = 4
/** A seat moves in a straight line with what it depends on only so far, back lengths. */
const FARTHEST = 0.35

/**
 * Spread of a seat: how its nodes follow the body it lies on and the straps it hangs by, to first order at the seat.
 *
 * @param strapSigmaMm what a strap's length may be off by, mm
 */
export function spreadOf(
  form: Form,
  given: Rigging,
  bends: Bends,
  lengths: Readonly<Record<string, number>>,
  strapSigmaMm: Readonly<Record<string, number>>,
  load: Load,
  slackAt: Float64Array | null,
  { at, multipliers }: Seat,
  variations: readonly TrunkVariation[] = trunkVariations(form, [...new Set(Object.values(bends.follows).map(({ tape }) => tape))]),
): LaySpread {
  const problem = loaded(given, lengths, load, slackAt)
  const n = problem.unknowns
  const here = problem.evaluate(at)
  const baseFigures = figuresOf(given, at, lengths, here.over)
  const nodes = [...new Set(given.unknowns.map(({ node }) => node))]
  const placeNow = (rigging: Rigging, q: Float64Array) => nodes.map((node) => pointAt(rigging, placeOf(rigging, q, node)))
  const basePlaces = placeNow(given, at)
  const lagrangian = (evaluated: typeof here): Float64Array => {
    const out = evaluated.gradient.slice()
    for (let e = 0; e < problem.straps; e++)
      if ((multipliers[e] as number) !== 0)
        for (let i = 0; i < n; i++) out[i] = (out[i] as number) + (multipliers[e] as number) * (evaluated.rows[e * n + i] as number)
    return out
  }
  const active = Array.from({ length: problem.straps }, (_, e) => e).filter((e) => (multipliers[e] as number) > 1e-3)
  const fixed = Array.from({ length: n }, (_, i) => i).filter((i) => (problem.high[i] as number) - (problem.low[i] as number) < 1e-9)
  const slope = lagrangian(here)
  const hessian = Array.from({ length: n }, (_, i) => {
    if (fixed.includes(i)) return new Float64Array(n)
    const moved = at.slice()
    moved[i] = (moved[i] as number) + STEP_MM
    return lagrangian(problem.evaluate(moved)).map((value, k) => (value - (slope[k] as number)) / STEP_MM)
  })
  const size = n + active.length
  const table = (): Float64Array[] =>
    Array.from({ length: size }, (_, r) => {
      const row = new Float64Array(size)
      if (r < n) {
        for (let k = 0; k < n; k++)
          row[k] = (((hessian[r] as Float64Array)[k] as number) + ((hessian[k] as Float64Array)[r] as number)) / 2 + (r === k ? 0.02 / problem.sizeMm : 0)
        active.forEach((e, j) => (row[n + j] = here.rows[e * n + r] as number))
        if (fixed.includes(r)) {
          row.fill(0)
          row[r] = 1
        }
      } else active.forEach((e, j) => j === r - n && row.set(here.rows.subarray(e * n, (e + 1) * n)))
      return row
    })
  const response = (gradient: Float64Array | null, over: (e: number) => number): Float64Array => {
    const right = new Float64Array(size)
    if (gradient) for (let i = 0; i < n; i++) right[i] = fixed.includes(i) ? 0 : -((gradient[i] as number) - (slope[i] as number))
    active.forEach((e, j) => (right[n + j] = -over(e)))
    const step = solve(table(), right).slice(0, n)
    const longest = step.reduce((most, each) => Math.max(most, Math.abs(each)), 0)
    const by = Math.min(1, (FARTHEST * problem.sizeMm) / (longest || 1))
    return at.map((value, i) => Math.max(problem.low[i] as number, Math.min(problem.high[i] as number, value + by * (step[i] as number))))
  }
  const sums: Partial<Record<FigureId, number>> = {}
  const places = nodes.map(() => 0)
  const take = (figures: Partial<Record<FigureId, number>>, there: readonly (readonly number[])[], by: number): void => {
    for (const [id, value] of Object.entries(figures) as [FigureId, number][]) {
      const off = (value - (baseFigures[id] ?? value)) * by
      sums[id] = (sums[id] ?? 0) + off * off
    }
    there.forEach((p, i) => {
      const b = basePlaces[i] as readonly number[]
      places[i] =
        (places[i] as number) +
        ((p[0] as number) - (b[0] as number)) ** 2 * by * by +
        ((p[1] as number) - (b[1] as number)) ** 2 * by * by +
        ((p[2] as number) - (b[2] as number)) ** 2 * by * by
    })
  }
  for (const variation of variations) {
    const rigging = varied(given, variation, bends)
    const there = loaded(rigging, lengths, load, slackAt)
    const moved = there.evaluate(at)
    const q = response(lagrangian(moved), (e) => (moved.over[e] as number) - (here.over[e] as number))
    const after = there.evaluate(q)
    take(figuresOf(rigging, q, lengths, after.over), relative(placeNow(rigging, q), rigging, given), 1)
  }
  given.bearing.forEach((strap, e) => {
    const length = lengths[strap.id] as number
    const sigma = Math.hypot((bends.share[strap.id] ?? 0) * length, strapSigmaMm[strap.id] ?? 0)
    if (!(sigma > 0)) return
    const longer = { ...lengths, [strap.id]: length + TRY_MM }
    const q = active.includes(e) ? response(null, (other) => (other === e ? -TRY_MM : 0)) : at
    const after = loaded(given, longer, load, slackAt).evaluate(q)
    take(figuresOf(given, q, longer, after.over), placeNow(given, q), sigma / TRY_MM)
  })
  return {
    figures: Object.fromEntries(Object.entries(sums).map(([id, sum]) => [id, Math.sqrt(sum)])),
    nodes: Object.fromEntries(nodes.map((node, i) => [node, Math.sqrt(places[i] as number)])),
  }
}

/** Places told from the withers of the dog that differs, as they are from this one's. */
const relative = (points: readonly (readonly number[])[], rigging: Rigging, given: Rigging): number[][] => {
  const [a, b] = [rigging.trunk.sections.withers, given.trunk.sections.withers]
  return points.map((p) => [(p[0] as number) - a.tx + b.tx, p[1] as number, (p[2] as number) - a.tz + b.tz])
}
