import { measureCovariance, shareOf } from './measure-covariance.ts'
import { DISCREPANCY } from './readings.ts'
import type { Form } from './form-type.ts'
import { defines } from './tapes.ts'

/** What one more tape would do for what is wanted. */
export interface NextTape {
  measure: string
  /** Share of the wanted measures' whole variance (relative, discrepancy apart) that the reading would take away, 0 to 1. */
  narrows: number
}

/** Relative error of one careful reading. */
const READING = 0.012

/**
 * Which tape not yet taken narrows the wanted measures most: for each candidate the expected fall of their summed
 * relative variances, in closed form from the form's covariance.
 *
 * @param wanted measures the chosen items are judged by
 * @param candidates measures that may be taken next; those taken or not on the form are left out
 * @returns best first; ties in the order given
 */
export function bestNext(form: Form, wanted: readonly string[], candidates: readonly string[]): NextTape[] {
  const open = candidates.filter((id) => id !== 'M00' && defines(id, form.sex) && form.measures[id]?.taken === false)
  const targets = wanted.filter((id) => id !== 'M00' && defines(id, form.sex))
  if (open.length === 0 || targets.length === 0) return []
  const table = measureCovariance(form, [...open, ...targets], false)
  const covariance = (a: string, b: string): number => shareOf(table, a, b)
  const noise = READING ** 2 + DISCREPANCY ** 2
  const whole = targets.reduce((sum, id) => sum + covariance(id, id), 0)
  return open
    .map((measure): NextTape => {
      const own = covariance(measure, measure) + noise
      const gain = targets.reduce((sum, id) => sum + covariance(id, measure) ** 2 / own, 0)
      return { measure, narrows: whole > 0 ? gain / whole : 0 }
    })
    .sort((a, b) => b.narrows - a.narrows)
}
