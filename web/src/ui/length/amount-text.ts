import { formatWeight, measures, type LengthStyle } from '@merry-tailor/core'
import { lengthText } from './length-text'

/** A measure's value in its own unit: a weight in kilograms or pounds, everything else a length. */
export const amountText = (measure: string, value: number, look: LengthStyle & { unit: string }, unit = false): string =>
  measures[measure]?.quantity === 'mass' ? weightIn(value, look.unit, unit) : lengthText(value, look, unit)

function weightIn(kg: number, unit: string, named: boolean): string {
  const text = formatWeight(kg, unit === 'in' ? 'lb' : 'kg')
  return named ? text : text.replace(/ (?:kg|lb)$/, '')
}
