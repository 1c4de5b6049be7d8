import type { PawId } from './paw-data'

/** Repeats of one paw may differ by so much, mm (common practice); a pair that differs by more has an odd one. */
export const REPEAT_MM = 3

/** Of two paws of a pair that differ by over 3 mm, the wider one; the pair that differs most. */
export function oddPaw(widths: readonly { paw: PawId; mm: number | null }[]): { paw: PawId; byMm: number } | null {
  const of = (paw: PawId): number | null => widths.find((each) => each.paw === paw)?.mm ?? null
  const pairs = [['front-left', 'front-right'], ['rear-left', 'rear-right']] as const
  const found = pairs.flatMap(([a, b]) => {
    const [left, right] = [of(a), of(b)]
    if (left === null || right === null || Math.abs(left - right) < REPEAT_MM) return []
    return [{ paw: right > left ? b : a, byMm: Math.abs(right - left) }]
  })
  return found.sort((a, b) => b.byMm - a.byMm)[0] ?? null
} // prettier-ignore
