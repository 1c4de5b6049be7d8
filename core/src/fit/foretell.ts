import { strapsOf, type GearLay } from '../lay/index.ts'
import type { Prediction } from '../model/index.ts'
import { madeToMeasure } from './made-to-measure.ts'
import { laysOf, predictChecks, strapsAsked } from './predict-checks.ts'
import { gradeOf, type PredictedCheck, type PredictQuestion } from './predicted-check.ts'
import { strapLengths, untiedStraps, type StrapLength } from './strap-lengths.ts'

/** The rules checks are foretold by; a change of what passes, or of the lay, is another. */
export const FIT_RULES_VERSION = 1

/** A maker sews to so much. Ours. */
const SEWN_MM = 3

/** One size, piece or set of straps on one dog: where it would lie and what its checks would show. */
export interface Foretold {
  straps: Record<string, number>
  /** Where the lengths come from; empty where they were given. */
  lengths: Partial<Record<string, StrapLength>>
  /** Maker's straps tied to none of the family's. */
  untied: string[]
  /** Of straps worked out for this dog: what each may be off by, mm. */
  madeSigmaMm?: Record<string, number>
  /** `null` for clothes, boots and crates. */
  laid: { slack: GearLay; pulling: GearLay } | null
  checks: PredictedCheck[]
}

/** What is asked of one thing: a size, a piece, straps, or what would be made to measure. */
export type ForetellQuestion = PredictQuestion & {
  made?: true
  /** Spreads taken from an earlier answer on the same dog, while a strap is drawn: only places are worked out anew. */
  spreadAs?: readonly PredictedCheck[]
}

/**
 * Everything the bench shows of one thing on one dog, in one go.
 *
 * @throws RangeError as `predictChecks`
 */
export function foretell(question: ForetellQuestion): Foretold {
  const { family, size, piece, strapWords, form, gauge } = question
  if (question.made && strapsOf(family).length > 0) {
    const made = Object.entries(madeToMeasure({ form, family, gauge }).straps)
    const straps = Object.fromEntries(made.map(([id, { mm }]) => [id, mm]))
    const { made: _made, ...asked } = question
    return {
      ...foretell({ ...asked, straps, strapSigmaMm: Object.fromEntries(made.map(([id]) => [id, SEWN_MM])) }),
      madeSigmaMm: Object.fromEntries(made.map(([id, { sigmaMm }]) => [id, sigmaMm])),
    }
  }
  if (strapsOf(family).length === 0) return { straps: {}, lengths: {}, untied: [], laid: null, checks: predictChecks(question) }
  const source = { family, ...(size ? { size } : {}), ...(piece ? { piece } : {}), ...(strapWords ? { strapWords } : {}) }
  const lengths = question.straps ? {} : strapLengths(source)
  const { straps, sigmaMm } = strapsAsked(question)
  const asked: PredictQuestion = { ...question, straps, strapSigmaMm: sigmaMm, ...(question.spreadAs ? { withoutSpread: true } : {}) }
  const laid = laysOf(asked)
  const checks = predictChecks({ ...asked, laid })
  return {
    straps,
    lengths,
    untied: untiedStraps(source),
    laid,
    checks: question.spreadAs ? checks.map((row) => spreadLike(row, question.spreadAs ?? [])) : checks,
  }
}

/** A row with the spread of its like in an earlier answer. */
function spreadLike(row: PredictedCheck, before: readonly PredictedCheck[]): PredictedCheck {
  const like = before.find((each) => each.check === row.check && each.state === row.state && each.strap === row.strap)
  if (row.mm === null || row.rangeMm === null || like?.sigmaMm == null) return row
  const grade = gradeOf(row.mm, like.sigmaMm, row.rangeMm)
  return { ...row, sigmaMm: like.sigmaMm, grade, symptom: grade === 'holds' ? null : (row.symptom ?? like.symptom) }
}

/** What of it a round keeps. */
export const predictionOf = ({ straps, checks }: Pick<Foretold, 'straps' | 'checks'>): Prediction => ({
  version: FIT_RULES_VERSION,
  straps: Object.fromEntries(Object.entries(straps).map(([id, mm]) => [id, Math.round(mm * 10) / 10])),
  checks: checks.map(({ check, state, strap, mm, sigmaMm, grade }) => ({
    check,
    state,
    ...(strap ? { strap } : {}),
    mm: mm === null ? null : Math.round(mm * 10) / 10,
    sigmaMm: sigmaMm === null ? null : Math.round(sigmaMm * 10) / 10,
    grade,
  })),
})
