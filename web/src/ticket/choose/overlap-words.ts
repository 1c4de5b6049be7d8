import { formatLength, type MeasureFit } from '@merry-tailor/core'
import { isWeight, missWord, weightWords, type Look } from '../../words/misses'

/** What a size does on one measure of this dog, said of the piece: "Elm would be about 3 in too long." No percentages. */
export function overlapWords(fit: MeasureFit, label: string, name: string, look: Look): string {
  if (fit.mm === null || fit.spreadMm === null) return 'No tape yet.'
  const weight = isWeight(fit.measure)
  const say = (value: number): string => (weight ? weightWords(Math.max(value, 0), look) : formatLength(Math.max(value, 0), look).text)
  const [low, high] = [fit.mm - fit.spreadMm, fit.mm + fit.spreadMm]
  if (fit.guess) return guessWords(fit, label, say)
  // A weight is held against the band as it was weighed; its scale leaves little open.
  if (weight) return `${name} weighs ${say(fit.mm)}; ${label} is for ${fit.fromMm > 0 ? `${say(fit.fromMm)} to ` : 'up to '}${say(fit.toMm)}.`
  const open = `Your readings leave ${say(high - low)} open`
  if (fit.grade === 'holds') return `${label} should sit here with ${say(Math.min(low - fit.fromMm, fit.toMm - high))} to spare. ${open}.`
  const small = fit.mm - fit.fromMm > fit.toMm - fit.mm
  const byMm = small ? fit.mm - fit.toMm : fit.fromMm - fit.mm
  const word = missWord(fit.measure, small ? 'small' : 'big')
  if (fit.grade === 'fails') return `${label} would be about ${say(byMm)} ${word}. ${open}.`
  return `${open}; at its far end ${label} would be ${say(small ? high - fit.toMm : fit.fromMm - low)} ${word}.`
}

/** A tape not taken yet: where it is expected to land, and what that would mean. */
function guessWords(fit: MeasureFit, label: string, say: (mm: number) => string): string {
  const [low, high] = [(fit.mm ?? 0) - (fit.spreadMm ?? 0), (fit.mm ?? 0) + (fit.spreadMm ?? 0)]
  const expected = `No tape yet: guessed ${say(low)} to ${say(high)}`
  if (fit.grade === 'holds') return `${expected}; ${label} should do.`
  const way = (fit.mm ?? 0) - fit.fromMm > fit.toMm - (fit.mm ?? 0) ? 'small' : 'big'
  return `${expected}; ${label} may be ${missWord(fit.measure, way)}.`
}
