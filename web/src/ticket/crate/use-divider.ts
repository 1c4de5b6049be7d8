import { dividerByMonth, type DividerRow, type SizedBody } from '@merry-tailor/core'
import { useMemo } from 'react'
import type { GrownDog } from '../../bench'

/** Wires of crates stand about so far apart, mm. Ours. */
export const PITCH = 25.4

/** Where a puppy's divider stands, month by month; none where nobody knows what it will be grown. */
export function useDivider(
  grown: GrownDog | null,
  ageWeeks: number | null,
  now: SizedBody['M42'],
  insideMm: number,
  pitchMm: number,
): { rows: readonly DividerRow[]; kg: number | null } {
  const length = grown?.body?.M42
  const kg = grown?.adult?.kg ?? grown?.body?.M00?.mm ?? null
  const rows = useMemo((): DividerRow[] => {
    if (!length?.mm || !kg || ageWeeks === null) return []
    const read = now?.mm && !now.guess ? { mm: now.mm, sigmaMm: now.sigmaMm ?? 5 } : undefined
    return dividerByMonth({ adult: { mm: length.mm, sigmaMm: length.sigmaMm ?? 60 }, adultKg: kg, ageWeeks, now: read, insideMm, pitchMm }).rows
  }, [length, kg, now, ageWeeks, insideMm, pitchMm])
  return { rows, kg }
}
