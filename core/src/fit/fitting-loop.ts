import { strapsOf } from '../lay/index.ts'
import { families, type WornAbout } from '../gear/index.ts'
import type { FamilyId, TryOn } from '../model/index.ts'
import { LAST_STEPS, lastStep, type LastStep } from './last-steps.ts'
import { roundVerdict } from './round-verdict.ts'

export type LoopStepId = 'let-out' | 'put-on' | 'look' | 'set' | 'again' | LastStep

export interface LoopStep {
  step: LoopStepId
  state: 'done' | 'now' | 'open' | 'fails'
}

export interface LoopQuestion {
  family: FamilyId
  /** Rounds of the item that stand, oldest first; the last is the one on the dog. */
  rounds: readonly Pick<TryOn, 'observations' | 'symptoms'>[]
  about?: WornAbout
  /** Was a strap moved since the last round began? */
  moved: boolean
}

/** Which of the last steps a kind has: what is worn is tested, and straps that can be set have tails. */
function lastSteps(family: FamilyId): readonly LastStep[] {
  if (families[family].shelf === 'crate') return []
  return strapsOf(family).some(({ adjusts }) => adjusts) ? LAST_STEPS : ['safe-place']
}

/**
 * Where the loop of a fitting stands: let out, put on, look and feel, set in order, again; last the test in a safe place
 * and the tails. Straps that are sewn have nothing to let out or set: again is another size. A crate is not worn. Source: handbook 8.1, common
 * practice.
 */
export function fittingLoop({ family, rounds, about = {}, moved }: LoopQuestion): LoopStep[] {
  if (families[family].shelf === 'crate') return []
  const settable = strapsOf(family).some(({ adjusts }) => adjusts)
  const now = rounds.at(-1)
  const verdict = now ? roundVerdict(family, now, about) : null
  const holds = verdict?.grade === 'holds'
  const steps: { step: LoopStepId; done: boolean; fails?: boolean }[] = [
    ...(settable ? [{ step: 'let-out' as const, done: now !== undefined }] : []),
    { step: 'put-on', done: now !== undefined },
    { step: 'look', done: verdict !== null && (verdict.seen === verdict.wanted || verdict.troubles.length > 0 || moved || holds) },
    ...(settable ? [{ step: 'set' as const, done: holds || moved }] : []),
    { step: 'again', done: holds },
    ...lastSteps(family).map((step) => {
      const answer = now ? lastStep(now, step) : null
      return { step, done: answer === 'holds', fails: answer === 'fails' || answer === 'doubt' }
    }),
  ]
  const current = steps.findIndex(({ done }) => !done)
  return steps.map(({ step, done, fails }, i) => ({
    step,
    state: fails ? 'fails' : done && i < (current < 0 ? steps.length : current) ? 'done' : i === current ? 'now' : 'open',
  }))
}
