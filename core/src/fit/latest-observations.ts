import type { Observation } from '../model/index.ts'

/** The newest answer for each check and state: the one that came last and counts. */
export function latestObservations(observations: readonly Observation[]): Map<string, Observation> {
  return new Map(observations.filter((each) => !each.struck).map((each) => [`${each.check}/${each.state}`, each]))
}
