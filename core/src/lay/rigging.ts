import { LAST_CUT, sectionAt, SKIN_ROW, type Form, type Point3, type Trunk } from '../form/index.ts'
import { families, type StrapRig, type RigNode, type RigStrap } from '../gear/index.ts'
import type { FamilyId } from '../model/index.ts'
import { arcTo, cutAtArc, midline, midPoint, speedAt, type Midline } from './midline.ts'
import { ANGLE, angleInto, POINT, pointInto, SECTION, sectionInto } from './skin-point.ts'
import { pullAlong, pullAround, stringAlong, stringAround, type TautString } from './taut-string.ts'

const QUARTER = Math.PI / 2
export const WITHERS = SKIN_ROW.indexOf('withers')
export const GIRTH = SKIN_ROW.indexOf('girth')
export const STERNUM_END = SKIN_ROW.indexOf('sternumEnd')

/** Nobody knows how taut a hand lays the tape at the neck: a taut ring is counted a little longer. Ours, unverified. */
export const RING_LAID = 1.006

/** A neck ring that nothing draws is held open by its padding and the coat: slack it lies higher than under load (handbook 7.2). Ours. */
export const STANDS_OFF = 0.012

/** Angles on their rings of what hangs on others: upper and lower trace, the ends of a chest strap. Ours. */
const COLLAR_UPPER = 0.35
const COLLAR_LOWER = -0.55
const JOIN = -0.1

/** Where ends in the air begin, shares of the back length below and behind the tail. Ours, unverified (a bar: until a load is known). */
const BELOW_TAIL = { below: 0.14, behind: 0.02 }
const BEHIND_THIGHS = { below: 0.34, behind: 0.06 }
const BAR_BEHIND = 1 / 3

/** One thing a node can move by; scaled to millimetres. */
export interface Unknown {
  node: RigNode
  by: 'cut' | 'angle' | 'way'
  /** Millimetres a unit, where a lay begins. */
  scale: number
  low: number
  high: number
}

/** Where a node is, and how its place follows the unknowns. */
export type Place =
  | { kind: 'skin'; cut: number; angle: number; byCut: readonly Slope[]; byAngle: readonly Slope[] }
  | { kind: 'air'; at: [number, number, number]; by: readonly { unknown: number; slope: [number, number, number] }[] }
interface Slope {
  unknown: number
  slope: number
}

/** A family's straps on one dog, ready to be seated. */
export interface Rigging {
  trunk: Trunk
  family: FamilyId
  rig: StrapRig
  over: Midline
  under: Midline
  unknowns: readonly Unknown[]
  /** Straps that bear; what hangs on others is measured, not seated. */
  bearing: readonly RigStrap[]
  strings: Map<string, TautString>
  /** By strap: how much longer than the form's its course is, by the tape that runs there. */
  bends: Readonly<Record<string, number>>
  /** What a ring goes round besides the skin: coat, and what is worn under it, mm. */
  ringOverMm: number
  /** A padded ring that nothing draws stands off a little all round, share of it. */
  standsOff: number
  riseRad: number
  /** Angle of a shaft loop on the girth ring. */
  loopAngle: number
  /** How near the tail base the way of a tug leaves the back, mm: it turns into the line without a corner. */
  turnMm: number
  /** The cut where it does. */
  endCut: number
}

/** Loops and what is tied to them hang on other straps: measured, not seated. */
const bears = ({ id, from }: RigStrap): boolean => id !== 'loopDrop' && from !== 'loop'

const UNDER: readonly RigNode[] = ['v', 'low', 'bellyLow', 'loopLow']
const OVER: readonly RigNode[] = ['top', 'girthTop', 'bellyTop']
/** Where nodes may go, cuts. */
const REACH: Partial<Record<RigNode, readonly [number, number]>> = {
  v: [0.15, 6],
  top: [0.15, 7.5],
  low: [3.2, 9],
  girthTop: [3.05, 10],
  bellyLow: [5.5, 10.5],
  bellyTop: [5, 10.8],
  rib: [4, 10.6],
  ring: [3.6, 8],
}
/** Where a lay begins, cuts; the side nodes with their angles. */
export const BEGIN: Partial<Record<RigNode, number>> = { v: 3.1, top: 2.95, low: 5.4, girthTop: 5.4, bellyLow: 7.6, bellyTop: 7.6, rib: 6.7, ring: 5.2 }
export const BEGIN_ANGLE: Partial<Record<RigNode, number>> = { rib: 0.05, ring: -0.15 }

/** The way of a tug turns from the back into the line over this share of the back length, before and behind the tail base. Ours. */
const TURN = 0.02

