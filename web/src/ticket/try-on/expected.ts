import { formatGap, type Check, type Foretold, type ForetoldCheck, type Observation, type PullState, type TryOn } from '@merry-tailor/core'

/** What was foretold of a check when the round began, by its worst strap; it never changes. `null` where nothing was. */
export function expectedOf(round: Pick<TryOn, 'foretold'>, check: string, state: PullState): ForetoldCheck | null {
  const own = round.foretold?.checks.filter((each) => each.check === check && each.state === state && each.grade !== 'none') ?? []
  return own.find(({ grade }) => grade === 'fails') ?? own.find(({ grade }) => grade === 'doubt') ?? own[0] ?? null
}

/** An open end of what passes is no place on a tape. */
const OPEN_MM = 900

/** What of a check passes on this dog, mm: by the lay, else by the check itself. */
export function rangeOf(check: Check, now: Pick<Foretold, 'checks'> | null, state: PullState): readonly [number, number] | null {
  const range = now?.checks.find((each) => each.check === check.id && each.state === state && each.rangeMm)?.rangeMm
  if (range && check.gauge?.kind !== 'flat') return [Math.max(-OPEN_MM, range[0]), Math.min(OPEN_MM, range[1])]
  return check.gauge && check.gauge.kind !== 'flat' ? check.gauge.passMm : null
}

/** What was answered: “3 fingers”, “-1/4 in”. A length typed in the other unit is said in the one on screen; the round keeps what was typed. */
export function answeredWords({ asTyped, mm, fingers }: Pick<Observation, 'asTyped' | 'mm' | 'fingers'>, unit: 'in' | 'cm'): string {
  if (/^[\d\s/.,½]+$/.test(asTyped) && fingers !== null) return `${asTyped} ${asTyped.trim() === '1' ? 'finger' : 'fingers'}`
  const typedIn = /(cm|mm|in|")\s*$/.exec(asTyped)?.[1]
  const isOther = typedIn !== undefined && (typedIn === 'in' || typedIn === '"') !== (unit === 'in')
  return isOther && mm !== null ? formatGap(mm, { unit, step: unit === 'in' ? 0.125 : 0.1 }).text.replace('+', '') : asTyped
}
