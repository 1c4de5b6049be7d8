import { SURFACES, type SetUp, type Surface } from '@merry-tailor/core'
import type { DraftState } from './draft-now'

export const FRESH: DraftState = { rigId: '', loads: [], surface: 'gravel', gradePercent: 0, lasts: 'long', loopMm: null, rearLeftMm: 0, rearRightMm: 0 }

/** The same fields in the same order: two set-ups alike read alike. */
export const inOrder = ({ rigId, loads, surface, gradePercent, lasts, loopMm, rearLeftMm, rearRightMm }: DraftState): DraftState => ({
  rigId,
  loads: loads.map(({ name, massKg, aheadMm, heightMm }) => ({ name, massKg, aheadMm, heightMm })),
  surface,
  gradePercent,
  lasts,
  loopMm,
  rearLeftMm,
  rearRightMm,
})

/** A set-up that is on the ticket, to go on from. */
export const asDraft = ({ rigId, loads, surface, gradePercent, lasts, loopMm, rearMm }: SetUp): DraftState =>
  inOrder({
    rigId,
    loads,
    surface: surface in SURFACES ? (surface as Surface) : 'gravel',
    gradePercent,
    lasts,
    loopMm,
    rearLeftMm: rearMm.left,
    rearRightMm: rearMm.right,
  })
