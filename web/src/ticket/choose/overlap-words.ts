import { formatLength, type LengthStyle, type MeasureFit } from '@merry-tailor/core'

/** The overlap of the dog's spread with a band, as lengths: "All of Sorrel’s 3/4 in lies on Gull." No percentages. */
export function overlapWords(fit: MeasureFit, label: string, name: string, look: LengthStyle): string {
  if (fit.mm === null || fit.spreadMm === null) return 'No tape yet.'
  const say = (mm: number): string => formatLength(Math.max(mm, 0), look).text
  if (fit.guess) return guessWords(fit, label, say)
  const [low, high] = [fit.mm - fit.spreadMm, fit.mm + fit.spreadMm]
  const on = Math.max(0, Math.min(high, fit.toMm) - Math.max(low, fit.fromMm))
  const room = Math.min(low - fit.fromMm, fit.toMm - high)
  const total = high - low
  if (fit.grade === 'holds') return `All of ${name}’s ${say(total)} lies on ${label}, ${say(room)} to spare.`
  if (fit.grade === 'doubt') {
    const past = high > fit.toMm ? `past it by ${say(high - fit.toMm)}` : `short of it by ${say(fit.fromMm - low)}`
    return `${say(on)} of ${name}’s ${say(total)} lies on ${label}; the spread runs ${past}.`
  }
  return high < fit.fromMm
    ? `All of ${name}’s ${say(total)} lies short of ${label}, by ${say(fit.fromMm - high)} or more.`
    : `All of ${name}’s ${say(total)} lies past ${label}, by ${say(low - fit.toMm)} or more.`
}

/** A tape not taken yet: where it is expected to land, and what that would mean. */
function guessWords(fit: MeasureFit, label: string, say: (mm: number) => string): string {
  const [low, high] = [(fit.mm ?? 0) - (fit.spreadMm ?? 0), (fit.mm ?? 0) + (fit.spreadMm ?? 0)]
  const expected = `No tape yet: from the others it should read ${say(low)} to ${say(high)}`
  if (fit.grade === 'holds') return `${expected}, which lies on ${label}.`
  if (fit.grade === 'fails') return `${expected}, which ${high < fit.fromMm || (fit.byMm ?? 0) < 0 ? 'falls short of' : 'runs past'} ${label}.`
  return `${expected}; part of that lies on ${label}.`
}
