import type { Grade } from '@merry-tailor/core'
import { verdictWord } from '../words/verdicts'
import { Mark } from '../ui/marks/Mark'

const COLOUR: Readonly<Record<Grade, string>> = { holds: 'text-holds', doubt: 'text-chalk', fails: 'text-snag', none: 'text-mute' }

/** Shape, word and colour, always all three. */
export function VerdictWord({ grade, basis, word, size = 20 }: { grade: Grade; basis: 'seen' | 'predicted'; word?: string; size?: number }) {
  return (
    <span className={`inline-flex items-center gap-1.5 font-bold ${COLOUR[grade]}`}>
      <Mark grade={grade} basis={basis} size={size} />
      <span>{word ?? verdictWord(grade, basis)}</span>
    </span>
  )
}
