import { Fragment } from 'react'
import { Fraction } from './Fraction'

const MIXED = /(?:(\d+)\s)?(\d+)[/⁄](\d+)/g

/** A sentence whose fractions are built by hand: every `13 1/2` in it stands as one number. */
export function Worded({ text }: { text: string }) {
  const parts: { words: string; mixed?: RegExpExecArray }[] = []
  let from = 0
  for (const match of text.matchAll(MIXED)) {
    parts.push({ words: text.slice(from, match.index), mixed: match })
    from = match.index + match[0].length
  }
  return (
    <>
      <span className="sr-only">{text}</span>
      <span aria-hidden>
        {parts.map(({ words, mixed }, i) => (
          <Fragment key={i}>
            {words}
            {mixed && (
              <span className="whitespace-nowrap">
                <Fraction whole={mixed[1] ?? ''} numerator={Number(mixed[2])} denominator={Number(mixed[3])} stacked={false} />
              </span>
            )}
          </Fragment>
        ))}
        {text.slice(from)}
      </span>
    </>
  )
}
