import type { Form } from '../form/index.ts'
import { checkById, type CheckId, type StrapId } from '../gear/index.ts'
import { aimedLengths } from '../lay/index.ts'
import type { FamilyId, FingerGauge } from '../model/index.ts'
import { predictChecks } from './predict-checks.ts'
import { usualRoom } from './room.ts'

export interface MadeToMeasure {
  straps: Partial<Record<StrapId, { mm: number; sigmaMm: number }>>
  /** Checks it still misses, and by how much their figure lies outside what passes. */
  misses: { check: CheckId; byMm: number }[]
}

/** Less than this no hand at the dog tells; of a gap, half of what wants another look. Ours. */
const BY_HAND_MM = 3

/**
 * Strap lengths for a dog, as a maker sews them, with what they may be off by; and what they would still miss.
 *
 * @param gauge the fitter's fingers; `null`: anybody's
 * @throws RangeError for what has no straps
 */
export function madeToMeasure({ form, family, gauge }: { form: Form; family: FamilyId; gauge: FingerGauge | null }): MadeToMeasure {
  const { straps, sigmaMm } = aimedLengths(form, family, usualRoom(form, family, gauge))
  const rows = predictChecks({ form, family, straps, pull: { riseRad: 0 }, gauge, withoutSpread: true })
  const misses = new Map<CheckId, number>()
  for (const { check, mm, rangeMm } of rows) {
    const known = checkById(check)
    if (mm === null || rangeMm === null || known?.only?.build) continue
    const near = known?.gauge?.kind === 'gap' ? known.gauge.doubtMm / 2 : BY_HAND_MM
    const byMm = mm < rangeMm[0] ? rangeMm[0] - mm : mm > rangeMm[1] ? mm - rangeMm[1] : 0
    if (byMm > near) misses.set(check, Math.max(byMm, misses.get(check) ?? 0))
  }
  return {
    straps: Object.fromEntries(Object.entries(straps).map(([id, mm]) => [id, { mm, sigmaMm: sigmaMm[id as StrapId] }])),
    misses: [...misses].map(([check, byMm]) => ({ check, byMm })),
  }
}
