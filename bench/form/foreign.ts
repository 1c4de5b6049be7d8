import { buildTypes } from '../../core/src/form/build-types.ts'
import { hold, PARAMETERS, vectorOf, trialSd } from '../../core/src/form/parameters.ts'
import { shapeOf } from '../../core/src/form/shape.ts'
import { FORM_MEASURES, laysFor, readTapes } from '../../core/src/form/tapes.ts'
import type { Build } from '../../core/src/reference/index.ts'
import type { Generated } from './generator.ts'
import { normal, seeded } from './random.ts'

export interface Foreign extends Generated {
  /** The build the solver is not to know. */
  left: Build
}

/** What of the shape no parameter says, as in the other generator. */
const DISCREPANCY = 0.02

/**
 * Dogs of a world the prior was not fitted to: of each build in turn, which the solver is then not told of, with every
 * ratio's mean moved by one standard deviation within a type, up or down by chance, a new world each time round.
 */
export function foreignDogs(rounds: number, each: number, seed: number): Foreign[] {
  const random = seeded(seed)
  const gauss = normal(random)
  const builds = Object.keys(buildTypes) as Build[]
  return Array.from({ length: rounds }, () =>
    builds.flatMap((left) => {
      const moved = vectorOf(buildTypes[left].means).map((value, i) => value + (random() < 0.5 ? -1 : 1) * (trialSd[i] ?? 0))
      return Array.from({ length: each }, (): Foreign => {
        const x = hold(Float64Array.from({ length: PARAMETERS }, (_, i) => (moved[i] ?? 0) + gauss() * (trialSd[i] ?? 0)))
        const sex = random() < 0.5 ? 'male' : 'female'
        const shape = shapeOf(x, { ears: buildTypes[left].ears, sex })
        const lays = laysFor(shape, FORM_MEASURES)
        const truth = Object.fromEntries(FORM_MEASURES.map((id) => [id, (readTapes(shape, [id], lays)[0] ?? 0) * Math.exp(gauss() * DISCREPANCY)]))
        return { kind: left, known: false, left, about: { sex }, truth }
      })
    }),
  ).flat()
}
