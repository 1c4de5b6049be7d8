import type { Grade } from '@merry-tailor/core'

const SEEN: Readonly<Record<Grade, string>> = { holds: 'Holds', doubt: 'Look again', fails: 'Doesn’t hold', none: 'Not tried' }
const PREDICTED: Readonly<Record<Grade, string>> = {
  holds: 'Should hold',
  doubt: 'Could go either way',
  fails: 'Likely misses',
  none: 'No tape yet',
}

/** The word of a verdict. Findings and predictions have words of their own, never mixed. */
export const verdictWord = (grade: Grade, basis: 'seen' | 'predicted'): string => (basis === 'seen' ? SEEN : PREDICTED)[grade]
