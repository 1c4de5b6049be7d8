import { families, type BetweenRule, type SizeAdvice, type SizeTable } from '@merry-tailor/core'

/** What to put on the dog, in the words of the yellow button. */
export function adviceWords(advice: SizeAdvice, table: Pick<SizeTable, 'family'>): string {
  const [first, second] = advice.labels
  switch (advice.kind) {
    case 'one':
      return `Try ${first}`
    case 'both':
      return `Try ${first}, then ${second}${families[table.family].shelf === 'pulling' ? ', pulled back by hand' : ''}`
    case 'measured':
      return 'Made to measure'
    case 'no-tape':
      return 'No tape yet'
    case 'nothing':
      return 'No size here is near'
  }
}

/** Why one of two sizes goes first. */
export function betweenWords(rule: BetweenRule, maker: string): string {
  if (rule.because === 'maker-says') return `${maker} says: between two sizes go ${rule.rule}.`
  if (rule.because === 'seats-under-tension')
    return 'Between two sizes of a cross-back go down: it looks tiny, but it stretches out and seats itself under tension; a bigger one creeps behind the ribs.'
  return 'On an adjustable walking harness take the size with room both ways, the adjuster in its middle third: coat and weight change.'
}
