/** A hole of most webbing, about: what one press moves a strap by. Ours. */
const HOLE_MM: Readonly<Record<'in' | 'cm', number>> = { in: 25.4 / 4, cm: 5 }
const MOST_SHOWN = 7

export const holeMm = (unit: 'in' | 'cm'): number => HOLE_MM[unit]

/** The marks of a strap from its shortest: which one it stands at, and those about it. */
export function marksOf(
  mm: number,
  { leastMm, mostMm }: { leastMm: number; mostMm: number },
  unit: 'in' | 'cm',
): { at: number; count: number; shown: number[] } {
  const count = Math.floor((mostMm - leastMm) / HOLE_MM[unit] + 1e-6) + 1
  const at = Math.max(1, Math.min(count, Math.round((mm - leastMm) / HOLE_MM[unit]) + 1))
  const first = Math.max(1, Math.min(count - MOST_SHOWN + 1, at - Math.floor(MOST_SHOWN / 2)))
  return { at, count, shown: Array.from({ length: Math.min(count, MOST_SHOWN) }, (_, i) => first + i) }
}
