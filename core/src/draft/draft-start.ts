import { gaugeBlock, slackUnder, type FlatPoint } from '../fit/index.ts'
import { cutAt, hindLegOf, type Form } from '../form/index.ts'
import type { FamilyId, FingerGauge } from '../model/index.ts'
import { askNumbers } from '../units/index.ts'
import { draftParts, type DraftPart } from './draft-parts.ts'
import { hindStride } from './hind-stride.ts'
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
/** The bar stays this far behind a paw’s rearmost (handbook 7.2, S44, from memory, unverified). */
const CLEAR_MM = 100
/** Strap’s half width, and fingers behind the elbow; fewer where the girth is small. From memory, unverified. */
const HALF_STRAP_MM = 12.5
const FINGERS_BEHIND = 2.5
const SMALL_GAP_MM = 35
const SMALL_GIRTH_MM = 400
/** A band wants so much bone behind the cinch. Ours. */
const BONE_MM = 40
/** Clear of the hip, share of the back length and at most. Ours. */
const HIP = { share: 0.07, mostMm: 40 }
/** A stride’s spread, share of the back length (trial). */
const REACH_SD = 0.08
/** What starts were off by in the trial beside their tapes, sd in mm: unproven on real harness. */
const OFF_MM: Readonly<Record<DraftPart, number>> = { neck: 4, keel: 12, back: 10, upper: 22, lower: 22, cinch: 9, loopDrop: 8, loop: 3, belly: 12, rear: 48 }
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
const NINE_IN_TEN = 1.645

type Point = readonly [x: number, y: number, z: number]
const apart = (a: Point, b: Point): number => Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2])

/** Length along a section’s half from the topline down to a height. */
function downTo(half: readonly (readonly [number, number])[], zMm: number): number {
  let long = 0
  for (let i = 1; i < half.length; i++) {
    const [[y0, z0], [y1, z1]] = [half[i - 1] as readonly [number, number], half[i] as readonly [number, number]]
    const step = Math.hypot(y1 - y0, z1 - z0)
    if (z1 <= zMm) return long + (z0 > z1 ? step * Math.min(1, Math.max(0, (z0 - zMm) / (z0 - z1))) : 0)
    long += step
  }
  return long
}

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
 * Where every strap of a drafting harness starts on this dog, with what it may be off by. Near the body a start is within a
 * slider; rear traces and bar are a guess until M47 is read in stride: start long.
 *
 * @throws RangeError for a kind that draws nothing, a rig’s number that is none, or a form without trunk
 * Source: places from handbook 7.2, 8.5 and a trial; unproven on real harness
 */
