import { z } from 'zod'
import { Id, Moment, line } from './ids.schema.ts'

/** A write that was answered: sent again under its id it gives this answer, whatever happened since. */
export const StoredWrite = z.object({ id: Id, at: Moment, status: z.int().min(200).max(499), answer: z.unknown() })
export type StoredWrite = z.infer<typeof StoredWrite>

/** Which book answered, how often it was brought back, how many writes it has taken, and its clock. */
export const Head = z.object({ book: Id, epoch: z.int().min(1), seq: z.int().min(0), at: Moment })
export type Head = z.infer<typeof Head>

/** One write of somebody's, as the others are told. */
export const News = z.object({
  seq: z.int(),
  id: Id,
  ticketId: Id.nullable(),
  tags: z.array(z.string()),
  by: line(60),
  /** What was done, where it can be said in a word: a reading's measure and how it was typed. */
  reading: z.object({ measure: z.string(), asTyped: z.string(), unit: z.string() }).nullable(),
})
export type News = z.infer<typeof News>
