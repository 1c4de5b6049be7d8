import type { Form } from '../form/index.ts'
import type { FamilyId } from '../model/index.ts'

/** Where along the back a harness lets the pull leave. */
export type PullPlace = 'withers' | 'mid-back' | 'tail-base' | 'below-tail'

/** Source: handbook 5.2, 8.6, common practice. */
const PLACE: Partial<Readonly<Record<FamilyId, PullPlace>>> = {
  H02: 'mid-back',
  H11: 'tail-base',
  H12: 'tail-base',
  H13: 'tail-base',
  H14: 'mid-back',
  H15: 'mid-back',
  H16: 'tail-base',
  H17: 'tail-base',
  H18: 'tail-base',
  H19: 'below-tail',
  H20: 'below-tail',
}

export const pullPlaceOf = (family: FamilyId | null): PullPlace => (family ? (PLACE[family] ?? 'withers') : 'withers')

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