/** The rig of a harness. @throws RangeError for what has no straps to lay */
export function rigOf(family: FamilyId): StrapRig {
  const rig = families[family].rig
  if (!rig) throw new RangeError(`${family}: no straps to lay`)
  return rig
}

export interface RiggingOptions {
  bends?: Readonly<Record<string, number>>
  riseRad?: number
  overMm?: number
}

/** Puts a family's straps on a trunk. */
export function rigging(trunk: Trunk, form: Pick<Form, 'measures'>, family: FamilyId, { bends = {}, riseRad = 0, overMm = 0 }: RiggingOptions = {}): Rigging {
  const rig = rigOf(family)
  const [over, under] = [midline(trunk.skin, 'over'), midline(trunk.skin, 'under')]
  const nodes = [...new Set(rig.straps.filter(bears).flatMap(({ from, to }) => [from, to]))]
  const unknowns: Unknown[] = []
  for (const node of nodes) {
    const [low, high] = REACH[node] ?? [0, LAST_CUT]
    if (UNDER.includes(node)) unknowns.push({ node, by: 'cut', scale: speedAt(under, BEGIN[node] ?? 3), low, high })
    else if (OVER.includes(node)) unknowns.push({ node, by: 'cut', scale: speedAt(over, BEGIN[node] ?? 3), low, high })
    else if (node === 'rib' || node === 'ring') {
      const s = sectionAt(trunk.skin, BEGIN[node] ?? 6)
      unknowns.push({ node, by: 'cut', scale: speedAt(over, BEGIN[node] ?? 6), low, high })
      unknowns.push({ node, by: 'angle', scale: (s.tz - s.uz) / 2, low: -1.25, high: 1.4 })
    } else if (node === 'tug')
      unknowns.push({ node, by: 'way', scale: 1, low: (rig.end === 'tail' || rig.end === 'back' ? -0.85 : -0.12) * trunk.backMm, high: 1.5 * trunk.backMm })
  }
  const girth = sectionAt(trunk.skin, GIRTH + 0.3)
  const loopHeight = form.measures.M46?.mm ?? (girth.tz + girth.uz) / 2
  const share = (loopHeight - girth.uz) / (girth.tz - girth.uz) - girth.v
  return {
    trunk,
    family,
    rig,
    over,
    under,
    unknowns,
    bearing: rig.straps.filter(bears),
    strings: new Map(rig.straps.map(({ id, course }) => [id, course === 'around' ? stringAround() : stringAlong()])),
    bends,
    ringOverMm: 2 * Math.PI * (trunk.coatMm + overMm),
    standsOff: 0,
    riseRad,
    turnMm: TURN * trunk.backMm,
    endCut: cutAtArc(over, (over.arcs[LAST_CUT] as number) - TURN * trunk.backMm),
    loopAngle: Math.asin(Math.max(-0.95, Math.min(0.95, share / (share >= 0 ? 1 - girth.v : girth.v)))),
  }
}

/** Where the way of the tug leaves from: `null` while it is on the topline. */
function airStart({ rig, trunk, riseRad }: Rigging): { at: [number, number, number]; along: [number, number, number] } {
  const { tail, hip } = trunk.sections
  const along: [number, number, number] = [-Math.cos(riseRad), 0, Math.sin(riseRad)]
  const back = trunk.backMm
  if (rig.end === 'below-tail') return { at: [tail.tx - BELOW_TAIL.behind * back, 0, tail.tz - BELOW_TAIL.below * back], along }
  if (rig.end === 'behind-thighs') return { at: [tail.tx - BEHIND_THIGHS.behind * back, 0, tail.tz - BEHIND_THIGHS.below * back], along }
  if (rig.end === 'bar') {
    const height = Math.min(...[trunk.landmarks.L05?.[2], trunk.landmarks.L06?.[2]].filter((each) => each !== undefined), tail.tz)
    return { at: [tail.tx - BAR_BEHIND * back, hip.w, height], along }
  }
  return { at: [tail.tx, 0, tail.tz], along }
}

const unknownOf = (unknowns: readonly Unknown[], node: RigNode, by: Unknown['by']): number => unknowns.findIndex((each) => each.node === node && each.by === by)

