import { pawsIn } from './by-hand.ts'
import type { TracedPaw } from './find-paws.ts'
import { frameIn, type TraceFrame } from './frame-in.ts'
import type { Picture } from './picture.ts'

export type Traced = { ok: true; frame: TraceFrame; paws: TracedPaw[] } | { ok: false; problem: 'no-frame' | 'no-outline' }

/**
 * Paws traced on the printed sheet, from one photograph: the sheet found by its marks, turned or mirrored as it may be,
 * laid flat, and every closed outline on it along the middle of its line. Gaps up to six millimetres are closed and told.
 *
 * @param picture red, green, blue, alpha a pixel
 * @returns outlines in the sheet's millimetres, y down, the largest first; or what is missing
 */
export function tracePaws(picture: Picture): Traced {
  const frame = frameIn(picture)
  if (!frame) return { ok: false, problem: 'no-frame' }
  const paws = pawsIn(picture, frame)
  return paws.length === 0 ? { ok: false, problem: 'no-outline' } : { ok: true, frame, paws }
}
