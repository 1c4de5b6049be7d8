import { formatLength, type RankedSize } from '@merry-tailor/core'
import { clearanceWords } from '../../words/clearances'
import { lowerFirst } from '../../words/first-letter'
import { isWeight, missWord, weightWords, type Look } from '../../words/misses'
import { measureName } from '../../words/stages'

/** The one reason a size stands where it stands, said of the piece; what was never read is said to be guessed. */
export function becauseWords(size: RankedSize, look: Look): string {
  const { code, measure = '', mm, other } = size.because
  const name = measure ? measureName(measure) : ''
  const fit = size.perMeasure.find((each) => each.measure === measure)
  const say = (value: number): string => (isWeight(measure) ? weightWords(Math.abs(value), look) : formatLength(Math.abs(value), look).text)
  const guessed = (): string => {
    const [low, high] = [(fit?.mm ?? 0) - (fit?.spreadMm ?? 0), (fit?.mm ?? 0) + (fit?.spreadMm ?? 0)]
    const way = code === 'above' || (code === 'edge' && (fit?.toMm ?? 0) - (fit?.mm ?? 0) < (fit?.mm ?? 0) - (fit?.fromMm ?? 0)) ? 'small' : 'big'
    return `No ${lowerFirst(name)} tape yet; guessed ${say(Math.max(0, low))} to ${say(high)}, ${size.label} may be ${missWord(measure, way)}.`
  }
  if (fit?.guess && (code === 'between-down' || code === 'between-up'))
    return `No ${lowerFirst(name)} tape yet; as guessed it lies between ${size.label} and ${other ?? ''}: ${code === 'between-down' ? 'the smaller' : 'the larger'} first.`
  if (fit?.guess && (code === 'edge' || code === 'below' || code === 'above')) return guessed()
  switch (code) {
    case 'in-band':
      return size.perMeasure.some((each) => each.guess || each.mm === null)
        ? 'Every tape taken lies inside the band; the rest is not read yet.'
        : 'Every tape taken lies inside the band.'
    case 'past-tail':
      return `Its end would lie ${say(mm ?? 0)} past the tail base. All else is right.`
    case 'edge':
      return `${name} lies near the end of ${size.label}.`
    case 'below':
      return `${size.label} would be about ${say(mm ?? 0)} ${missWord(measure, 'big')} at the ${lowerFirst(name)}.`
    case 'above':
      return `${size.label} would be about ${say(mm ?? 0)} ${missWord(measure, 'small')} at the ${lowerFirst(name)}.`
    case 'between-down':
      return `${name} lies between ${size.label} and ${other ?? ''}: the smaller first.`
    case 'between-up':
      return `${name} lies between ${other ?? ''} and ${size.label}: the larger first.`
    case 'girth-decides':
      return 'The girth decides; the neck can be let out or in, and only a hand on the dog says how far.'
    case 'over-tested':
      return `${say(mm ?? 0)} heavier than the dog ${size.label} was tested with: not for the car.`
    case 'clearance':
      return clearanceWords(size.label, other ?? '', mm ?? 0, say)
    case 'no-tape':
      return 'No tape this maker sizes by was taken yet.'
  }
  return code satisfies never
}
