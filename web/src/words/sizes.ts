import { families, type BetweenRule, type FamilyId, type SizeAdvice, type SizeTable } from '@merry-tailor/core'
import { lowerFirst } from './first-letter'

/** What to put on the dog, in the words of the yellow button. */
export function adviceWords(advice: SizeAdvice, table: Pick<SizeTable, 'family'> & Partial<Pick<SizeTable, 'way'>>): string {
  const [first, second] = advice.labels
  switch (advice.kind) {
    case 'one':
      return `Try ${first}`
    case 'both':
      return `Try ${first}, then ${second}${families[table.family].shelf === 'pulling' ? ', pulled back by hand' : ''}`
    case 'guess':
      return first === undefined ? (table.way === 'made' || table.way === undefined ? 'Made to measure' : 'A tape first') : `Start with ${first}`
    case 'measured':
      return 'Made to measure'
    case 'no-tape':
      return 'No tape yet'
    case 'nothing':
      return 'No size here is near'
  }
}

/** The same within a sentence. */
export function adviceInLine(advice: SizeAdvice, table: Pick<SizeTable, 'family'> & Partial<Pick<SizeTable, 'way'>>): string {
  const [first, second] = advice.labels
  if (advice.kind === 'one' || advice.kind === 'both') return `try ${first ?? ''}${second === undefined ? '' : `, then ${second}`}`
  return advice.kind === 'guess' && first !== undefined ? `start with ${first}` : lowerFirst(adviceWords(advice, table))
}

/** Why one of two sizes goes first. */
const BETWEEN: Readonly<Record<Exclude<BetweenRule['because'], 'maker-says' | 'maker-cut'>, string>> = {
  'shop-view': 'It is the shop’s own side in this question; set it under Shop.',
  'seats-under-tension':
    'Between two sizes of a pulling harness go down: it looks tiny slack, but it stretches out and seats itself under tension; a bigger one creeps behind the ribs.',
  'adjuster-middle': 'Take the size with room both ways, what adjusts in its middle third: coat and weight change.',
  'room-both-ways': 'Take the size with room both ways; bands and cords are then set in their middle: coat and weight change.',
  'plate-clears-armpit':
    'On a running harness go up, then draw neck and girth in: the smaller plate cuts the armpit, and letting the neck out bares the breastbone.',
  'cords-do-the-rest': 'The suit is cut roomy: go down, the cords do the fine setting.',
  'must-pass-the-head': 'The neck cannot be let out: go up if the smaller would not pass the head, else take another kind.',
  'grows-into-it': 'Long and with overlap; a growing dog grows into it.',
  'width-decides': 'Width decides; go up if the length is long too. Too wide turns, too narrow presses.',
  'cloth-gives': 'The cloth gives: go down.',
  'larger-ring': 'By the larger ring, and never at the last hole of either end.',
  'stand-turn-lie': 'Up for a tall dog or one that sits high, else the one it can stand, turn and lie in. A puppy: grown size with a divider.',
}

export function betweenWords(rule: BetweenRule, maker: string): string {
  if (rule.because === 'maker-says') return `${maker} says: between two sizes go ${rule.rule}.`
  if (rule.because === 'maker-cut') return `${maker} cuts ${rule.rule === 'down' ? 'roomy: between two sizes go down' : 'snug: between two sizes go up'}.`
  return `${BETWEEN[rule.because]} ${maker} says nothing about it.`
}

/** What decides a piece cut to the dog, where a tape is in doubt (handbook 6.2). */
export function madeWords(family: FamilyId): string {
  if (families[family].shelf === 'pulling') return 'Where a length is in doubt the shorter one counts: too long loads the hips.'
  if (family === 'C3') return 'The hood is cut by the larger of head and neck base, so that it passes both.'
  return 'The maker cuts what the tapes say: where two readings differ take a third before ordering.'
}
