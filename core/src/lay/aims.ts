import { LAST_CUT, sectionAt, trunkOf, type Form } from '../form/index.ts'
import type { RigNode, StrapId } from '../gear/index.ts'
import type { FamilyId } from '../model/index.ts'
import { bendsOf } from './bends.ts'
import { neckRing } from './figures.ts'
import { loaded } from './load.ts'
import { arcTo, cutAtArc, cutNear } from './midline.ts'
import { courseOf, GIRTH, placeOf, pointAt, rigging, rigOf, startOf, WITHERS, type Rigging } from './rigging.ts'
import { seat } from './seat.ts'
import { POINT } from './skin-point.ts'
import { pullAlong, stringAlong } from './taut-string.ts'

/*
 * Where gear should lie, as lengths between places on the skin (handbook 7.2; millimetres ours, unverified): the V a
 * little under the lump, the top a little ahead of the withers, the junction on the last ribs and a little under the
 * straight tape, the end a hair short of the tail base.
 */
const V_UNDER_LUMP = 8
const TOP_AHEAD = 6
const AHEAD_OF_RIB_EDGE = 20
const UNDER_STRAIGHT = 0.06
const SHORT_OF_TAIL = 3
/** The piece has height: its upper edge lies this much over the V of its line. A giant’s is no higher, a toy’s is less. */
export const pieceHeightMm = (backMm: number): number => 12 * Math.min(1, Math.max(0.35, backMm / 540))
/** How far a lead lets the front piece climb, about. Ours. */
const CLIMBS = 7
const BEHIND_RIBS = 25
const QUARTER = Math.PI / 2

/** Room the straps of a ring are to leave, and how far behind the elbow its girth strap goes, mm. */
export interface AimRoom {
  neckMm: number
  /** No less and no more than this, wherever its front piece would lie. */
  neckLeastMm: number
  neckMostMm: number
  girthMm: number
  bellyMm: number
  behindElbowMm: number
}

export interface AimedLengths {
  straps: Record<StrapId, number>
  sigmaMm: Record<StrapId, number>
}

/** Millimetres of a middling dog, on this one: a toy’s aims are smaller. */
const scaled = (on: Rigging, mm: number): number => mm * Math.min(1.15, Math.max(0.35, on.trunk.backMm / 540))

/** Where the straight tape crosses a place ahead of the rib’s edge: a cut and an angle. */
function junction(on: Rigging): { cut: number; angle: number } {
  const string = stringAlong()
  const { skin, ribEdgeMm } = on.trunk
  const end = on.rig.end === 'below-tail' || on.rig.end === 'behind-thighs' ? placeOf(on, startOf(on, { tug: { way: 0 } }), 'tug') : null
  if (end?.kind === 'air') pullAlong(skin, string, WITHERS, -QUARTER, on.endCut, QUARTER - 0.05, true, end.at)
  else pullAlong(skin, string, WITHERS, -QUARTER, LAST_CUT, QUARTER, true, null)
  const ahead = (i: number): number => {
    const at = [0, 1, 2].map((k) => string.points[i * POINT + k] as number) as [number, number, number]
    const { tx, tz, ux, uz } = sectionAt(skin, string.cuts[i] as number)
    const share = ((at[0] - ux) * (tx - ux) + (at[2] - uz) * (tz - uz)) / ((tx - ux) ** 2 + (tz - uz) ** 2)
    return at[0] - ribEdgeMm(share) - scaled(on, AHEAD_OF_RIB_EDGE)
  }
  for (let i = 1; i < string.corners - (string.inAir ? 1 : 0); i++) {
    if ((string.cuts[i] as number) <= GIRTH || ahead(i) > 0) continue
    const [a, b] = [ahead(i - 1), ahead(i)]
    const t = a > 0 ? a / (a - b) : 0
    const mix = (row: Float64Array): number => (row[i - 1] as number) + ((row[i] as number) - (row[i - 1] as number)) * t
    return { cut: mix(string.cuts), angle: mix(string.angles) - UNDER_STRAIGHT }
  }
  return { cut: 7, angle: 0 }
}

/** The nodes’ aims, as unknowns. */
function aimsOf(on: Rigging, room: AimRoom): Float64Array {
  const { over, under, trunk, rig } = on
  const at: Partial<Record<RigNode, { cut?: number; angle?: number; way?: number }>> = {}
  const pulls = rig.end !== null
  at.v = { cut: cutAtArc(under, arcTo(under, WITHERS) + (pulls ? scaled(on, V_UNDER_LUMP) : 0)) }
  at.top = { cut: cutAtArc(over, arcTo(over, WITHERS) - (pulls ? scaled(on, TOP_AHEAD) : 0)) }
  at.rib = junction(on)
  const elbow = trunk.landmarks.L06
  const x = (elbow?.[0] ?? 0) - room.behindElbowMm
  at.low = { cut: cutNear(under, x, 3.3, 9) }
  at.girthTop = { cut: cutNear(over, x, 3.1, 10) }
  const behind = trunk.ribEdgeMm(0.5) - scaled(on, BEHIND_RIBS)
  at.bellyLow = { cut: cutNear(under, behind, 5.5, 10.5) }
  at.bellyTop = { cut: cutNear(over, behind, 5, 10.8) }
  at.tug = { way: rig.end === 'tail' ? -scaled(on, SHORT_OF_TAIL) : rig.end === 'back' ? -0.5 * trunk.backMm : 0 }
  return startOf(on, at)
}

