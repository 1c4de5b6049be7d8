import type { Grade, RankedSize } from '@merry-tailor/core'
import { verdictWord } from './verdicts'

/** Counts in plain words: "should hold in 2, could go either way in 1." */
export function titleWords(size: Pick<RankedSize, 'perMeasure'>): string {
  const count = (grade: Grade): number => size.perMeasure.filter((fit) => fit.grade === grade).length
  const parts = (['holds', 'doubt', 'fails'] as const).flatMap((grade) => {
    const n = count(grade)
    return n === 0 ? [] : [`${verdictWord(grade, 'predicted').toLowerCase()} in ${n}`]
  })
  const none = count('none')
  if (parts.length === 0) return 'no tape yet.'
  return `${parts.join(', ')}${none > 0 ? `, no tape yet for ${none}` : ''}.`
}