/** Where a node is with the unknowns as they stand (scaled to mm). */
export function placeOf(rigging: Rigging, q: Float64Array, node: RigNode): Place {
  const { unknowns, over } = rigging
  const value = (i: number): number => (q[i] as number) / (unknowns[i] as Unknown).scale
  const cut = unknownOf(unknowns, node, 'cut')
  const slope = (i: number, by = 1): Slope => ({ unknown: i, slope: by / (unknowns[i] as Unknown).scale })
  if (node === 'tug') {
    const way = unknownOf(unknowns, 'tug', 'way')
    const t = value(way)
    const onBack = rigging.rig.end === 'tail' || rigging.rig.end === 'back'
    const turn = rigging.turnMm
    if (onBack && t <= -turn) {
      const at = cutAtArc(over, (over.arcs[LAST_CUT] as number) + t)
      return { kind: 'skin', cut: at, angle: QUARTER, byCut: [slope(way, 1 / speedAt(over, Math.min(at, LAST_CUT - 1e-9)))], byAngle: [] }
    }
    const { at, along } = airStart(rigging)
    if (onBack && t < turn) {
      const from = midPoint(over, rigging.endCut)
      const share = (t + turn) / (2 * turn)
      const mix = (i: 0 | 1 | 2): number => (1 - share) ** 2 * from[i] + 2 * share * (1 - share) * at[i] + share ** 2 * (at[i] + turn * along[i])
      const by = (i: 0 | 1 | 2): number => ((1 - share) * (at[i] - from[i]) + share * turn * along[i]) / turn
      return { kind: 'air', at: [mix(0), mix(1), mix(2)], by: [{ unknown: way, slope: [by(0), by(1), by(2)] }] }
    }
    return { kind: 'air', at: [at[0] + t * along[0], at[1], at[2] + t * along[2]], by: [{ unknown: way, slope: along }] }
  }
  if (UNDER.includes(node) && cut >= 0) return { kind: 'skin', cut: value(cut), angle: -QUARTER, byCut: [slope(cut)], byAngle: [] }
  if (OVER.includes(node) && cut >= 0) return { kind: 'skin', cut: value(cut), angle: QUARTER, byCut: [slope(cut)], byAngle: [] }
  if (node === 'rib' || node === 'ring') {
    const angle = unknownOf(unknowns, node, 'angle')
    return { kind: 'skin', cut: value(cut), angle: value(angle), byCut: [slope(cut)], byAngle: [slope(angle)] }
  }
  if (node === 'loopLow') return { kind: 'skin', cut: STERNUM_END - 0.35, angle: -QUARTER, byCut: [], byAngle: [] }
  // On a ring between a node below and one above, as far up as its angle says.
  const [below, above, angle]: [RigNode, RigNode, number] =
    node === 'collarUpper'
      ? ['v', 'top', COLLAR_UPPER]
      : node === 'collarLower'
        ? ['v', 'top', COLLAR_LOWER]
        : ['low', 'girthTop', node === 'loop' ? rigging.loopAngle : JOIN]
  const [a, b] = [unknownOf(unknowns, below, 'cut'), unknownOf(unknowns, above, 'cut')]
  const share = (angle + QUARTER) / Math.PI
  return { kind: 'skin', cut: value(a) * (1 - share) + value(b) * share, angle, byCut: [slope(a, 1 - share), slope(b, share)], byAngle: [] }
}

const section = new Float64Array(SECTION)
const point = new Float64Array(POINT)
const turn = new Float64Array(ANGLE)

/** The point of a place, mm. */
export function pointAt(rigging: Rigging, place: Place): Point3 {
  if (place.kind === 'air') return place.at
  sectionInto(rigging.trunk.skin, Math.max(0, Math.min(LAST_CUT, place.cut)), section, 0)
  angleInto(place.angle, turn, 0)
  pointInto(section, 0, turn, 0, point, 0, true)
  return [point[0] as number, point[1] as number, point[2] as number]
}

/** What goes between the forelegs: a side strap that starts under the breast, not one that goes over the shoulder. */
const isBetweenLegs = ({ id, to }: RigStrap): boolean => id === 'side' && to !== 'girthTop'

/**
 * Length of a strap's course as the unknowns stand, and its slopes added to a row.
 *
 * @param row slopes by the unknowns; added to
 */
