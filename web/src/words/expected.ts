import { formatWeight, measures, type FormMeasure, type LengthStyle } from '@merry-tailor/core'
import { lengthText } from '../ui/length/length-text'

/** Four in five readings land in the range shown. */
const RANGE = 1.2816

export const expectedRange = ({ mm, sigmaMm }: FormMeasure): { fromMm: number; toMm: number } => ({
  fromMm: Math.max(1, mm - RANGE * sigmaMm),
  toMm: mm + RANGE * sigmaMm,
})

/** `12 to 14`; a weight with its unit. Rounded outward to a quarter inch or half a centimetre: a prediction has no eighths. */
export function rangeWords(measure: string, expected: FormMeasure, look: LengthStyle & { unit: 'in' | 'cm' }): string {
  const { fromMm, toMm } = expectedRange(expected)
  if (measures[measure]?.quantity === 'mass') {
    const unit = look.unit === 'in' ? 'lb' : 'kg'
    return `${formatWeight(fromMm, unit)} to ${formatWeight(toMm, unit)}`
  }
  const step = look.unit === 'in' ? 6.35 : 5
  const coarse = { ...look, step: look.unit === 'in' ? 0.25 : 0.5 }
  return `${lengthText(Math.floor(fromMm / step) * step, coarse)} to ${lengthText(Math.ceil(toMm / step) * step, coarse)}`
}
