import { z } from 'zod'
import { Id, Moment, line } from './ids.schema.ts'
import { MARKED_KINDS } from './lists.ts'

/** What a mark can stand on: facts that are appended and never changed. */
export const MarkedKind = z.enum(MARKED_KINDS)
export type MarkedKind = z.infer<typeof MarkedKind>

/**
 * Strikes a fact out or restores it. Facts stay; the newest mark decides whether they count, and every mark is kept
 * with who, when and why. So each act on the bench has an inverse.
 */
export const NewMark = z.object({
  what: MarkedKind,
  about: Id,
  kind: z.enum(['struck', 'restored']),
  why: line(200).min(1),
  at: Moment,
  by: line(60),
})
export type NewMark = z.infer<typeof NewMark>
export const Mark = NewMark.extend({ id: Id })
export type Mark = z.infer<typeof Mark>
