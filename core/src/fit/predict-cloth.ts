import type { Check, CheckId, SymptomId } from '../gear/index.ts'
import { gradeOf } from '../measures/index.ts'
import type { Band, MeasureId } from '../model/index.ts'
import type { PredictedCheck, PredictQuestion } from './predicted-check.ts'

/** What a check of a coat, boot or crate compares: the piece's measure less the dog's, and what of the difference passes. */
interface ClothReads {
  /** The first of these that the piece has. */
  measures: readonly MeasureId[]
  /** The dog's own, where it is another: the largest of them counts. */
  against?: readonly MeasureId[]
  /** mm, or a share of the dog's measure. */
  range: readonly [number, number] | { share: readonly [number, number] }
  low: SymptomId | null
  high: SymptomId | null
}

/** Handbook 7.2 for clothes, boots and crates; toes from memory, unverified; other ranges ours, unverified. */
const READS: Partial<Record<CheckId, ClothReads>> = {
  'ends-before-tail': { measures: ['M16', 'M15', 'M14'], range: { share: [-0.12, 0] }, low: null, high: 'S51' },
  'band-keeps-it': { measures: ['M21', 'M07'], range: { share: [-0.04, 0.06] }, low: null, high: 'S52' },
  'band-lets-walk': { measures: ['M21', 'M07'], range: { share: [-0.02, 9] }, low: 'S53', high: null },
  'drop-at-elbows': { measures: ['M17', 'M18'], range: { share: [-0.06, 0.06] }, low: 'S51', high: 'S51' },
  'band-on-its-ring': { measures: ['M21'], range: { share: [-0.03, 0.07] }, low: 'S55', high: 'S52' },
  'sheath-free': { measures: ['M24', 'M23'], range: { share: [-0.3, 0] }, low: null, high: 'S55' },
  'belly-rib': { measures: ['M07'], range: { share: [-0.12, 0.02] }, low: 'S53', high: 'S54' },
  'drawn-in': { measures: ['M07', 'M21'], range: { share: [-0.02, 0.1] }, low: 'S53', high: 'S54' },
  'hood-over-ears': { measures: ['M05', 'M04'], range: { share: [0, 9] }, low: 'S59', high: null },
  'opening-passes-head': { measures: ['M04', 'M03', 'M02'], against: ['M03', 'M04'], range: { share: [0, 9] }, low: 'S60', high: null },
  'sleeve-at-wrist': { measures: ['M28', 'M26'], range: { share: [-0.12, 0.06] }, low: null, high: 'S56' },
  'leg-ends-off-toes': { measures: ['M28', 'M26'], range: { share: [-9, 0.1] }, low: null, high: 'S56' },
  'toes-near-the-end': { measures: ['M33', 'M35'], range: [3, 6], low: 'S65', high: 'S64' },
  'turns-not-by-hand': { measures: ['M32', 'M34'], range: [0, 5], low: 'S65', high: 'S63' },
  'finger-under-strap': { measures: ['M36'], range: { share: [0, 0.12] }, low: 'S67', high: 'S64' },
  'stands-in-it': { measures: ['M40', 'M39', 'M41'], against: ['M39', 'M40'], range: [0, 9000], low: 'S70', high: null },
  'lies-in-it': { measures: ['M42'], range: [0, 9000], low: null, high: 'S71' },
  'turns-in-it': { measures: ['M44'], range: [0, 9000], low: null, high: null },
}

const middle = ([from, to]: Band): number => (from + to) / 2

/**
 * Checks of clothes, boots and crates from their sizes beside the dog's tapes.
 *
 * A size's band says for which dogs it was made: its middle stands for the piece, its width for what that may be off by; a
 * piece laid flat says more.
 */
export function clothChecks(checks: readonly Check[], { form, size, piece, rules }: PredictQuestion): PredictedCheck[] {
  if (!size && !piece) throw new RangeError('a size or a piece is wanted')
  return checks.flatMap((check) =>
    check.states.map((state): PredictedCheck => {
      const reads = READS[check.id]
      const of = reads?.measures.find((id) => piece?.flat[id] ?? size?.bands[id])
      const gear = of ? (piece?.flat[of] ?? size?.bands[of]) : undefined
      const dogs = (reads?.against ?? (of ? [of] : [])).flatMap((id) => form.measures[id] ?? [])
      const dog = dogs.reduce<(typeof dogs)[number] | null>((most, each) => (most && most.mm >= each.mm ? most : each), null)
      if (!reads || !of || !gear || !dog)
        return { check: check.id, state, mm: null, sigmaMm: null, rangeMm: null, grade: 'none', basis: 'predicted', symptom: null }
      const isFlat = piece?.flat[of] !== undefined
      const mm = middle(gear) - dog.mm
      const sigmaMm = Math.hypot(
        dog.readMm === undefined ? dog.sigmaMm : Math.min(dog.sigmaMm, 0.015 * dog.mm),
        isFlat ? 5 : (gear[1] - gear[0]) / Math.sqrt(12),
      )
      const rangeMm = rules?.[check.id] ?? ('share' in reads.range ? ([reads.range.share[0] * dog.mm, reads.range.share[1] * dog.mm] as const) : reads.range)
      const grade = gradeOf(mm, sigmaMm, rangeMm)
      return {
        check: check.id,
        state,
        mm,
        sigmaMm,
        rangeMm,
        grade,
        basis: 'predicted',
        symptom: grade === 'holds' ? null : mm < (rangeMm[0] + rangeMm[1]) / 2 ? reads.low : reads.high,
      }
    }),
  )
}
