import { z } from 'zod'
import { Day, Id, Moment, line } from './ids.schema.ts'
import { RUNGS } from './lists.ts'

/** One outing of a dog that learns to draw: what it did on a day, and whether it stayed calm. */
export const NewOuting = z.object({
  on: Day,
  rung: z.enum(RUNGS),
  calm: z.boolean(),
  /** What was drawn on the last rung, kg; `null` on the others. */
  loadKg: z.number().min(0).max(500).nullable(),
  minutes: z.number().min(0).max(1440).nullable(),
  rigId: Id.nullable(),
  note: line(200),
  at: Moment,
  by: line(60),
})
export type NewOuting = z.infer<typeof NewOuting>
export const Outing = NewOuting.extend({ id: Id, removed: z.boolean() })
export type Outing = z.infer<typeof Outing>
/** An outing can only be taken off its list, and put back. */
export const OutingFields = z.object({ removed: z.boolean() })
