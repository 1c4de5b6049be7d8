import { z } from 'zod'
import { Id, MeasureId, Moment, line } from './ids.ts'

export const Side = z.enum(['both', 'one'])
export const Method = z.enum(['tape', 'string', 'loop', 'garment'])
export type Method = z.infer<typeof Method>

export const Strike = z.object({ why: line(200).min(1), at: Moment, by: line(60) })
export type Strike = z.infer<typeof Strike>

/** One laying-on of the tape. Appended and struck, never changed. `mm` is as taken: one side is not yet doubled. */
export const NewReading = z.object({
  measure: MeasureId,
  mm: z.number().positive().max(3001),
  side: Side,
  asTyped: line(40).min(1),
  unit: z.enum(['in', 'cm', 'mm']),
  method: Method,
  takenAt: Moment,
  by: line(60),
})
export type NewReading = z.infer<typeof NewReading>

export const Reading = NewReading.extend({ id: Id, struck: Strike.optional() })
export type Reading = z.infer<typeof Reading>
