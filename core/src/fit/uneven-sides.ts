/** One strap as it stands on both sides, mm; `rightMm` is `null` where one slider sets both. */
export interface StrapSides {
  leftMm: number
  rightMm: number | null
  /** A strap led back through its slider: it moves half as far as the strap changes. */
  doubled?: boolean
}

export interface UnevenSide {
  strap: string
  longer: 'left' | 'right'
  byMm: number
}

/** Left and right are equal within this. Source: handbook 7.2, from memory, unverified. */
const EQUAL_MM = 5

/**
 * Straps whose sides differ by more than 5 mm, the most uneven first.
 *
 * @throws RangeError for a length that is no number
 */
export function unevenSides(straps: Readonly<Record<string, StrapSides>>): UnevenSide[] {
  return Object.entries(straps)
    .flatMap(([strap, { leftMm, rightMm }]): UnevenSide[] => {
      if (!Number.isFinite(leftMm) || (rightMm !== null && !Number.isFinite(rightMm))) throw new RangeError(`${strap}: a length is no number`)
      if (rightMm === null) return []
      const byMm = Math.abs(leftMm - rightMm)
      return byMm > EQUAL_MM ? [{ strap, longer: leftMm > rightMm ? 'left' : 'right', byMm }] : []
    })
    .sort((a, b) => b.byMm - a.byMm)
}
