import type { Observation, TryOn } from '../model/index.ts'
import { latestObservations } from './latest-observations.ts'

/** What is done last, once every check holds (handbook 8.1, steps 6 and 7): kept among a round’s answers by these names. */
export const LAST_STEPS = ['safe-place', 'tails-secured'] as const
export type LastStep = (typeof LAST_STEPS)[number]
/** The state they are kept under. */
export const LAST_STEP_STATE = 'moving'

/** How a last step was answered in a round; `null` while nobody said. */
export const lastStep = ({ observations }: Pick<TryOn, 'observations'>, step: LastStep): Observation['grade'] | null =>
  latestObservations(observations).get(`${step}/${LAST_STEP_STATE}`)?.grade ?? null
