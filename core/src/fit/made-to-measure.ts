import type { Form } from '../form/index.ts'
import { checkById, type StrapId } from '../gear/index.ts'
import { aimedLengths } from '../lay/index.ts'
import type { FamilyId, FingerGauge } from '../model/index.ts'
import { missesOf, type Miss } from './misses.ts'
import { predictChecks } from './predict-checks.ts'
import { usualRoom } from './room.ts'

export interface MadeToMeasure {
  straps: Partial<Record<StrapId, { mm: number; sigmaMm: number }>>
  /** Checks it still misses, and by how much their figure lies outside what passes. */
  misses: Miss[]
}

/**
 * Strap lengths for a dog, as a maker sews them, with what they may be off by; and what they would still miss.
 *
 * @param gauge the fitter's fingers; `null`: anybody's
 * @throws RangeError for what has no straps
 */
export function madeToMeasure({ form, family, gauge }: { form: Form; family: FamilyId; gauge: FingerGauge | null }): MadeToMeasure {
  const { straps, sigmaMm } = aimedLengths(form, family, usualRoom(form, family, gauge))
  const rows = predictChecks({ form, family, straps, pull: { riseRad: 0 }, gauge, withoutSpread: true })
  return {
    straps: Object.fromEntries(Object.entries(straps).map(([id, mm]) => [id, { mm, sigmaMm: sigmaMm[id as StrapId] }])),
    misses: missesOf(rows.filter(({ check }) => !checkById(check)?.only?.build)),
  }
}
