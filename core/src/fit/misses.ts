import { checkById, type CheckId } from '../gear/index.ts'
import type { PredictedCheck } from './predicted-check.ts'

/** A check that would still miss, and by how much its figure lies outside what passes, mm. */
export interface Miss {
  check: CheckId
  byMm: number
}

/** Less than this no hand at the dog tells; of a gap, half of what wants another look. Ours. */
const BY_HAND_MM = 3

/** Checks whose figure lies outside what passes by more than a hand tells, each once by its worst state. */
export function missesOf(rows: readonly PredictedCheck[]): Miss[] {
  const worst = new Map<CheckId, number>()
  for (const { check, mm, rangeMm } of rows) {
    if (mm === null || rangeMm === null) continue
    const gauge = checkById(check)?.gauge
    const nearMm = gauge?.kind === 'gap' ? gauge.doubtMm / 2 : BY_HAND_MM
    const byMm = Math.max(rangeMm[0] - mm, mm - rangeMm[1])
    if (byMm > nearMm) worst.set(check, Math.max(byMm, worst.get(check) ?? 0))
  }
  return [...worst].map(([check, byMm]) => ({ check, byMm }))
}
