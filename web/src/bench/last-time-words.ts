import type { LengthStyle } from '@merry-tailor/core'
import { longDay } from '../state/today'
import { amountText } from '../ui/length/amount-text'

/** `Last time 21 7/8 in, 26 November, Ylva`: the whole value, the day and the hand. */
export function lastTimeWords(measure: string, last: { mm: number; on: string; by: string }, look: LengthStyle & { unit: string }): string {
  return `Last time ${[amountText(measure, last.mm, look, true), longDay(last.on), last.by].filter(Boolean).join(', ')}`
}
