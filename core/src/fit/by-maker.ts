import type { Check } from '../gear/index.ts'
import type { MakerRules } from '../model/index.ts'

/** A check as the maker wants it: stated fingers under a strap go before the family's. */
export function checkByMaker(check: Check, rules: MakerRules | undefined): Check {
  if (check.gauge?.kind !== 'flat' || !rules?.fingers) return check
  const [from, to] = rules.fingers
  const fingers = from === to ? `${from}` : `${from} to ${to}`
  return { ...check, pass: `${fingers} fingers flat, the maker says.`, gauge: { ...check.gauge, passFingers: rules.fingers } }
}
