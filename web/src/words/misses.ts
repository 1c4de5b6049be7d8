import { formatWeight, measures, type LengthStyle } from '@merry-tailor/core'
import { lengthText } from '../ui/length/length-text'

/** Rings close round the dog; heights stand over it; the rest lies along it. */
const RINGS: ReadonlySet<string> = new Set(['M01', 'M02', 'M03', 'M04', 'M07', 'M08', 'M09', 'M21', 'M22', 'M29', 'M31', 'M36'])
const WIDTHS: ReadonlySet<string> = new Set(['M19', 'M20', 'M32', 'M34', 'M44'])
const HEIGHTS: ReadonlySet<string> = new Set(['M39', 'M40', 'M41', 'M43', 'M45', 'M46'])

/** How a piece misses a dog on a measure, said of the piece: "too long", "too tight". */
export function missWord(measure: string, way: 'small' | 'big'): string {
  if (measures[measure]?.quantity === 'mass') return way === 'small' ? 'heavier than it is made for' : 'lighter than it is made for'
  if (RINGS.has(measure)) return way === 'small' ? 'too tight' : 'too wide'
  if (WIDTHS.has(measure)) return way === 'small' ? 'too narrow' : 'too wide'
  if (HEIGHTS.has(measure)) return way === 'small' ? 'too low' : 'too high'
  return way === 'small' ? 'too short' : 'too long'
}

export type Look = LengthStyle & { unit: string }

/** Whether a measure is a weight, which is said and drawn in its own unit. */
export const isWeight = (measure: string): boolean => measures[measure]?.quantity === 'mass'

/** A weight as this shop reads it. */
export const weightWords = (kg: number, look: Pick<Look, 'unit'>): string => formatWeight(kg, look.unit === 'in' ? 'lb' : 'kg')

/** By how much a piece misses and which way: "5 1/2 too short"; less than can be read on a tape is "just too short". */
export function missedBy(measure: string, byMm: number, look: Look): string {
  const amount = isWeight(measure) ? weightWords(Math.abs(byMm), look) : lengthText(Math.abs(byMm), look)
  return `${Number(amount) === 0 ? 'just' : amount} ${missWord(measure, byMm > 0 ? 'small' : 'big')}`
}
