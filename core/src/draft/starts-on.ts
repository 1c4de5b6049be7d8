import { cutOn, type Trunk, type UprightCut } from '../form/index.ts'
import type { DraftPart } from './draft-parts.ts'

type Point = readonly [x: number, y: number, z: number]
type Half = readonly (readonly [number, number])[]

/** What straps are laid on: a trunk and the places they go by, mm. */
export interface Ground {
  trunk: Trunk
  cut: (xMm: number) => UprightCut | null
  lump: Point
  sternum: Point
  elbow: Point
  ribX: number
  /** The widest of the shoulder, outside. */
  span: Point
  backMm: number
}

/** What does not change while a form may yet differ. */
export interface Known {
  /** Behind the elbow. */
  gapMm: number
  /** Reach of a hind paw behind the tail, and its spread, shares of the back length. */
  pawShare: number
  sigmaReachShare: number
  hitchMm: number
  loopMm: number
  /** Strap that the fingers under it want. */
  slackMm: { neck: number; cinch: number; belly: number }
  /** Tapes that were read, and what the form has for those that were not. */
  readMm: Readonly<Record<string, number | null>>
  formMm: Readonly<Record<string, number | null>>
}

/** Strap’s half width. From memory, unverified. */
const HALF_STRAP_MM = 12.5
/** The bar stays this far behind a paw’s rearmost (handbook 7.2, S44, from memory, unverified). */
const CLEAR_MM = 100
/** Clear of the hip, share of the back length and at most. Ours. */
const HIP = { share: 0.07, mostMm: 40 }

/** @param ribX the last rib of the form itself; another trunk’s moves as the edge of its ribs does */
export function groundOf(trunk: Trunk, ribX: number, base: Trunk): Ground {
  const { landmarks, sections } = trunk
  const [lump, sternum, elbow] = [landmarks.L01, landmarks.L02, landmarks.L06]
  if (!lump || !sternum || !elbow) throw new RangeError('form: it has no trunk to lay straps on')
  const { withers } = sections
  const EDGE = 0.4
  return {
    trunk,
    cut: (xMm) => cutOn(trunk, xMm),
    lump,
    sternum,
    elbow,
    ribX: ribX + trunk.ribEdgeMm(EDGE) - base.ribEdgeMm(EDGE),
    span: [(withers.tx + withers.ux) / 2, withers.w, (withers.tz + withers.uz) / 2],
    backMm: sections.withers.tx - sections.tail.tx,
  }
}

export interface Starts {
  straps: Record<DraftPart, number>
  cinchX: number
  shoulderMm: number
  outMm: number
  halfBarMm: number
  barBehindTailMm: number
  neckHalf: Half
  cinchHalf: Half
  bandHalf: Half
  places: DraftPlaces
}

/** Where the straps run on the body, in the form’s axes, the left side of what is paired, mm. */
export interface DraftPlaces {
  /** Where upper and lower traces leave the neck piece. */
  upper: Point
  lower: Point
  /** Side ring, where the primaries meet the rear trace. */
  ring: Point
  /** The cinch, from back to breastbone; the belly band; where the loop hangs. */
  cinch: { xMm: number; topMm: number; underMm: number }
  band: { xMm: number; topMm: number; underMm: number }
  loop: { xMm: number; zMm: number }
  withers: { xMm: number; zMm: number }
}

const apart = (a: Point, b: Point): number => Math.hypot(a[0] - b[0], a[1] - b[1], a[2] - b[2])
const widest = (half: Half): number => half.reduce((most, [y]) => Math.max(most, y), 20)

/** Length along a section’s half from the topline down to a height. */
function downTo(half: Half, zMm: number): number {
  let long = 0
  for (let i = 1; i < half.length; i++) {
    const [[y0, z0], [y1, z1]] = [half[i - 1] as readonly [number, number], half[i] as readonly [number, number]]
    const step = Math.hypot(y1 - y0, z1 - z0)
    if (z1 <= zMm) return long + (z0 > z1 ? step * Math.min(1, Math.max(0, (z0 - zMm) / (z0 - z1))) : 0)
    long += step
  }
  return long
}

