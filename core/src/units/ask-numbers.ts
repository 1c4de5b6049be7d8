/** Refuses what is no number, or below what it must be. */
export function askNumbers(values: Readonly<Record<string, number>>, least: number | null = null): void {
  for (const [name, value] of Object.entries(values)) {
    if (!Number.isFinite(value)) throw new RangeError(`${name}: no number`)
    if (least !== null && value < least) throw new RangeError(`${name}: below ${least}`)
  }
}

export const GRAVITY = 9.80665

/** Sine and cosine of a grade in per cent. */
export function slopeOf(gradePercent: number): { sin: number; cos: number } {
  if (!Number.isFinite(gradePercent)) throw new RangeError('gradePercent: no number')
  const long = Math.hypot(gradePercent, 100)
  return { sin: gradePercent / long, cos: 100 / long }
}
