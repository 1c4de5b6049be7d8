import type { MeasureId } from './ids.schema.ts'
import type { GRADES } from './lists.ts'

export type Grade = (typeof GRADES)[number]

/** Why a size has its grade, as data: a code and the numbers it speaks of. Words are made in the interface. */
export type BecauseCode =
  'no-tape' | 'in-band' | 'edge' | 'below' | 'above' | 'past-tail' | 'between-down' | 'between-up' | 'girth-decides' | 'over-tested' | 'clearance'
export type Because = { code: BecauseCode; measure?: MeasureId; mm?: number; other?: string }

/** A finding (`seen` on the dog) or a prediction (`predicted` from tapes and tables); the two are never mixed. */
export type Basis = 'seen' | 'predicted'
