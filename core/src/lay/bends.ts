import { DISCREPANCY, tapesOn, type Form } from '../form/index.ts'
import type { StrapRig } from '../gear/index.ts'

/** What a hand's tape errs by, share of it, where the form does not say. Ours. */
const READING = 0.013
/** How much of a deviation is the dog's own and not the hand's. */
const OWN = DISCREPANCY ** 2 / (DISCREPANCY ** 2 + READING ** 2)

export interface Bends {
  /** By strap: its course is so many times the form's. */
  by: Record<string, number>
  /** How far a strap follows its tape, by strap; the tape. */
  follows: Record<string, { tape: string; weight: number }>
  /** By strap: what its course may yet be off by, share. */
  share: Record<string, number>
}

/** A tape that stands in for a strap's own at half its weight. */
const INSTEAD: Readonly<Record<string, string>> = { M12: 'M13' }

/**
 * A strap that runs where a tape ran inherits what that tape deviates from the form by: most of it is this dog, the rest
 * the hand.
 */
export function bendsOf(form: Form, { straps }: StrapRig): Bends {
  const out: Bends = { by: {}, follows: {}, share: {} }
  const wanted: { strap: string; tape: string; weight: number }[] = []
  for (const { id, tape } of straps) {
    out.share[id] = DISCREPANCY
    if (tape === null) continue
    const instead = INSTEAD[tape]
    if (form.measures[tape]?.readMm !== undefined) wanted.push({ strap: id, tape, weight: OWN })
    else if (instead && form.measures[instead]?.readMm !== undefined) wanted.push({ strap: id, tape: instead, weight: OWN / 2 })
  }
  if (wanted.length === 0) return out
  const on = tapesOn(form, [...new Set(wanted.map(({ tape }) => tape))])
  for (const { strap, tape, weight } of wanted) {
    const [read, own] = [form.measures[tape]?.readMm ?? 0, on[tape] ?? 0]
    if (!(read > 0 && own > 0)) continue
    // A reading far off is asked about, not sewn to.
    out.by[strap] = Math.exp(Math.max(-0.08, Math.min(0.08, weight * Math.log(read / own))))
    out.follows[strap] = { tape, weight }
    out.share[strap] = weight === OWN ? (DISCREPANCY * READING) / Math.hypot(DISCREPANCY, READING) : DISCREPANCY * 0.85
  }
  return out
}
