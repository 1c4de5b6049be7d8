import { formatLength, type LengthStyle } from '@merry-tailor/core'
import { isWeight, weightWords } from '../words/misses'
import type { TapeRow } from './tapes-of'

/** Why a tape is not settled yet, in a sentence; `''` where nothing is to be said. */
export function stateWords({ agreed, tape }: TapeRow, look: LengthStyle & { unit: 'in' | 'cm' }): string {
  const apart = agreed?.spreadMm ?? 0
  const said = isWeight(tape.measure) ? weightWords(apart, look) : formatLength(apart, look).text
  switch (agreed?.state) {
    case 'third-wanted':
      return `Third reading: the two lie ${said} apart.`
    case 'disagrees':
      return `No two of them agree, ${said} apart: take it again, or strike out the wrong one.`
    default:
      return ''
  }
}
