import { z } from 'zod'

export const Grade = z.enum(['holds', 'doubt', 'fails', 'none'])
export type Grade = z.infer<typeof Grade>

/** Why, as data: a code and the numbers it speaks of. Words are made in the interface. */
export type Because = { code: string; measure?: string; mm?: number; other?: string }

/** A finding (`seen` on the dog) or a prediction (`predicted` from tapes and tables); the two are never mixed. */
export interface Verdict {
  grade: Grade
  basis: 'seen' | 'predicted'
  measure?: string
  check?: string
  byMm?: number
  because: Because
}
