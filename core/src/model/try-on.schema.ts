import { z } from 'zod'
import { Day, Id, Moment, line, SymptomId } from './ids.schema.ts'
import { PULL_STATES } from './lists.ts'
import { Strike } from './reading.schema.ts'

/** What is on the dog: what was chosen, a piece of ours, or a size from the rack that nobody chose. */
export const Worn = z.union([
  z.object({ choiceId: Id }),
  z.object({ pieceId: Id }),
  z.object({ tableId: line(60).min(1), tableVersion: z.int().min(1) }),
  z.object({ named: z.literal(true) }),
])
export type Worn = z.infer<typeof Worn>

/** One check as it was foretold before anything was answered; `none` where nothing could be. */
export const ForetoldCheck = z.object({
  check: line(60).min(1),
  state: z.enum(PULL_STATES),
  strap: line(20).min(1).optional(),
  mm: z.number().nullable(),
  sigmaMm: z.number().min(0).nullable(),
  grade: z.enum(['holds', 'doubt', 'fails', 'none']),
})
export type ForetoldCheck = z.infer<typeof ForetoldCheck>

/** What a round was begun with: kept as it was foretold, and never worked out anew. */
export const Prediction = z.object({
  /** Of the rules it was foretold by. */
  version: z.int().min(1),
  /** Strap lengths it was foretold for, mm; empty where there are none. */
  straps: z.record(line(20).min(1), z.number().positive().max(6000)),
  checks: z.array(ForetoldCheck).max(80),
})
export type Prediction = z.infer<typeof Prediction>

/** A slider that was moved since the round before; minus shortens. */
export const StrapMove = z.object({ strap: line(20).min(1), side: z.enum(['left', 'right']).nullable(), byMm: z.number().min(-2000).max(2000) })
export type StrapMove = z.infer<typeof StrapMove>

const fields = {
  itemId: Id,
  of: Worn,
  /** As it is called at the bench: a size, a tag, a maker's word. */
  label: line(40).min(1),
  /** The settings it was worn with. */
  settings: z.array(Id).max(60),
  /** What was changed since the round before, in the fitter's words. */
  changed: line(300),
  /** What it was begun with; `null` of rounds from before predictions were kept. */
  foretold: Prediction.nullable().optional(),
  /** Sliders moved since the round before, and how long that took, seconds. */
  moves: z.array(StrapMove).max(30).nullable().optional(),
  seconds: z.int().min(0).max(86_400).nullable().optional(),
  at: Moment,
  by: line(60),
}

/** One thing put on the dog once. A change of setting or size is a new round. */
export const NewTryOn = z.object({ ...fields, on: Day.optional() })
export type NewTryOn = z.infer<typeof NewTryOn>

export const PullState = z.enum(PULL_STATES)
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
export const Observation = NewObservation.extend({ id: Id, struck: Strike.optional() })
export type Observation = z.infer<typeof Observation>

export const NewSymptomNote = z.object({
  symptom: SymptomId,
  /** Which remedy of the symptom was taken, by its code; `null` when none yet. */
  remedy: line(60).min(1).nullable(),
  /** Newest note of a symptom counts: `false` once it is gone. */
  present: z.boolean(),
  at: Moment,
  by: line(60),
})
export type NewSymptomNote = z.infer<typeof NewSymptomNote>
export const SymptomNote = NewSymptomNote.extend({ id: Id, struck: Strike.optional() })
export type SymptomNote = z.infer<typeof SymptomNote>

export const TryOn = z.object({
  ...fields,
  on: Day.optional(),
  id: Id,
  struck: Strike.optional(),
  observations: z.array(Observation),
  symptoms: z.array(SymptomNote),
})
export type TryOn = z.infer<typeof TryOn>
