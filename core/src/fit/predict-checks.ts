import { trunkVariations, type Form, type TrunkVariation } from '../form/index.ts'
import { checksFor, families, type Check, type FigureId, type StrapId, type SymptomId } from '../gear/index.ts'
import { layGear, outlineUnder, pieceHeightMm, strapsOf, type GearLay } from '../lay/index.ts'
import { gradeOf } from '../measures/index.ts'
import type { PullState } from '../model/index.ts'
import { CHECK_READS, type CheckReads } from './check-reads.ts'
import { clothChecks } from './predict-cloth.ts'
import { fingersWide } from './judge-answer.ts'
import type { PredictedCheck, PredictQuestion } from './predicted-check.ts'
import { roomFor } from './room.ts'
import { strapLengths } from './strap-lengths.ts'

const none = (check: Check, state: PullState, strap?: StrapId): PredictedCheck => ({
  check: check.id,
  state,
  ...(strap ? { strap } : {}),
  mm: null,
  sigmaMm: null,
  rangeMm: null,
  grade: 'none',
  basis: 'predicted',
  symptom: null,
})

/** Pulling gear moves with its line tight, walking gear on a loose lead. */
const worksInThePull = (family: PredictQuestion['family']): boolean => families[family].rig?.end != null

/** Rings and the figure that says their room. */
const RINGS: Partial<Record<StrapId, { figure: FigureId; ring: 'neck' | 'girth' | 'belly' }>> = {
  neck: { figure: 'neckRoom', ring: 'neck' },
  front: { figure: 'neckRoom', ring: 'neck' },
  girth: { figure: 'girthRoom', ring: 'girth' },
  cinch: { figure: 'girthRoom', ring: 'girth' },
  belly: { figure: 'bellyRoom', ring: 'belly' },
}

interface Reading {
  mm: number
  sigmaMm: number
}

/** What of a figure passes on this dog by this hand, mm. */
function rangeOf(check: Check, reads: CheckReads, { form, family, gauge, rules }: PredictQuestion): readonly [number, number] | null {
  const own = rules?.[check.id]
  if (own) return own
  const back = form.sections.withers.tx - form.sections.tail.tx
  const { passes } = reads
  if (passes.by === 'share') return [passes.range[0] * back, passes.range[1] * back]
  if (passes.by === 'under') {
    const outline = outlineUnder(form, family, reads.figure === 'neckRoom' ? 'neck' : reads.figure === 'bellyRoom' ? 'belly' : 'girth')
    return [
      passes.least ? roomFor(outline, passes.least, gauge, passes.blocks ?? 1).leastMm : 0,
      roomFor(outline, passes.most, gauge, passes.blocks ?? 1).mostMm,
    ]
  }
  if (check.gauge?.kind === 'gap') return scaledToDog(check, back)
  if (check.gauge?.kind === 'wide') return fingersWide(check.gauge, { girthMm: form.measures.M07?.mm ?? null, fingerMm: gauge ? gauge.twoMm / 2 : null }).mm
  return null
}

/** Ranges of the handbook are meant for middling dogs: a toy’s landmarks are as much smaller. Ours; never wider than printed. */
function scaledToDog({ gauge }: Check, backMm: number): readonly [number, number] | null {
  if (gauge?.kind !== 'gap') return null
  const by = Math.max(0.7, Math.min(1, backMm / 450))
  return [gauge.passMm[0] * by, gauge.passMm[1] * by]
}

function readingOf(reads: CheckReads, laid: GearLay, form: Form): Reading | null {
  if (reads.figure === 'belly') {
    const [node, rib] = [laid.nodes.bellyLow, form.landmarks.L12]
    return node && rib ? { mm: rib[0] - node.at[0], sigmaMm: node.sigmaMm } : null
  }
  const figure = laid.figures[reads.figure]
  if (!figure) return null
  if (reads.passes.by === 'gauge' && reads.passes.upper) {
    const back = form.sections.withers.tx - form.sections.tail.tx
    return { mm: figure.mm + pieceHeightMm(back), sigmaMm: figure.sigmaMm }
  }
  return figure
}