export function courseOf(rigging: Rigging, strap: RigStrap, q: Float64Array, row: Float64Array | null): number {
  const { trunk, over, under, strings, bends, ringOverMm } = rigging
  const [a, b] = [placeOf(rigging, q, strap.from), placeOf(rigging, q, strap.to)]
  const bend = bends[strap.id] ?? 1
  const add = (slopes: readonly Slope[], by: number): void => {
    if (row) for (const { unknown, slope } of slopes) row[unknown] = (row[unknown] as number) + by * slope
  }
  if (strap.course === 'under' || strap.course === 'over') {
    const line = strap.course === 'under' ? under : over
    if (a.kind !== 'skin') return 0
    if (b.kind === 'air') {
      // Past the tail: along the back, then straight.
      const end = midPoint(over, rigging.endCut)
      const away = Math.hypot(b.at[0] - end[0], b.at[1] - end[1], b.at[2] - end[2])
      add(a.byCut, -bend * speedAt(line, a.cut))
      if (row && away > 1e-9)
        for (const { unknown, slope } of b.by)
          row[unknown] =
            (row[unknown] as number) + (bend * (slope[0] * (b.at[0] - end[0]) + slope[1] * (b.at[1] - end[1]) + slope[2] * (b.at[2] - end[2]))) / away
      return bend * (arcTo(line, rigging.endCut) - arcTo(line, a.cut) + away)
    }
    add(a.byCut, -bend * speedAt(line, a.cut))
    add(b.byCut, bend * speedAt(line, Math.min(b.cut, LAST_CUT - 1e-9)))
    return bend * (arcTo(line, b.cut) - arcTo(line, a.cut))
  }
  const string = strings.get(strap.id) as TautString
  if (strap.course === 'around') {
    if (a.kind !== 'skin' || b.kind !== 'skin') return 0
    if (!strap.ring) return partRing(rigging, a, b)
    pullAround(trunk.skin, string, a.cut, b.cut)
    const by = 2 * bend * (strap.id === 'neck' || strap.id === 'front' ? RING_LAID + rigging.standsOff : 1)
    add(a.byCut, by * string.slopes.fromCut)
    add(b.byCut, by * string.slopes.toCut)
    return by * string.length + ringOverMm * bend
  }
  if (strap.course === 'air') {
    const [p, r] = [pointAt(rigging, a), pointAt(rigging, b)]
    const away = Math.hypot(p[0] - r[0], p[1] - r[1], p[2] - r[2]) || 1e-9
    if (row && a.kind === 'skin') {
      const unit = [(p[0] - r[0]) / away, (p[1] - r[1]) / away, (p[2] - r[2]) / away] as const
      pointAt(rigging, a)
      const slopeBy = (o: number): number => unit[0] * (point[o] as number) + unit[1] * (point[o + 1] as number) + unit[2] * (point[o + 2] as number)
      add(a.byCut, bend * slopeBy(3))
      add(a.byAngle, bend * slopeBy(6))
      if (b.kind === 'air')
        for (const { unknown, slope } of b.by) row[unknown] = (row[unknown] as number) - bend * (unit[0] * slope[0] + unit[1] * slope[1] + unit[2] * slope[2])
    }
    return bend * away
  }
  if (a.kind !== 'skin') return 0
  // Along the body from the fore to the rear; a junction ahead of where it starts has no path to speak of.
  if (b.kind === 'air') {
    pullAlong(trunk.skin, string, a.cut, a.angle, rigging.endCut, QUARTER - 0.05, isBetweenLegs(strap), b.at)
    if (row)
      for (const { unknown, slope } of b.by)
        row[unknown] = (row[unknown] as number) + bend * (string.slopes.air[0] * slope[0] + string.slopes.air[1] * slope[1] + string.slopes.air[2] * slope[2])
  } else {
    pullAlong(trunk.skin, string, a.cut, a.angle, Math.max(b.cut, a.cut + 0.02), b.angle, isBetweenLegs(strap), null)
    add(b.byCut, bend * string.slopes.toCut)
    add(b.byAngle, bend * string.slopes.toAngle)
  }
  add(a.byCut, bend * string.slopes.fromCut)
  add(a.byAngle, bend * string.slopes.fromAngle)
  return bend * string.length
}

/** Part of a ring round one section, between two angles. */
function partRing(rigging: Rigging, a: Place & { kind: 'skin' }, b: Place & { kind: 'skin' }): number {
  const points = partRingPoints(rigging, a, b)
  return points
    .slice(1)
    .reduce((sum, p, i) => sum + Math.hypot(p[0] - (points[i] as Point3)[0], p[1] - (points[i] as Point3)[1], p[2] - (points[i] as Point3)[2]), 0)
}
export function partRingPoints(rigging: Rigging, a: Place & { kind: 'skin' }, b: Place & { kind: 'skin' }): Point3[] {
  return Array.from({ length: 13 }, (_, i) => {
    const share = i / 12
    return pointAt(rigging, { kind: 'skin', cut: a.cut + (b.cut - a.cut) * share, angle: a.angle + (b.angle - a.angle) * share, byCut: [], byAngle: [] })
  })
}

/** Unknowns from cuts, angles and ways by node. */
export function startOf({ unknowns }: Rigging, at: Partial<Record<RigNode, { cut?: number; angle?: number; way?: number }>>): Float64Array {
  return Float64Array.from(
    unknowns,
    ({ node, by, scale }) => (at[node]?.[by] ?? (by === 'cut' ? BEGIN[node] : by === 'angle' ? BEGIN_ANGLE[node] : 0) ?? 0) * scale,
  )
}
