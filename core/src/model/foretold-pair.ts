import type { FamilyId } from './ids.schema.ts'
import type { PullState } from './try-on.schema.ts'
import type { Grade } from './verdict.ts'

/** One check of one kept round: what was foretold before the first answer, and the newest answer. */
export interface ForetoldPair {
  round: string
  ticketId: string
  /** Whose it was, and what was on the dog. */
  dog: string
  label: string
  at: string
  family: FamilyId
  check: string
  state: PullState
  predicted: Grade
  seen: Grade
}
