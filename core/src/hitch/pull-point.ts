import type { Form } from '../form/index.ts'
import { families, type PullPlace } from '../gear/index.ts'
import type { GearLay } from '../lay/index.ts'
import type { FamilyId } from '../model/index.ts'

/** Where a family lets the pull leave; at the withers where none is known. */
export const pullPlaceOf = (family: FamilyId | null): PullPlace => (family && families[family].pull) ?? 'withers'

/** Behind the tail the bar's eye hangs, share of the back length; the side ring lies at the point of the shoulder. Ours, unverified. */
const BAR_BEHIND = 1 / 3

/** How far below the tail base a wheel harness ends, share of the back length. Source: from memory, unverified. */
const BELOW_TAIL = 0.14

/** Where the line leaves from the harness’s own end. */
const ENDS: ReadonlySet<PullPlace> = new Set(['tail-base', 'below-tail', 'mid-back'])

export interface PullPoint {
  place: PullPlace
  /** Forward of the withers, and above the floor. */
  xMm: number
  heightMm: number
}

/**
 * The pull point of a family on this dog's form; a prediction from its tapes.
 *
 * @param laid how a piece lies in the pull: where its own end does, the line leaves from there
 */
export function pullPointOf(form: Form, family: FamilyId | null, laid: Pick<GearLay, 'nodes'> | null = null): PullPoint {
  const place = pullPlaceOf(family)
  const tug = ENDS.has(place) ? laid?.nodes.tug : undefined
  if (tug) return { place, xMm: tug.at[0], heightMm: tug.at[2] }
  const { girth, sternumEnd, lastRib, tail } = form.sections
  const back = girth.tx - tail.tx
  if (place === 'tail-base') return { place, xMm: tail.tx, heightMm: tail.tz }
  if (place === 'below-tail') return { place, xMm: tail.tx, heightMm: tail.tz - BELOW_TAIL * back }
  if (place === 'mid-back') return { place, xMm: (sternumEnd.tx + lastRib.tx) / 2, heightMm: (sternumEnd.tz + lastRib.tz) / 2 }
  // Drafting gear pulls low: from the side ring at the height of the shoulder's point (M46), or from the bar behind.
  const shoulder = form.measures.M46?.mm ?? (girth.tz + girth.uz) / 2
  if (place === 'side-ring') return { place, xMm: girth.tx, heightMm: shoulder }
  if (place === 'bar-eye') return { place, xMm: tail.tx - BAR_BEHIND * back, heightMm: Math.min(shoulder, form.measures.M43?.mm ?? shoulder) }
  const { L01: lump } = form.landmarks
  if (place === 'chest-ring' && lump) return { place, xMm: lump[0], heightMm: lump[2] }
  return { place, xMm: girth.tx, heightMm: girth.tz }
}
