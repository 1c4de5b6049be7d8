import { gaugeBlock, slackUnder, type FlatPoint } from '../fit/index.ts'
import { FORM_MEASURES, hindLegOf, trunkOf, trunkVariations, type Form } from '../form/index.ts'
import type { FamilyId, FingerGauge } from '../model/index.ts'
import { askNumbers } from '../units/index.ts'
import { draftParts, type DraftPart } from './draft-parts.ts'
import { hindStride } from './hind-stride.ts'
import { groundOf, startsOn, type DraftPlaces, type Ground, type Known } from './starts-on.ts'
import { shaftLoop } from './shaft-loop.ts'

export interface DraftStrap {
  startMm: number
  /** Nine starts in ten lie between. */
  leastMm: number
  mostMm: number
  sigmaMm: number
  /** By its own tape, or by the form alone. */
  from: 'read' | 'form'
}

export interface DraftStartQuestion {
  form: Form
  /** This side’s own readings go before the form’s, mm. */
  body: Readonly<Partial<Record<string, { mm: number | null; sigmaMm?: number | null } | null>>>
  family: FamilyId
  gauge: FingerGauge | null
  rig: { shaftMm: number; stopMm: number; hitchMm: number }
}

export interface DraftStart {
  straps: Partial<Record<DraftPart, DraftStrap>>
  /** How high the shafts lie: the point of the shoulder (M46). */
  shaftMm: number
  betweenShaftsMm: number
  barMm: number
  barBehindTailMm: number
  /** How far behind the tail base a hind paw comes. */
  reach: { pawMm: number; sigmaMm: number }
  misses: { code: 'no-loop' | 'no-bone-for-band' | 'keel-past-sternum'; byMm: number }[]
}

/** Room beside the body between the shafts, a side. Ours. */
const BESIDE_MM = 30
/** Fingers behind the elbow; fewer where the girth is small. From memory, unverified. */
const FINGERS_BEHIND = 2.5
const SMALL_GAP_MM = 35
const SMALL_GIRTH_MM = 400
/** A band wants so much bone behind the cinch. Ours. */
const BONE_MM = 40
/** A stride’s spread, share of the back length (trial). */
export const REACH_SD = 0.08
/** What laying a strap is off by on a dog whose form is known, sd in mm on a back of 54 cm. Ours: unproven on real harness. */
const OFF_MM: Readonly<Record<DraftPart, number>> = { neck: 8, keel: 7, back: 8, upper: 10, lower: 10, cinch: 8, loopDrop: 9, loop: 3, belly: 11, rear: 14 }
const USUAL_BACK_MM = 540
/** The tape a strap follows. */
const TAPE: Readonly<Partial<Record<DraftPart, string>>> = {
  neck: 'M01',
  keel: 'M06',
  upper: 'M01',
  lower: 'M06',
  cinch: 'M07',
  belly: 'M07',
  loopDrop: 'M46',
  rear: 'M47',
}
/** Places on the body do not hang on how thick the shafts are. */
const ANY_SHAFT = { shaftMm: 25, stopMm: 45 }
/** Tapes that stand in a start themselves: read, they hold still while the form may yet differ. */
const STANDS = ['M01', 'M06', 'M46'].filter((id) => FORM_MEASURES.includes(id))
const NINE_IN_TEN = 1.645

/** Strap that so many fingers want under a ring here, tried at its side. */
function fingersUnder(half: readonly (readonly [number, number])[], fingers: number, gauge: FingerGauge | null): number {
  const outline: FlatPoint[] = [
    ...half,
    ...[...half]
      .slice(1, -1)
      .reverse()
      .map(([y, z]): [number, number] => [-y, z]),
  ]
  const side = half.reduce<readonly [number, number]>((widest, point) => (point[0] > widest[0] ? point : widest), [0, 0])
  const one = gaugeBlock('one', gauge)
  return slackUnder(outline, [{ at: side, normal: [1, 0], widthMm: one.widthMm * fingers, thicknessMm: one.thicknessMm }])
}

/**
 * Where every strap of a drafting harness starts on this dog, with what it may be off by: what the form’s covariance leaves
 * open, the laying itself, and the tape where it was read. Near the body a start is within a slider; rear traces and bar
 * are a guess until M47 is read in stride: start long.
 *
 * @throws RangeError for a kind that draws nothing, a rig’s number that is none, or a form without trunk
 * Source: places from handbook 7.2, 8.5 and a trial; unproven on real harness
 */
