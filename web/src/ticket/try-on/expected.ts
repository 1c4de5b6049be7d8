import type { Check, Foretold, ForetoldCheck, Observation, PullState, TryOn } from '@merry-tailor/core'

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

/** What was answered, in the answer’s own unit: “3 fingers”, “-1/4 in”. */
export function answeredWords({ asTyped, fingers }: Pick<Observation, 'asTyped' | 'fingers'>): string {
  if (/^[\d\s/.,½]+$/.test(asTyped) && fingers !== null) return `${asTyped} ${asTyped.trim() === '1' ? 'finger' : 'fingers'}`
  return asTyped
}
