import type { SymptomId } from '../gear/index.ts'

/** One time in boots: how long, and what was seen. */
export interface BootsOn {
  minutes: number
  /** Symptoms by their IDs. */
  seen: readonly string[]
}

export interface BreakInStep {
  /** 1 to 4. */
  step: 1 | 2 | 3 | 4
  paws: 'one-pair' | 'all-four'
  where: 'indoors' | 'outside'
  /** At least and at most this time. */
  minutes: [least: number, most: number]
  /** What was seen last stops the boots: a step back, and first what it names. */
  stop: SymptomId | null
}

/** Source: handbook 8.8, common practice (team knowledge), from memory, unverified; "longer" is ours. */
const STEPS: readonly Omit<BreakInStep, 'stop'>[] = [
  { step: 1, paws: 'one-pair', where: 'indoors', minutes: [2, 2] },
  { step: 2, paws: 'all-four', where: 'indoors', minutes: [5, 5] },
  { step: 3, paws: 'all-four', where: 'outside', minutes: [10, 15] },
  { step: 4, paws: 'all-four', where: 'outside', minutes: [15, 60] },
]
/** Swelling and rubbed skin are no matter of getting used to it. */
const STOPS: readonly SymptomId[] = ['S65', 'S67']

/**
 * What comes next in getting a dog used to boots: a clean full round goes on, anything seen repeats the step, and what
 * hurts goes a step back and stops.
 *
 * @param rounds in the order they were worn
 * @throws RangeError for minutes that are none
 */
export function breakIn(rounds: readonly BootsOn[]): BreakInStep {
  let at = 0
  let stop: SymptomId | null = null
  for (const { minutes, seen } of rounds) {
    if (!(minutes >= 0) || !Number.isFinite(minutes)) throw new RangeError(`minutes are 0 or more: ${minutes}`)
    const hurt = STOPS.find((id) => seen.includes(id)) ?? null
    stop = hurt
    if (hurt) at = Math.max(0, at - 1)
    else if (seen.length === 0 && minutes >= (STEPS[at]?.minutes[0] ?? 0)) at = Math.min(STEPS.length - 1, at + 1)
  }
  return { ...(STEPS[at] as (typeof STEPS)[number]), minutes: [...(STEPS[at] as (typeof STEPS)[number]).minutes], stop }
}