export function draftStart({ form, body, family, gauge, rig }: DraftStartQuestion): DraftStart {
  const parts = draftParts(family)
  askNumbers({ shaftMm: rig.shaftMm, stopMm: rig.stopMm }, 1)
  askNumbers({ hitchMm: rig.hitchMm }, 0)
  const { landmarks, sections, measures } = form
  const [lump, sternum, elbow, rib, span] = [landmarks.L01, landmarks.L02, landmarks.L06, landmarks.L12, landmarks.L21 ?? landmarks.L05]
  if (!lump || !sternum || !elbow || !rib || !span) throw new RangeError('form: it has no trunk to lay straps on')
  const read = (id: string): number | null => body[id]?.mm ?? null
  const of = (id: string, otherwise: number): number => read(id) ?? measures[id]?.mm ?? otherwise
  const back = sections.withers.tx - sections.tail.tx
  const girth = of('M07', 700)
  const gap = girth < SMALL_GIRTH_MM ? SMALL_GAP_MM : FINGERS_BEHIND * (gauge ? gauge.twoMm / 2 : 20)
  const cinchX = elbow[0] - gap - HALF_STRAP_MM
  const bandX = sternum[0] + HALF_STRAP_MM
  const [cinch, band] = [cutAt(form, cinchX), cutAt(form, Math.min(cinchX - 20, bandX))]
  if (!cinch || !band) throw new RangeError('form: no section at the cinch')
  const shoulderMm = of('M46', (sections.girth.tz + sections.girth.uz) / 2)

  const stride = hindStride(hindLegOf(form))
  const pawMm = sections.tail.tx - stride.pawRearMm
  const sigmaReach = REACH_SD * back
  const barBehindTailMm = pawMm + CLEAR_MM + sigmaReach
  const barX = sections.tail.tx - barBehindTailMm
  // The ring lies half-way from the cinch to the last rib, on the line from between the primaries’ ends to the bar.
  const ringX = (cinchX + rib[0]) / 2
  const from = [(span[0] + lump[0]) / 2, (span[2] + lump[2]) / 2] as const
  const ringZ = from[1] + ((rig.hitchMm - from[1]) * (from[0] - ringX)) / (from[0] - barX)
  const ringCut = cutAt(form, ringX)
  const outMm = Math.max(20, ...(ringCut?.half ?? cinch.half).map(([y]) => y))
  const ring: Point = [ringX, outMm, ringZ]
  const hipX = sections.tail.tx + 0.08 * back
  const hipOut = Math.max(outMm * 0.6, ...(cutAt(form, hipX)?.half ?? []).map(([y]) => y)) + Math.min(HIP.mostMm, HIP.share * back)
  const halfBar = Math.max(outMm * 0.5, outMm + ((hipOut - outMm) * (ringX - barX)) / (ringX - hipX))
  const barMm = 2 * halfBar

  const loop = shaftLoop(rig)
  const underlineMm = Math.hypot(lump[0] - cinchX, lump[2] - cinch.underMm)
  const low: Point = [cinchX, 0, cinch.underMm]
  const starts: Record<DraftPart, number> = {
    neck: of('M01', 500) + fingersUnder(cutAt(form, sections.withers.tx - 1)?.half ?? cinch.half, 1.5, gauge) * 0.75,
    keel: Math.min(underlineMm, of('M06', underlineMm)),
    back: Math.hypot(sections.withers.tx - cinchX, sections.withers.tz - cinch.topMm),
    upper: apart([span[0], Math.abs(span[1]), span[2]], ring),
    lower: apart(lump, low) + apart(low, ring),
    cinch: cinch.ringMm + fingersUnder(cinch.half, 2, gauge) * 0.75,
    loopDrop: downTo(cinch.half, shoulderMm),
    loop: loop.startMm,
    belly: band.ringMm + fingersUnder(band.half, 2, gauge) * 0.75,
    rear: read('M47') ?? apart(ring, [barX, halfBar, rig.hitchMm]),
  }
  const strapOf = (part: DraftPart): DraftStrap => {
    const startMm = starts[part]
    const id = TAPE[part]
    const tape = id ? measures[id] : undefined
    const isRead = id !== undefined && (read(id) !== null || tape?.readMm !== undefined)
    const share = id === undefined ? 0 : read(id) !== null ? (body[id]?.sigmaMm ?? 3) / Math.max(1, read(id) ?? 1) : tape ? tape.sigmaMm / tape.mm : 0.05
    // What was read in stride is no guess any more.
    const own = part === 'rear' && isRead ? 8 : OFF_MM[part] * Math.min(1.2, Math.max(0.35, back / 540))
    const sigmaMm = Math.hypot(own, share * startMm)
    return { startMm, leastMm: Math.max(1, startMm - NINE_IN_TEN * sigmaMm), mostMm: startMm + NINE_IN_TEN * sigmaMm, sigmaMm, from: isRead ? 'read' : 'form' }
  }
  const boneMm = cinchX - sternum[0]
  const hasBand = parts.some(({ part }) => part === 'belly')
  return {
    straps: Object.fromEntries(parts.map(({ part }) => [part, strapOf(part)])),
    shaftMm: shoulderMm,
    betweenShaftsMm: 2 * (Math.max(outMm, ...cinch.half.map(([y]) => y)) + BESIDE_MM),
    barMm,
    barBehindTailMm,
    reach: { pawMm, sigmaMm: sigmaReach },
    misses: [
      ...(hasBand && !loop.ok ? [{ code: 'no-loop' as const, byMm: loop.leastMm - loop.mostMm }] : []),
      ...(hasBand && boneMm < BONE_MM ? [{ code: 'no-bone-for-band' as const, byMm: BONE_MM - boneMm }] : []),
      ...(boneMm < 0 ? [{ code: 'keel-past-sternum' as const, byMm: -boneMm }] : []),
    ],
  }
}
