import { MM_PER_UNIT, type LengthUnit } from './constants.ts'

/** `step` is the smallest difference shown, in `unit`: 0.125 in, 0.5 cm, 1 mm. */
export interface LengthStyle {
  unit: LengthUnit
  step: number
}

/**
 * A length cut to a step. Steps that are 1/2, 1/4, 1/8 ... of a unit in inches come as whole, numerator and
 * denominator (reduced); all others as a decimal text.
 */
export interface FormattedLength {
  unit: LengthUnit
  whole: number
  numerator: number
  denominator: number
  decimals: string | null
  text: string
}

export interface FormattedGap extends FormattedLength {
  sign: -1 | 0 | 1
}

const commonDivisor = (a: number, b: number): number => (b === 0 ? a : commonDivisor(b, a % b))

/** How many decimals a step such as 0.25 needs so that its multiples are written out in full. */
function decimalsOf(step: number): number {
  for (let places = 0; places < 6; places++) if (Math.abs(step * 10 ** places - Math.round(step * 10 ** places)) < 1e-9) return places
  return 6
}

/** Number of steps, half up. The small nudge keeps 0.5 - 1e-16 of a step from falling the wrong way. */
const stepsIn = (amount: number, step: number): number => Math.floor(amount / step + 0.5 + 1e-9)

/**
 * Writes a length at a step, half up at the step.
 *
 * @param mm length in millimetres, zero or more
 * @returns parts for a hand-built fraction, and a `text` that `parseLength` reads back to within half a step
 * @example formatLength(342.9, { unit: 'in', step: 0.125 }).text // '13 1/2 in'
 */
export function formatLength(mm: number, { unit, step }: LengthStyle): FormattedLength {
  const count = stepsIn(mm / MM_PER_UNIT[unit], step)
  const perUnit = 1 / step
  if (unit === 'in' && Math.abs(perUnit - Math.round(perUnit)) < 1e-9) {
    const parts = Math.round(perUnit)
    const whole = Math.floor(count / parts)
    const rest = count - whole * parts
    const divisor = rest === 0 ? parts : commonDivisor(rest, parts)
    const numerator = rest / divisor
    const denominator = rest === 0 ? 1 : parts / divisor
    const fraction = numerator === 0 ? '' : `${numerator}/${denominator}`
    const number = fraction === '' ? String(whole) : whole === 0 ? fraction : `${whole} ${fraction}`
    return { unit, whole, numerator, denominator, decimals: null, text: `${number} ${unit}` }
  }
  const decimals = (count * step).toFixed(decimalsOf(step))
  return { unit, whole: Math.floor(Number(decimals)), numerator: 0, denominator: 1, decimals, text: `${decimals} ${unit}` }
}

/**
 * Writes a signed difference: `-7/8 in`, `+1 in`, `0 in`. Rounds its size half up, then puts the sign before it.
 *
 * @param mm difference in millimetres; negative is short or below
 */
export function formatGap(mm: number, style: LengthStyle): FormattedGap {
  const size = formatLength(Math.abs(mm), style)
  const nothing = size.decimals === null ? size.whole === 0 && size.numerator === 0 : Number(size.decimals) === 0
  const sign = nothing ? 0 : mm < 0 ? -1 : 1
  return { ...size, sign, text: `${sign === 0 ? '' : sign < 0 ? '-' : '+'}${size.text}` }
}
