import { formatGap, type LengthStyle, type RankedSize } from '@merry-tailor/core'
import { measureName } from '../../words/stages'

/** The one reason a size stands where it stands. */
export function becauseWords(size: RankedSize, look: LengthStyle): string {
  const { code, measure, mm, other } = size.because
  const name = measure ? measureName(measure) : ''
  switch (code) {
    case 'in-band':
      return 'Every tape taken lies inside the band.'
    case 'past-tail':
      return `${name} is ${formatGap(Math.abs(mm ?? 0), look).text.replace('+', '')} short of the band: its end a little past the tail. All else is right.`
    case 'edge':
      return `${name} lies near the band’s edge.`
    case 'below':
      return `${name} is ${formatGap(Math.abs(mm ?? 0), look).text.replace('+', '')} under the band.`
    case 'above':
      return `${name} is ${formatGap(Math.abs(mm ?? 0), look).text.replace('+', '')} over the band.`
    case 'between-down':
      return `${name} lies between ${size.label} and ${other ?? ''}: the smaller first.`
    case 'between-up':
      return `${name} lies between ${other ?? ''} and ${size.label}: the larger first.`
    case 'no-tape':
      return 'No tape this maker sizes by was taken yet.'
  }
  return code satisfies never
}