/**
 * Strap lengths with which a family lies where it should on this dog, and what they may be off by.
 *
 * A pulling harness is sewn for the pull: lengths between its aims. Gear on rings is made with room: its neck hangs as its
 * room lets it, and the rest is measured from there.
 *
 * @param room strap over the tight ring, by ring, and the girth strap’s way behind the elbow, mm
 * @throws RangeError for a family without straps
 */
export function aimedLengths(form: Form, family: FamilyId, room: AimRoom): AimedLengths {
  const rig = rigOf(family)
  const bends = bendsOf(form, rig)
  const on = rigging(trunkOf(form), form, family, { bends: bends.by })
  let q = aimsOf(on, room)
  const roomOf = (id: StrapId): number => (id === 'girth' || id === 'cinch' ? room.girthMm : id === 'belly' ? room.bellyMm : 0)
  const front = rig.straps.find(({ id, course, to }) => (id === 'neck' || id === 'front') && course === 'around' && to === 'top')
  let neckMm: number | null = null
  if ((rig.end === null || rig.end === 'bar') && front) {
    // As long as its room says, it hangs lower than its tight ring lies; keel and back are measured from there.
    const tightMm = neckRing(on, front.id)
    const loose = Object.fromEntries(rig.straps.map(({ id }) => [id, 4 * on.trunk.backMm]))
    const hang = (mm: number) => seat(loaded(on, { ...loose, [front.id]: mm }, 'slack'), q)
    neckMm = tightMm + room.neckMm
    let hangs = hang(neckMm)
    // Its upper edge is to stay at the lump, and under it on a lead too.
    const low = placeOf(on, hangs.at, 'v')
    const under = low.kind === 'skin' ? arcTo(on.under, low.cut) - arcTo(on.under, WITHERS) : 0
    const missing = pieceHeightMm(on.trunk.backMm) + scaled(on, CLIMBS) - under
    if (rig.end === null && Math.abs(missing) > 1) {
      neckMm = tightMm + Math.max(room.neckLeastMm, Math.min(room.neckMostMm, room.neckMm + missing))
      hangs = hang(neckMm)
    }
    q = q.map((value, i) => (['v', 'top'].includes(on.unknowns[i]?.node ?? '') ? (hangs.at[i] as number) : value))
  }
  const straps = {} as Record<StrapId, number>
  const sigmaMm = {} as Record<StrapId, number>
  for (const strap of rig.straps) {
    const mm = strap === front && neckMm !== null ? neckMm : courseOf(on, strap, q, null) + (strap.ring ? roomOf(strap.id) : 0)
    straps[strap.id] = mm
    const tape = strap.tape ? form.measures[strap.tape] : undefined
    const share = tape ? Math.hypot(tape.sigmaMm / tape.mm, bends.share[strap.id] ?? 0) : 0.05
    sigmaMm[strap.id] = mm * (tape?.readMm === undefined ? share : (bends.share[strap.id] ?? share))
  }
  return { straps, sigmaMm }
}

/** The section a ring lies on, as a closed outline, mm: across and up. Where fingers are tried under it. */
export function outlineUnder(form: Form, family: FamilyId, ring: 'neck' | 'girth' | 'belly'): [number, number][] {
  const on = rigging(trunkOf(form), form, family)
  const q = aimsOf(on, { neckMm: 0, neckLeastMm: 0, neckMostMm: 0, girthMm: 0, bellyMm: 0, behindElbowMm: 50 })
  const node: RigNode = ring === 'neck' ? 'v' : ring === 'girth' ? 'low' : 'bellyLow'
  const place = on.unknowns.some((each) => each.node === node) ? placeOf(on, q, node) : null
  const cut = place?.kind === 'skin' ? place.cut : ring === 'neck' ? WITHERS : GIRTH
  const { ux, uz } = sectionAt(on.trunk.skin, cut)
  const half = Array.from({ length: 25 }, (_, i): [number, number] => {
    const p = pointAt(on, { kind: 'skin', cut, angle: -QUARTER + (Math.PI * i) / 24, byCut: [], byAngle: [] })
    return [p[1], Math.hypot(p[0] - ux, p[2] - uz)]
  })
  return [
    ...half,
    ...half
      .slice(1, -1)
      .reverse()
      .map(([y, z]): [number, number] => [-y, z]),
  ]
}
