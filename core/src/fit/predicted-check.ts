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

/** Nine in ten holds, one in twenty fails. Ours. */
const HOLDS = 0.9
const FAILS = 0.05

/** The standard normal's distribution. Source: Abramowitz and Stegun 26.2.17, value from memory; error below 1e-7. */
function below(z: number): number {
  const t = 1 / (1 + 0.2316419 * Math.abs(z))
  const tail =
    (Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI)) * t * (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))))
  return z > 0 ? 1 - tail : tail
}

/** How likely a figure passes: nine in ten holds, one in twenty fails. */
export function gradeOf(mm: number, sigmaMm: number, [from, to]: readonly [number, number]): Exclude<Grade, 'none'> {
  const share = sigmaMm > 0 ? below((to - mm) / sigmaMm) - below((from - mm) / sigmaMm) : mm >= from && mm <= to ? 1 : 0
  return share >= HOLDS ? 'holds' : share <= FAILS ? 'fails' : 'doubt'
}
