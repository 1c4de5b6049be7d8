/** The first number of a text as it stands there; a comma is a decimal comma. */
export const firstNumber = (text: string): string => /\d+(?:[.,]\d+)?/.exec(text)?.[0].replace(',', '.') ?? ''

/**
 * Lengths a reading would have with two neighbouring digits of its number changed over; the decimal point stays where it is.
 *
 * @param number as `firstNumber` gives it
 * @param mm the reading
 * @param mmPer mm to one of the number's unit
 * @param overPoint whether the digits before and after the point may change over: a likely cause where a number is
 *   already in doubt (31.5 for 35.1), no ground to doubt one (33.1 beside 31.5 are two tapes drawn differently)
 */
export function digitsChangedOver(number: string, mm: number, mmPer: number, overPoint = false): number[] {
  const at = Array.from(number, (sign, i) => (sign === '.' ? -1 : i)).filter((i) => i >= 0)
  return at.slice(1).flatMap((j, n) => {
    const digits = Array.from(number)
    const i = at[n] ?? 0
    if (digits[i] === digits[j] || (!overPoint && j > i + 1)) return []
    ;[digits[i], digits[j]] = [digits[j] ?? '', digits[i] ?? '']
    const would = mm + (Number(digits.join('')) - Number(number)) * mmPer
    return would > 0 ? [would] : []
  })
}
