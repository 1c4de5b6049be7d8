import { z } from 'zod'
import { Id, MeasureId, Moment, line } from './ids.schema.ts'
import { Strike } from './reading.schema.ts'

/**
 * A number that came by mail or phone under somebody else's letters. Its path is unknown, so it is kept as written and
 * never sized on, until an answer makes it a reading or strikes it.
 */
export const NewAsWritten = z.object({
  /** The sender's own letter or word: `A-C`, `neck`, `length`. */
  letters: line(60).min(1),
  asWritten: line(60).min(1),
  came: z.enum(['mail', 'phone', 'form', 'message']),
  /** Which measure it may be: the ask-back page draws its path. `null` while nobody knows. */
  wanted: MeasureId.nullable(),
  remark: line(300),
  at: Moment,
  by: line(60),
})
export type NewAsWritten = z.infer<typeof NewAsWritten>

/** The sender's answer: the number is this measure, and became this reading. */
export const BecameReading = z.object({ readingId: Id, at: Moment, by: line(60) })
export type BecameReading = z.infer<typeof BecameReading>

export const AsWritten = NewAsWritten.extend({
  id: Id,
  became: BecameReading.nullable(),
  struck: Strike.optional(),
})
export type AsWritten = z.infer<typeof AsWritten>
