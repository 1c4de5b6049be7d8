import { formatLength, type LengthStyle } from '@merry-tailor/core'

/** A length inside an SVG text: the fraction slanted, at 0.74 of the size. */
export function SvgLength({ mm, look, size }: { mm: number; look: LengthStyle; size: number }) {
  const shown = formatLength(mm, look)
  if (shown.decimals !== null) return <>{shown.decimals}</>
  if (shown.numerator === 0) return <>{shown.whole}</>
  const small = size * 0.74
  return (
    <>
      {shown.whole > 0 ? shown.whole : ''}
      <tspan fontSize={small} dy={-size * 0.18}>
        {shown.numerator}
      </tspan>
      <tspan fontSize={small} dy={size * 0.1}>
        ⁄
      </tspan>
      <tspan fontSize={small} dy={size * 0.08}>
        {shown.denominator}
      </tspan>
    </>
  )
}
