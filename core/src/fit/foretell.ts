import { strapsOf, type GearLay } from '../lay/index.ts'
import { gradeOf } from '../measures/index.ts'
import type { FamilyId, Prediction } from '../model/index.ts'
import { madeToMeasure } from './made-to-measure.ts'
import { laysOf, predictChecks, strapsAsked } from './predict-checks.ts'
import type { PredictedCheck, PredictQuestion } from './predicted-check.ts'
import { strapLengths, untiedStraps, type StrapLength } from './strap-lengths.ts'
import type { StrapSides } from './uneven-sides.ts'

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
  /** Straps as they were set by hand, by id; the others are as long as the thing has them. */
  set?: Readonly<Record<string, StrapSides>>
  /** Spreads taken from an earlier answer on the same dog, while a strap is drawn: only places are worked out anew. */
  spreadAs?: readonly PredictedCheck[]
}

/** A ring is set by both its sides together; another strap lies as its longer side lets it. */
const lengthSet = (ring: boolean, { leftMm, rightMm }: StrapSides): number => {
  const otherMm = rightMm ?? leftMm
  return ring ? (leftMm + otherMm) / 2 : Math.max(leftMm, otherMm)
}

/** The lengths of a thing with those that were set by hand, which are known and not inferred. */
function asSet(family: FamilyId, asked: ReturnType<typeof strapsAsked>, set: NonNullable<ForetellQuestion['set']>): ReturnType<typeof strapsAsked> {
  const byHand = strapsOf(family).flatMap(({ id, ring }) => (set[id] ? [[id, lengthSet(ring, set[id])] as const] : []))
  return {
    straps: { ...asked.straps, ...Object.fromEntries(byHand) },
    sigmaMm: { ...asked.sigmaMm, ...Object.fromEntries(byHand.map(([id]) => [id, 0])) },
  }
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
  const { straps, sigmaMm } = asSet(family, strapsAsked(question), question.set ?? {})
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

/** The same, and `null` where nothing is known of the thing: it cannot be foretold. */
export function foretellOrNull(question: ForetellQuestion): Foretold | null {
  try {
    return foretell(question)
  } catch (problem) {
    if (problem instanceof RangeError) return null
    throw problem
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
