import { measures, type MeasureId } from '@merry-tailor/core'

interface Asked {
  name: string
  number: number
  shop: string
  greeting: string
  /** What somebody wrote, by their own words. */
  open: readonly { letters: string; asWritten: string }[]
  /** Paths that are asked, in the order they are numbered. */
  wanted: readonly MeasureId[]
  /** Numbers that came once. */
  once: readonly { measure: MeasureId; sent: string }[]
}

/** The ask-back page in words, for a mail: paths are numbered and said from where to where, for a mail has no drawings. */
export function askBackText({ name, number, shop, greeting, open, wanted, once }: Asked): string {
  const path = (id: MeasureId): string => `${measures[id]?.name ?? id}: ${measures[id]?.path ?? ''}.`
  const how = (id: MeasureId): string => [measures[id]?.howTo.stand, measures[id]?.howTo.howTight].filter(Boolean).join(' ')
  const parts: string[][] = [
    [`About ${name}’s measures${number ? ` (ticket ${number})` : ''}`],
    ...(open.length > 0
      ? [
          [
            'Thank you for these numbers. The same word means different paths from one maker to the next, so we don’t order by them yet.',
            'Please say beside each which of the numbered paths below it follows, or measure again as said there.',
            ...open.map(({ letters, asWritten }) => `- "${letters}", ${asWritten}: path number`),
          ],
        ]
      : []),
    ...(wanted.length > 0
      ? [['What we need, each twice:', ...wanted.flatMap((id, i) => [`${i + 1}. ${path(id)} ${how(id)}`.trim(), '   1st:          2nd:'])]]
      : []),
    ...(once.length > 0
      ? [['These came once. Please measure each once more, without looking at the first:', ...once.map(({ measure, sent }) => `- ${path(measure)} You sent ${sent}. Again:`)]]
      : []),
    ['Please write each number with its unit, inches or centimetres, and whether it is one side or the whole ring.'],
    ...(greeting === '' && shop === '' ? [] : [[greeting, shop].filter((line) => line !== '')]),
  ] // prettier-ignore
  return `${parts.map((lines) => lines.join('\n')).join('\n\n')}\n`
}
