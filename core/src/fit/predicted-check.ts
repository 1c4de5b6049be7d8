import type { Form } from '../form/index.ts'
import type { CheckId, StrapId, SymptomId } from '../gear/index.ts'
import type { GearLay, Pull } from '../lay/index.ts'
import type { FamilyId, FingerGauge, Grade, PullState } from '../model/index.ts'
import type { StrapSource } from './strap-lengths.ts'

/** A check foretold in one state; `under-every-strap` once for each strap. */
export interface PredictedCheck {
  check: CheckId
  state: PullState
  strap?: StrapId
  /** What a tape or a hand would read, and what passes, mm; `null` where the lay has no figure for it. */
  mm: number | null
  sigmaMm: number | null
  rangeMm: readonly [number, number] | null
  grade: Grade
  basis: 'predicted'
  /** What would show where it does not hold. */
  symptom: SymptomId | null
}

/** The shop's own ranges, by check, mm. */
export type CheckRules = Partial<Record<CheckId, readonly [number, number]>>

export interface PredictQuestion {
  form: Form
  family: FamilyId
  /** Strap lengths by id, mm; or a size or piece they follow from. */
  straps?: Readonly<Record<string, number>>
  size?: StrapSource['size']
  piece?: StrapSource['piece']
  strapWords?: StrapSource['strapWords']
  strapSigmaMm?: Readonly<Record<string, number>>
  /** The line’s rise; `null`: none yet, a level one is taken. */
  pull: Pull | null
  gauge: FingerGauge | null
  rules?: CheckRules
  build?: string | null
  /** A coat worn under it, mm. */
  overMm?: number
  withoutSpread?: boolean
  /** Lays of it that were made already, slack and pulling. */
  laid?: { slack: GearLay; pulling: GearLay }
}
