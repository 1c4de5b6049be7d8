import { Fraction } from './Fraction'

const MIXED = /^(?:(\d+)[\s-]+)?(\d+)\/(\d+)$/

/** What is being typed, large: its fraction stacked as soon as it is one. */
export function TypedLength({ text }: { text: string }) {
  const found = MIXED.exec(text.trim())
  if (!found) return <>{text}</>
  const whole = found[1] ?? ''
  return (
    <>
      <span className="sr-only">{text}</span>
      <span aria-hidden>
        <Fraction whole={whole} numerator={Number(found[2])} denominator={Number(found[3])} stacked />
      </span>
    </>
  )
}
