import type { Form } from '../form/index.ts'
import { families, type PullPlace } from '../gear/index.ts'
import type { FamilyId } from '../model/index.ts'

/** Where a family lets the pull leave; at the withers where none is known. */
export const pullPlaceOf = (family: FamilyId | null): PullPlace => (family && families[family].pull) ?? 'withers'

/** How far below the tail base a wheel harness ends, share of the back length. Source: from memory, unverified. */
const BELOW_TAIL = 0.14

export interface PullPoint {
  place: PullPlace
  /** Forward of the withers, and above the floor. */
  xMm: number
  heightMm: number
}

/** The pull point of a family on this dog's form; a prediction from its tapes. */
export function pullPointOf(form: Form, family: FamilyId | null): PullPoint {
  const place = pullPlaceOf(family)
  const { girth, sternumEnd, lastRib, tail } = form.sections
  const back = girth.tx - tail.tx
  if (place === 'tail-base') return { place, xMm: tail.tx, heightMm: tail.tz }
  if (place === 'below-tail') return { place, xMm: tail.tx, heightMm: tail.tz - BELOW_TAIL * back }
  if (place === 'mid-back') return { place, xMm: (sternumEnd.tx + lastRib.tx) / 2, heightMm: (sternumEnd.tz + lastRib.tz) / 2 }
  return { place, xMm: girth.tx, heightMm: girth.tz }
}
