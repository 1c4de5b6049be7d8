import type { Conflict } from '@merry-tailor/core'
import { measureName } from './stages'

/** What practitioners do where measures disagree, in a sentence. */
export function conflictWords({ code, measures, byMm }: Conflict, length: (mm: number) => string): string {
  const [first = '', second = ''] = measures.map(measureName)
  const by = length(Math.abs(byMm))
  switch (code) {
    case 'length-veto':
      return `${first} fits, but it would run ${by} past where it should end (${second}). Whatever the neck says, leave this family: a short pull harness with an adjustable girth, or made to measure.`
    case 'past-tail-accept':
      return `Its end lies ${by} past the tail base and all else is right: practitioners accept that.`
    case 'armpit':
      return `${first} fits, but the sides are short by ${by} (${second}): mind the armpit. Another style cut further back; a size up only where the neck can be let out.`
    case 'girth-decides':
      return `${first} says this size, ${second} another. The neck can be let out or in, so the girth decides.`
    case 'neck-decides':
      return `${first} says this size, ${second} another. This neck can’t be adjusted, so the neck decides.`
    case 'neck-over-head':
      return `The neck is ${by} thicker than the head: it may back out. A second belly strap, or a martingale collar as a backup.`
    case 'girth-alone-short-dog':
      return 'Sized by girth alone, and the back is short: look where the rear strap comes before buying. It stays ahead of the last true rib.'
  }
}
