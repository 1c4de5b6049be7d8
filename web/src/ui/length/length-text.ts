import { formatLength, type LengthStyle } from '@merry-tailor/core'

/** A length for SVG text and sentences: slanted fraction with U+2044, unit when asked. */
export function lengthText(mm: number, look: LengthStyle, unit = false): string {
  const shown = formatLength(mm, look)
  const tail = unit ? ` ${shown.unit}` : ''
  if (shown.decimals !== null) return `${shown.decimals}${tail}`
  if (shown.numerator === 0) return `${shown.whole}${tail}`
  return `${shown.whole === 0 ? '' : `${shown.whole} `}${shown.numerator}⁄${shown.denominator}${tail}`
}
