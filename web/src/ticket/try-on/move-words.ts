import type { SliderMove } from '@merry-tailor/core'
import { strapName } from '../../words/foretold'

/** “Draw in neck 1/2 in:” and “slide 1/4 in, left and right”. */
export function moveWords(move: SliderMove & { both?: boolean }, say: (mm: number) => string): { strap: string; slider: string } {
  const way = move.byMm < 0 ? 'Draw in' : 'Let out'
  const side = move.both ? ', left and right' : move.side === null ? '' : `, ${move.side}`
  return { strap: `${way} ${strapName(move.strap).toLowerCase()} ${say(Math.abs(move.byMm))}:`, slider: `slide ${say(Math.abs(move.sliderMm))}${side}` }
}
