import { z } from 'zod'
import { Id, Moment, line } from './ids.ts'

/** One size put on the dog once. A change of setting or size is a new round. */
export const NewTryOn = z.object({
  itemId: Id,
  tableId: line(60),
  tableVersion: z.int().min(1).nullable(),
  label: line(40).min(1),
  /** What was changed since the round before, in the fitter's words. */
  changed: line(300),
  at: Moment,
  by: line(60),
})
export type NewTryOn = z.infer<typeof NewTryOn>

export const PullState = z.enum(['slack', 'pulling', 'moving'])
export type PullState = z.infer<typeof PullState>

/** One answer at the dog. The newest answer to a check and state counts; older ones are kept. */
export const NewObservation = z.object({
  check: line(60).min(1),
  state: PullState,
  grade: z.enum(['holds', 'doubt', 'fails']),
  /** As typed when the answer was a number: `2 fingers`, `1 1/2 in`. */
  asTyped: line(40),
  mm: z.number().nullable(),
  fingers: z.number().min(0).max(12).nullable(),
  at: Moment,
  by: line(60),
})
export type NewObservation = z.infer<typeof NewObservation>
export const Observation = NewObservation.extend({ id: Id })
export type Observation = z.infer<typeof Observation>

export const NewSymptomNote = z.object({
  symptom: z.string().regex(/^S\d\d$/),
  /** Which remedy of the symptom's list was taken, by its place; `null` when none yet. */
  remedy: z.int().min(0).max(9).nullable(),
  /** Newest note of a symptom counts: `false` once it is gone. */
  present: z.boolean(),
  at: Moment,
  by: line(60),
})
export type NewSymptomNote = z.infer<typeof NewSymptomNote>
export const SymptomNote = NewSymptomNote.extend({ id: Id })
export type SymptomNote = z.infer<typeof SymptomNote>

export const TryOn = NewTryOn.extend({ id: Id, observations: z.array(Observation), symptoms: z.array(SymptomNote) })
export type TryOn = z.infer<typeof TryOn>
