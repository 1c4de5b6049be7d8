import type { Form } from '../form/index.ts'
import type { StrapId } from '../gear/index.ts'
import { aimedLengths, strapsOf } from '../lay/index.ts'
import type { FamilyId, FingerGauge } from '../model/index.ts'
import { missesOf, type Miss } from './misses.ts'
import { predictChecks } from './predict-checks.ts'
import type { CheckRules, PredictedCheck } from './predicted-check.ts'
import { usualRoom } from './room.ts'

/** How far a strap can be set, mm; a sewn one is as long as it is. */
export interface Adjuster {
  leastMm: number
  mostMm: number
}

export interface StartQuestion {
  form: Form
  family: FamilyId
  /** By strap; a strap left out is as long as the dog wants it. */
  adjusters: Readonly<Record<string, Adjuster>>
  gauge: FingerGauge | null
  rules?: CheckRules
  build?: string | null
}

export interface StartSettings {
  straps: Partial<Record<StrapId, number>>
  /** Straps that stand at the end of their range. */
  atEnd: StrapId[]
  /** Checks it would still miss, and by how much. */
  misses: Miss[]
}

/** A hand lays a slider no finer; the last hole is left free where it can be. Ours. */
const STEP_MM = 1
const END_MM = 6
const ROUNDS = 2
/** Open ends of what passes count as this far, mm. */
const OPEN_MM = 500

/** How far from the middle of what passes, in halves of it: nothing inside the inner half. */
function cost(rows: readonly PredictedCheck[]): number {
  let sum = 0
  for (const { mm, rangeMm } of rows) {
    if (mm === null || rangeMm === null) continue
    const [from, to] = rangeMm
    const openBelow = from < -OPEN_MM
    const openAbove = to > OPEN_MM
    const half = openBelow || openAbove ? 20 : Math.max(4, (to - from) / 2)
    const off = openBelow && openAbove ? 0 : openBelow ? mm - (to - half) : openAbove ? from + half - mm : Math.abs(mm - (from + to) / 2)
    const out = off / half - 0.4
    if (out > 0) sum += out * out
  }
  return sum
}

/**
 * Where to set the straps before it is put on: so that every check would hold, both sides alike, off the last hole where
 * that can be.
 *
 * A prediction: the hand at the dog decides.
 *
 * @throws RangeError for a range that is none, or a family without straps
 */
export function startSettings({ form, family, adjusters, gauge, rules, build = null }: StartQuestion): StartSettings {
  const straps = strapsOf(family)
  if (straps.length === 0) throw new RangeError(`${family}: no straps to set`)
  for (const [id, { leastMm, mostMm }] of Object.entries(adjusters)) {
    if (!straps.some((strap) => strap.id === id)) throw new RangeError(`${family} has no strap ${id}`)
    if (!Number.isFinite(leastMm) || !Number.isFinite(mostMm) || leastMm <= 0 || leastMm > mostMm)
      throw new RangeError(`${family}: strap ${id} goes from ${leastMm} to ${mostMm}`)
  }
  const aimed = aimedLengths(form, family, usualRoom(form, family, gauge)).straps
  const inner = (id: string): readonly [number, number] => {
    const range = adjusters[id]
    if (!range) return [aimed[id as StrapId], aimed[id as StrapId]]
    const free = Math.min(END_MM, (range.mostMm - range.leastMm) / 4)
    return [range.leastMm + free, range.mostMm - free]
  }
  const held = (id: string, mm: number, [from, to] = inner(id)): number => Math.max(from, Math.min(to, mm))
  let now = Object.fromEntries(straps.map(({ id }) => [id, held(id, aimed[id])])) as Record<StrapId, number>
  const judge = (lengths: Record<string, number>) =>
    predictChecks({ form, family, straps: lengths, pull: { riseRad: 0 }, gauge, build, withoutSpread: true, ...(rules ? { rules } : {}) })
  let least = cost(judge(now))
  const movable = straps.filter(({ id }) => adjusters[id] && inner(id)[1] - inner(id)[0] > STEP_MM)
  const attempt = (id: StrapId, mm: number): boolean => {
    const there = { ...now, [id]: mm }
    const worth = cost(judge(there))
    if (worth >= least - 1e-6) return false
    now = there
    least = worth
    return true
  }
  for (let round = 0; round < ROUNDS && least > 1e-4; round++)
    for (const { id } of movable) {
      for (let step = 16; step >= 4 && least > 1e-4; step /= 2) for (const way of [1, -1]) while (attempt(id, held(id, now[id] + way * step)) && least > 1e-4);
    }
  // The last holes only where nothing else will do.
  if (least > 1e-4)
    for (const { id } of movable) {
      const range = adjusters[id] as Adjuster
      for (const end of [range.leastMm, range.mostMm]) attempt(id, end)
    }
  return {
    straps: now,
    atEnd: movable
      .filter(({ id }) => now[id] - (adjusters[id] as Adjuster).leastMm < END_MM / 2 || (adjusters[id] as Adjuster).mostMm - now[id] < END_MM / 2)
      .map(({ id }) => id),
    misses: missesOf(judge(now)),
  }
}