export function draftStart({ form, body, family, gauge, rig }: DraftStartQuestion): DraftStart {
  const parts = draftParts(family)
  askNumbers({ shaftMm: rig.shaftMm, stopMm: rig.stopMm }, 1)
  askNumbers({ hitchMm: rig.hitchMm }, 0)
  const { ground, known, loop, ribX, pawMm, sigmaReach, back } = laidOut({ form, body, gauge, rig })
  const sternum = ground.sternum
  const { measures } = form
  const read = (id: string): number | null => body[id]?.mm ?? null
  // Fingers want about so much whatever else the body is: they are tried once, on the form itself.
  const bare = startsOn(ground, known, null)
  known.slackMm = {
    neck: fingersUnder(bare.neckHalf, 1.5, gauge) * 0.75,
    cinch: fingersUnder(bare.cinchHalf, 2, gauge) * 0.75,
    belly: fingersUnder(bare.bandHalf, 2, gauge) * 0.75,
  }
  const here = startsOn(ground, known, null)
  const spread = spreadOver(form, ribX, ground, known, here.halfBarMm, here.straps)
  const strapOf = (part: DraftPart): DraftStrap => {
    const startMm = here.straps[part]
    const id = TAPE[part]
    const isRead = id !== undefined && (read(id) !== null || measures[id]?.readMm !== undefined)
    // What was read in stride is no guess any more.
    const own = part === 'rear' && isRead ? 8 : OFF_MM[part] * Math.min(1.2, Math.max(0.35, back / USUAL_BACK_MM))
    const stride = part === 'rear' && !isRead ? sigmaReach : 0
    const taped = id === undefined || read(id) === null ? 0 : (body[id]?.sigmaMm ?? 3)
    const sigmaMm = Math.hypot(own, stride, taped, part === 'rear' && isRead ? 0 : spread[part])
    return { startMm, leastMm: Math.max(1, startMm - NINE_IN_TEN * sigmaMm), mostMm: startMm + NINE_IN_TEN * sigmaMm, sigmaMm, from: isRead ? 'read' : 'form' }
  }
  const boneMm = here.cinchX - sternum[0]
  const hasBand = parts.some(({ part }) => part === 'belly')
  return {
    straps: Object.fromEntries(parts.map(({ part }) => [part, strapOf(part)])),
    shaftMm: here.shoulderMm,
    betweenShaftsMm: 2 * (Math.max(here.outMm, ...here.cinchHalf.map(([y]) => y)) + BESIDE_MM),
    barMm: 2 * here.halfBarMm,
    barBehindTailMm: here.barBehindTailMm,
    reach: { pawMm, sigmaMm: sigmaReach },
    misses: [
      ...(hasBand && !loop.ok ? [{ code: 'no-loop' as const, byMm: loop.leastMm - loop.mostMm }] : []),
      ...(hasBand && boneMm < BONE_MM ? [{ code: 'no-bone-for-band' as const, byMm: BONE_MM - boneMm }] : []),
      ...(boneMm < 0 ? [{ code: 'keel-past-sternum' as const, byMm: -boneMm }] : []),
    ],
  }
}

/** What a harness is laid on, and what is known of it. */
function laidOut({ form, body, gauge, rig }: Omit<DraftStartQuestion, 'family'>) {
  const { landmarks, sections, measures } = form
  const rib = landmarks.L12
  if (!rib) throw new RangeError('form: it has no trunk to lay straps on')
  const read = (id: string): number | null => body[id]?.mm ?? null
  const back = sections.withers.tx - sections.tail.tx
  const girth = read('M07') ?? measures.M07?.mm ?? 700
  const pawMm = sections.tail.tx - hindStride(hindLegOf(form)).pawRearMm
  const loop = shaftLoop(rig)
  const trunk = trunkOf(form)
  const known: Known = {
    gapMm: girth < SMALL_GIRTH_MM ? SMALL_GAP_MM : FINGERS_BEHIND * (gauge ? gauge.twoMm / 2 : 20),
    pawShare: pawMm / back,
    sigmaReachShare: REACH_SD,
    hitchMm: rig.hitchMm,
    loopMm: loop.startMm,
    slackMm: { neck: 0, cinch: 0, belly: 0 },
    readMm: Object.fromEntries(['M01', 'M06', 'M46', 'M47'].map((id) => [id, read(id)])),
    formMm: Object.fromEntries(['M01', 'M06', 'M46'].map((id) => [id, measures[id]?.mm ?? null])),
  }
  return { ground: groundOf(trunk, rib[0], trunk), known, loop, ribX: rib[0], pawMm, sigmaReach: REACH_SD * back, back }
}

/**
 * Where a drafting harness runs on this dog behind a hitch so high: what is drawn, and what its pull is worked out with.
 *
 * @throws RangeError for a form without trunk, or a height that is none
 */
export function draftPlaces({ form, body, gauge, hitchMm }: Pick<DraftStartQuestion, 'form' | 'body' | 'gauge'> & { hitchMm: number }): DraftPlaces {
  askNumbers({ hitchMm }, 0)
  const { ground, known } = laidOut({ form, body, gauge, rig: { ...ANY_SHAFT, hitchMm } })
  return startsOn(ground, known, null).places
}

/** How far each start moves with what the form’s covariance leaves open, to first order; the bar and its contacts held. */
function spreadOver(form: Form, ribX: number, ground: Ground, known: Known, halfBarMm: number, here: Record<DraftPart, number>): Record<DraftPart, number> {
  const sums = Object.fromEntries(Object.keys(here).map((part) => [part, 0])) as Record<DraftPart, number>
  for (const { trunk, logs } of trunkVariations(form, STANDS)) {
    const formMm = Object.fromEntries(
      Object.entries(known.formMm).map(([id, mm]) => [id, mm === null || form.measures[id]?.readMm !== undefined ? mm : mm * Math.exp(logs[id] ?? 0)]),
    )
    let there: Record<DraftPart, number>
    try {
      there = startsOn(groundOf(trunk, ribX, ground.trunk), { ...known, formMm }, halfBarMm).straps
    } catch (problem) {
      // A way to differ that leaves no section where the strap lies says nothing of its length.
      if (problem instanceof RangeError) continue
      throw problem
    }
    for (const part of Object.keys(sums) as DraftPart[]) sums[part] += (there[part] - here[part]) ** 2
  }
  return Object.fromEntries(Object.entries(sums).map(([part, sum]) => [part, Math.sqrt(sum)])) as Record<DraftPart, number>
}
