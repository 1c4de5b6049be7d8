import { z } from 'zod'
import { Day, Id, Moment, line } from './ids.schema.ts'

/** What a dog weighed on a day (M00), beside what was weighed at the bench. `asTyped` is `''` where only the number is known. */
export const NewWeighing = z.object({
  kg: z.number().positive().max(150),
  asTyped: line(40),
  unit: z.enum(['kg', 'lb']),
  on: Day,
  at: Moment,
  by: line(60),
})
export type NewWeighing = z.infer<typeof NewWeighing>
export const Weighing = NewWeighing.extend({ id: Id })
export type Weighing = z.infer<typeof Weighing>