function row(
  check: Check,
  state: PullState,
  strap: StrapId | undefined,
  reading: Reading,
  rangeMm: readonly [number, number],
  low: SymptomId | null,
  high: SymptomId | null,
): PredictedCheck {
  const grade = gradeOf(reading.mm, reading.sigmaMm, rangeMm)
  const middle = (rangeMm[0] + rangeMm[1]) / 2
  return {
    check: check.id,
    state,
    ...(strap ? { strap } : {}),
    mm: reading.mm,
    sigmaMm: reading.sigmaMm,
    rangeMm,
    grade,
    basis: 'predicted',
    symptom: grade === 'holds' ? null : reading.mm < middle ? low : high,
  }
}

/** The strap lengths asked about, from what was given. */
export function strapsAsked(question: PredictQuestion): { straps: Record<string, number>; sigmaMm: Record<string, number> } {
  const { straps, strapSigmaMm = {}, family, size, piece, strapWords } = question
  if (straps) return { straps: { ...straps }, sigmaMm: { ...strapSigmaMm } }
  const lengths = strapLengths({ family, ...(size ? { size } : {}), ...(piece ? { piece } : {}), ...(strapWords ? { strapWords } : {}) })
  return {
    straps: Object.fromEntries(Object.entries(lengths).map(([id, { mm }]) => [id, mm])),
    sigmaMm: Object.fromEntries(Object.entries(lengths).map(([id, { sigmaMm }]) => [id, sigmaMm])),
  }
}

/** The lays checks are read off, slack and pulling. */
export function laysOf(question: PredictQuestion, variations?: readonly TrunkVariation[]): { slack: GearLay; pulling: GearLay } {
  const { straps, sigmaMm } = strapsAsked(question)
  const { form, family, pull, overMm, withoutSpread } = question
  const shared = { form, family, straps, strapSigmaMm: sigmaMm, ...(overMm === undefined ? {} : { overMm }), ...(withoutSpread ? { withoutSpread } : {}) }
  const ways = variations ?? (withoutSpread ? undefined : trunkVariations(form, ['M01', 'M06', 'M07', 'M10', 'M11', 'M12', 'M13', 'M29']))
  return { slack: layGear({ ...shared, pull: null }, ways), pulling: layGear({ ...shared, pull: pull ?? { riseRad: 0 } }, ways) }
}

/**
 * Every check of a family in every state, foretold from where its straps would lie; coats, boots and crates from their
 * sizes beside the dog's tapes. What a lay has no figure for stands in it as `none`.
 *
 * A prediction orders what to try; only a hand on the dog says that it holds.
 *
 * @throws RangeError for straps that are unknown, missing or no lengths, or where nothing is known of the piece
 */
export function predictChecks(question: PredictQuestion): PredictedCheck[] {
  const { form, family, build = null } = question
  const checks = checksFor(family, { sex: form.sex, build })
  if (strapsOf(family).length === 0) return clothChecks(checks, question)
  const laid = question.laid ?? laysOf(question)
  return checks.flatMap((check) =>
    check.states.flatMap((state): PredictedCheck[] => {
      const of = state === 'pulling' || (state === 'moving' && worksInThePull(family)) ? laid.pulling : laid.slack
      if (check.id === 'under-every-strap')
        return strapsOf(family).map(({ id }) => {
          const ring = RINGS[id]
          const reading = ring ? of.figures[ring.figure] : undefined
          if (!ring || !reading) return none(check, state, id)
          const range = question.rules?.[check.id]
          const { leastMm, mostMm } = roomFor(outlineUnder(form, family, ring.ring), 'two', question.gauge)
          return row(check, state, id, reading, range ?? [leastMm, mostMm], 'S26', 'S27')
        })
      const reads = CHECK_READS[check.id]
      const reading = reads ? readingOf(reads, of, form) : null
      const rangeMm = reads ? rangeOf(check, reads, question) : null
      if (!reads || !reading || !rangeMm || !of.settled) return [none(check, state)]
      return [row(check, state, undefined, reading, rangeMm, reads.low, reads.high)]
    }),
  )
}
