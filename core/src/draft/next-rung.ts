import { RUNGS } from '../model/index.ts'
import { askNumbers } from '../units/index.ts'

export type Rung = (typeof RUNGS)[number]

export interface OutingSaid {
  /** Day. */
  on: string
  rung: Rung
  calm: boolean
  loadKg?: number | null
}

export interface NextRung {
  rung: Rung
  /** What is drawn on the last rung, kg; `null` on the others. */
  loadKg: number | null
  because: 'first' | 'down' | 'again' | 'up' | 'top' | 'stay' | 'growing' | 'age-unknown'
}

/** Bones grow until then; giants longer (handbook 5.6, from memory, unverified). */
const GROWN_MONTHS = 18
const GIANT_MONTHS = 24
/** A load grows by so much of the dog’s weight. Ours. */
const STEP = 0.25
const CALM_DAYS = 3

/**
 * What the next outing of a dog that learns to draw should be.
 *
 * @param outings in any order
 * @param months its age; `null` where nobody knows it
 * @throws RangeError for a dog without weight, or an age or load that is no number
 */
export function nextRung({
  outings,
  dogKg,
  months,
  giant,
}: {
  outings: readonly OutingSaid[]
  dogKg: number
  months: number | null
  giant: boolean
}): NextRung {
  if (!(dogKg > 0) || !Number.isFinite(dogKg)) throw new RangeError('dogKg: a dog has weight')
  if (months !== null) askNumbers({ months }, 0)
  for (const { loadKg } of outings) if (loadKg != null) askNumbers({ loadKg }, 0)
  return grownOnly(
    byCalm(
      [...outings].sort((a, b) => a.on.localeCompare(b.on)),
      dogKg,
    ),
    months,
    giant,
  )
}

/** While it grows, and while nobody knows that it does not, lines are the most. */
function grownOnly(next: NextRung, months: number | null, giant: boolean): NextRung {
  if (RUNGS.indexOf(next.rung) <= RUNGS.indexOf('lines')) return next
  if (months === null) return { rung: 'lines', loadKg: null, because: 'age-unknown' }
  return months < (giant ? GIANT_MONTHS : GROWN_MONTHS) ? { rung: 'lines', loadKg: null, because: 'growing' } : next
}

function byCalm(outings: readonly OutingSaid[], dogKg: number): NextRung {
  const newest = outings.at(-1)
  if (!newest) return { rung: 'wear', loadKg: null, because: 'first' }
  const { rung } = newest
  const loadKg = rung === 'load' ? (newest.loadKg ?? STEP * dogKg) : null
  const at = RUNGS.indexOf(rung)
  if (!newest.calm) {
    if (outings.at(-2)?.calm !== false) return { rung, loadKg, because: 'again' }
    if (loadKg !== null && loadKg > STEP * dogKg + 1e-9) return { rung, loadKg: loadKg - STEP * dogKg, because: 'down' }
    return { rung: RUNGS[Math.max(0, at - 1)] ?? 'wear', loadKg: null, because: 'down' }
  }
  const last = outings.slice(-CALM_DAYS)
  const same = ({ rung: of, loadKg: load }: OutingSaid): boolean => of === rung && (loadKg === null || Math.abs((load ?? STEP * dogKg) - loadKg) < 1e-9)
  if (last.length < CALM_DAYS || !last.every((each) => each.calm && same(each)) || new Set(last.map(({ on }) => on)).size < CALM_DAYS)
    return { rung, loadKg, because: 'stay' }
  if (loadKg === null) {
    const up = RUNGS[at + 1] ?? 'load'
    return { rung: up, loadKg: up === 'load' ? STEP * dogKg : null, because: 'up' }
  }
  return loadKg >= dogKg - 1e-9 ? { rung, loadKg, because: 'top' } : { rung, loadKg: Math.min(dogKg, loadKg + STEP * dogKg), because: 'up' }
}
