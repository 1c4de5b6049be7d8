import { formatLength, type LengthStyle } from '@merry-tailor/core'

interface Parts {
  whole: string
  numerator: number
  denominator: number
}

/** From 19 px up a fraction stands stacked with a bar, below it is slanted (the typeface has no full set of its own). */
export function Fraction({ whole, numerator, denominator, stacked }: Parts & { stacked: boolean }) {
  if (numerator === 0) return <>{whole}</>
  const alone = whole === '' || whole === '0'
  if (!stacked) {
    return (
      <>
        {alone ? '' : whole}
        <span className="pnum" style={{ fontSize: '0.74em' }}>
          <span style={{ position: 'relative', top: '-0.22em' }}>{numerator}</span>⁄<span style={{ position: 'relative', top: '0.08em' }}>{denominator}</span>
        </span>
      </>
    )
  }
  return (
    <span style={{ whiteSpace: 'nowrap' }}>
      {alone ? '' : whole}
      <span
        className="pnum"
        style={{
          display: 'inline-block',
          verticalAlign: '-0.36em',
          fontSize: alone ? '0.6em' : '0.5em',
          lineHeight: 1,
          marginLeft: alone ? 0 : '0.12em',
          textAlign: 'center',
        }}
      >
        <span style={{ display: 'block', paddingBottom: '0.06em' }}>{numerator}</span>
        <span style={{ display: 'block', borderTop: '0.11em solid currentColor', paddingTop: '0.08em' }}>{denominator}</span>
      </span>
    </span>
  )
}

/** A length on screen: digits, hand-built fraction, and its unit in mute unless the row names it. */
export function Length({ mm, look, stacked = false, unit = true }: { mm: number; look: LengthStyle; stacked?: boolean; unit?: boolean }) {
  const shown = formatLength(mm, look)
  return (
    <span style={{ whiteSpace: 'nowrap' }}>
      <span className="sr-only">{shown.text}</span>
      <span aria-hidden>
        {shown.decimals ?? <Fraction whole={String(shown.whole)} numerator={shown.numerator} denominator={shown.denominator} stacked={stacked} />}
        {unit && <span style={{ fontSize: stacked ? '0.56em' : '0.9em', fontWeight: 500, color: 'var(--mute)', marginLeft: '0.28em' }}>{shown.unit}</span>}
      </span>
    </span>
  )
}
