import { z } from 'zod'
import { Id, Moment, line } from './ids.schema.ts'
import { Strike } from './reading.schema.ts'

/**
 * Where one strap, cord or row of holes stands on one dog. The newest of a part and side counts; two dogs in one piece
 * have two sets.
 */
export const NewSetting = z.object({
  of: z.union([z.object({ itemId: Id }), z.object({ pieceId: Id })]),
  dogId: Id.nullable(),
  part: line(60).min(1),
  side: z.enum(['left', 'right', 'both']),
  mm: z.number().min(0).max(5000).nullable(),
  /** What is written there: a hole's number, a stitch, a letter; `''` when nothing is. */
  mark: line(40),
  at: Moment,
  by: line(60),
})
export type NewSetting = z.infer<typeof NewSetting>
export const Setting = NewSetting.extend({ id: Id, struck: Strike.optional() })
export type Setting = z.infer<typeof Setting>
