import { SURFACES, type SetUp, type Surface } from '@merry-tailor/core'
import type { DraftState } from './draft-now'

export const FRESH: DraftState = {
  rigId: '', loads: [], surface: 'gravel', gradePercent: 0, lasts: 'long', loopMm: null, rearLeftMm: 0, rearRightMm: 0, hitchMm: null, route: [], giveNpm: null,
} // prettier-ignore

/** The same fields in the same order: two set-ups alike read alike. What a scale said of the dog’s give is no part of them. */
export const inOrder = ({ rigId, loads, surface, gradePercent, lasts, loopMm, rearLeftMm, rearRightMm, hitchMm, route }: DraftState): DraftState => ({
  rigId,
  loads: loads.map(({ name, massKg, aheadMm, heightMm }) => ({ name, massKg, aheadMm, heightMm })),
  surface,
  gradePercent,
  lasts,
  loopMm,
  rearLeftMm,
  rearRightMm,
  hitchMm,
  giveNpm: null,
  route: route.map(({ lengthM, surface: on, gradePercent: rises }) => ({ lengthM, surface: on, gradePercent: rises })),
})

const surfaceOf = (name: string): Surface => (name in SURFACES ? (name as Surface) : 'gravel')

/** A set-up that is on the ticket, to go on from; one of before knew no way and no hitch of its own. */
export const asDraft = ({ rigId, loads, surface, gradePercent, lasts, loopMm, rearMm, ...rest }: SetUp): DraftState =>
  inOrder({
    rigId,
    loads,
    surface: surfaceOf(surface),
    gradePercent,
    lasts,
    loopMm,
    rearLeftMm: rearMm.left,
    rearRightMm: rearMm.right,
    giveNpm: null,
    hitchMm: (rest as Partial<SetUp>).hitchMm ?? null,
    route: ((rest as Partial<SetUp>).route ?? []).map((each) => ({ ...each, surface: surfaceOf(each.surface) })),
  })
