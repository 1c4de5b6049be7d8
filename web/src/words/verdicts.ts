import type { Grade, RoundVerdict } from '@merry-tailor/core'

const SEEN: Readonly<Record<Grade, string>> = { holds: 'Holds', doubt: 'Look again', fails: 'Doesn’t hold', none: 'Not tried' }
const PREDICTED: Readonly<Record<Grade, string>> = {
  holds: 'Should hold',
  doubt: 'Could go either way',
  fails: 'Likely misses',
  none: 'No tape yet',
}

/** The word of a verdict. Findings and predictions have words of their own, never mixed. */
export const verdictWord = (grade: Grade, basis: 'seen' | 'predicted'): string => (basis === 'seen' ? SEEN : PREDICTED)[grade]

/** The word of a round: where all that was looked at holds and some was not, how many are left says more than a doubt. */
export const roundWord = ({ grade, seen, wanted, troubles, word }: RoundVerdict): string =>
  grade === 'doubt' && troubles.length === 0 && word === null && seen < wanted ? `${wanted - seen} to look at` : verdictWord(grade, 'seen')