/**
 * Lengths of a drafting harness’s straps on one trunk.
 *
 * @param halfBarMm the bar where it is settled; `null`: wide enough to clear the hip
 * @throws RangeError where a strap has no section to lie on
 */
export function startsOn(ground: Ground, known: Known, halfBarMm: number | null): Starts {
  const { lump, sternum, elbow, span, trunk } = ground
  const { withers, tail } = trunk.sections
  const of = (id: string, otherwise: number): number => known.readMm[id] ?? known.formMm[id] ?? otherwise
  const cinchX = elbow[0] - known.gapMm - HALF_STRAP_MM
  const bandX = Math.min(cinchX - 20, sternum[0] + HALF_STRAP_MM)
  const [cinch, band] = [ground.cut(cinchX), ground.cut(bandX)]
  if (!cinch || !band) throw new RangeError('form: no section at the cinch')
  const shoulderMm = of('M46', (trunk.sections.withers.tz + trunk.sections.withers.uz) / 2)

  const barBehindTailMm = (known.pawShare + known.sigmaReachShare) * ground.backMm + CLEAR_MM
  const barX = tail.tx - barBehindTailMm
  // The ring lies half-way from the cinch to the last rib, on the line from between the primaries’ ends to the bar.
  const ringX = (cinchX + ground.ribX) / 2
  const from = [(span[0] + lump[0]) / 2, (span[2] + lump[2]) / 2] as const
  const ringZ = from[1] + ((known.hitchMm - from[1]) * (from[0] - ringX)) / (from[0] - barX)
  const outMm = widest((ground.cut(ringX) ?? cinch).half)
  const ring: Point = [ringX, outMm, ringZ]
  const halfBar = halfBarMm ?? clearOfHip(ground, outMm, ringX, barX)

  const underlineMm = Math.hypot(lump[0] - cinchX, lump[2] - cinch.underMm)
  const low: Point = [cinchX, 0, cinch.underMm]
  return {
    straps: {
      neck: of('M01', 500) + known.slackMm.neck,
      keel: Math.min(underlineMm, of('M06', underlineMm)),
      back: Math.hypot(withers.tx - cinchX, withers.tz - cinch.topMm),
      upper: apart([span[0], Math.abs(span[1]), span[2]], ring),
      lower: apart(lump, low) + apart(low, ring),
      cinch: cinch.ringMm + known.slackMm.cinch,
      loopDrop: downTo(cinch.half, shoulderMm),
      loop: known.loopMm,
      belly: band.ringMm + known.slackMm.belly,
      rear: known.readMm.M47 ?? apart(ring, [barX, halfBar, known.hitchMm]),
    },
    cinchX,
    shoulderMm,
    outMm,
    halfBarMm: halfBar,
    barBehindTailMm,
    neckHalf: (halfBarMm === null ? ground.cut(withers.tx - 1) : null)?.half ?? cinch.half,
    cinchHalf: cinch.half,
    bandHalf: band.half,
    places: {
      upper: [span[0], Math.abs(span[1]), span[2]],
      lower: [lump[0], outMm * 0.5, lump[2]],
      ring,
      cinch: { xMm: cinchX, topMm: cinch.topMm, underMm: cinch.underMm },
      band: { xMm: bandX, topMm: band.topMm, underMm: band.underMm },
      loop: { xMm: cinchX, zMm: shoulderMm },
      withers: { xMm: withers.tx, zMm: withers.tz },
    },
  }
}

/** Half a bar wide enough that the line from the ring clears the hip. */
function clearOfHip({ trunk, backMm, cut }: Ground, outMm: number, ringX: number, barX: number): number {
  const hipX = trunk.sections.tail.tx + 0.08 * backMm
  const hipOut = Math.max(outMm * 0.6, widest(cut(hipX)?.half ?? [])) + Math.min(HIP.mostMm, HIP.share * backMm)
  return Math.max(outMm * 0.5, outMm + ((hipOut - outMm) * (ringX - barX)) / (ringX - hipX))
}
