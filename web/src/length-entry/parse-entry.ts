import { formatLength, measures, parseLength, parseWeight, type NewReading } from '@merry-tailor/core'
import { lengthProblemWords, weightProblemWords } from '../words/problems'

export type ParsedEntry = { ok: true; mm: number; unit: NewReading['unit'] } | { ok: false; problem: string }

/** A length in sixteenths or millimetres, written as a fitter would type it. */
export function written(mm: number, unit: 'in' | 'cm'): string {
  const { text } = formatLength(mm, { unit, step: unit === 'in' ? 1 / 16 : 0.1 })
  return text.replace(` ${unit}`, '').replace(/\.0$/, '')
}

/** Reads what was typed for one measure: a weight for M00, a length for all others. */
export function parseEntry(measure: string, typed: string, unit: 'in' | 'cm'): ParsedEntry {
  if (measures[measure]?.quantity === 'mass') {
    const bare = /^[\d.,\s]+$/.test(typed)
    const read = parseWeight(typed, unit === 'in' ? 'lb' : 'kg')
    if (!read.ok) return { ok: false, problem: read.problem === 'empty' ? 'Nothing typed yet.' : weightProblemWords(read.problem) }
    return { ok: true, mm: read.kg, unit: /lb|pound/i.test(typed) || (unit === 'in' && bare) ? 'lb' : 'kg' }
  }
  const read = parseLength(typed, unit)
  return read.ok ? read : { ok: false, problem: lengthProblemWords(read.problem) }
}
