import { LAST_CUT, sectionAt, type Point3 } from '../form/index.ts'
import type { FigureId, RigNode, RigStrap } from '../gear/index.ts'
import { arcTo } from './midline.ts'
import { partRingPoints, placeOf, pointAt, RING_LAID, STERNUM_END, WITHERS, type Rigging } from './rigging.ts'
import { pointsOf, pullAround, stringAround, type TautString } from './taut-string.ts'

/** The foreleg's swing about the top of the blade, from behind to before. Ours, unverified. */
const SWING = [-14, -9, -4, 1, 6, 11, 16].map((degrees) => (degrees * Math.PI) / 180)

/** A strap's course as points, left side, from its first node. */
export function courseOfPoints(rigging: Rigging, strap: RigStrap, q: Float64Array): Point3[] {
  const [a, b] = [placeOf(rigging, q, strap.from), placeOf(rigging, q, strap.to)]
  if (strap.course === 'under' || strap.course === 'over') {
    if (a.kind !== 'skin') return []
    const to = b.kind === 'skin' ? b.cut : LAST_CUT
    const angle = strap.course === 'under' ? -Math.PI / 2 : Math.PI / 2
    const points = Array.from({ length: 11 }, (_, i) => pointAt(rigging, { kind: 'skin', cut: a.cut + ((to - a.cut) * i) / 10, angle, byCut: [], byAngle: [] }))
    return b.kind === 'air' ? [...points, b.at] : points
  }
  if (strap.course === 'air') return [pointAt(rigging, a), pointAt(rigging, b)]
  if (strap.course === 'around' && !strap.ring && a.kind === 'skin' && b.kind === 'skin') return partRingPoints(rigging, a, b)
  return pointsOf(rigging.strings.get(strap.id) as TautString)
}

/** Least distance from a place to a line of points. */
function nearest(at: Point3, points: readonly Point3[]): number {
  let best = Infinity
  for (let i = 1; i < points.length; i++) {
    const [a, b] = [points[i - 1] as Point3, points[i] as Point3]
    const d = [b[0] - a[0], b[1] - a[1], b[2] - a[2]] as const
    const size = d[0] * d[0] + d[1] * d[1] + d[2] * d[2] || 1e-12
    const t = Math.max(0, Math.min(1, ((at[0] - a[0]) * d[0] + (at[1] - a[1]) * d[1] + (at[2] - a[2]) * d[2]) / size))
    best = Math.min(best, Math.hypot(at[0] - a[0] - t * d[0], at[1] - a[1] - t * d[1], at[2] - a[2] - t * d[2]))
  }
  return best
}

/** x of a line of points at a height: where it first passes it going up. */
function xAtHeight(points: readonly Point3[], z: number): number | null {
  for (let i = 1; i < points.length; i++) {
    const [a, b] = [points[i - 1] as Point3, points[i] as Point3]
    if ((a[2] - z) * (b[2] - z) > 0 || a[2] === b[2]) continue
    return a[0] + ((b[0] - a[0]) * (z - a[2])) / (b[2] - a[2])
  }
  return null
}

const tight = new WeakMap<Rigging, TautString>()

/** The tight ring through the breastbone's lump, coat and all, as the straps are counted. */
export function neckRing(rigging: Rigging, strap: string): number {
  const string = tight.get(rigging) ?? stringAround()
  tight.set(rigging, string)
  pullAround(rigging.trunk.skin, string, WITHERS, null)
  return (2 * string.length * RING_LAID + rigging.ringOverMm) * (rigging.bends[strap] ?? 1)
}

/**
 * Figures of a lay; strings lie as they were last pulled.
 *
 * @param lengths straps by id, mm
 * @param over by how much each bearing strap's course is longer than the strap
 */
export function figuresOf(
  rigging: Rigging,
  q: Float64Array,
  lengths: Readonly<Record<string, number>>,
  over: ArrayLike<number>,
): Partial<Record<FigureId, number>> {
  const { trunk, rig, bearing } = rigging
  const out: Partial<Record<FigureId, number>> = {}
  const has = (node: RigNode): boolean => rigging.unknowns.some((each) => each.node === node)
  const cutAt = (node: RigNode): number | null => {
    if (!has(node)) return null
    const place = placeOf(rigging, q, node)
    return place.kind === 'skin' ? place.cut : null
  }
  const [v, top, low] = [cutAt('v'), cutAt('top'), cutAt('low')]
  if (v !== null) out.v = arcTo(rigging.under, WITHERS) - arcTo(rigging.under, v)
  if (top !== null) out.top = arcTo(rigging.over, WITHERS) - arcTo(rigging.over, top)
  if (low !== null) out.trueRib = arcTo(rigging.under, low) - arcTo(rigging.under, STERNUM_END)
  if (has('rib')) {
    const place = placeOf(rigging, q, 'rib')
    if (place.kind === 'skin') {
      const at = pointAt(rigging, place)
      const { tx, tz, ux, uz } = sectionAt(trunk.skin, place.cut)
      const share = ((at[0] - ux) * (tx - ux) + (at[2] - uz) * (tz - uz)) / ((tx - ux) ** 2 + (tz - uz) ** 2)
      out.ribs = trunk.ribEdgeMm(share) - at[0]
    }
  }
  const tug = rigging.unknowns.findIndex((each) => each.node === 'tug')
  if (tug >= 0) out.tug = q[tug]
  const points = (id: string): Point3[] => {
    const strap = rig.straps.find((each) => each.id === id)
    return strap ? courseOfPoints(rigging, strap, q) : []
  }
  const girthId = rig.straps.some(({ id }) => id === 'girth') ? 'girth' : 'cinch'
  const girth = points(girthId)
  const { L04, L05, L06, L07 } = trunk.landmarks
  if (girth.length > 0 && L06) {
    // Behind the sternum a ring may lie higher than the elbow all round: then its lowest place counts.
    const x = xAtHeight(girth, L06[2]) ?? (girth[0] as Point3)[0]
    out.elbow = L06[0] - x
  }
  if (L07) {
    const near: number[] = []
    if (girth.length > 0) {
      const x = xAtHeight(girth, L07[2]) ?? (girth[0] as Point3)[0]
      near.push((L07[0] >= x ? 1 : -1) * nearest(L07, girth))
    }
    const side = rig.straps.find(({ id }) => id === 'side')
    if (side && side.to !== 'girthTop') near.push(nearest(L07, points('side')))
    if (near.length > 0) out.armpit = Math.min(...near)
  }
  const front = rig.straps.find(({ id, course }) => (id === 'neck' || id === 'front') && course === 'around')
  if (front && L04 && L05) {
    const strap = points(front.id)
    const [x, z] = [L05[0] - L04[0], L05[2] - L04[2]]
    out.blade = Math.min(
      ...SWING.map((turn) => nearest([L04[0] + x * Math.cos(turn) - z * Math.sin(turn), L05[1], L04[2] + x * Math.sin(turn) + z * Math.cos(turn)], strap)),
    )
  }
  if (front && front.to === 'top') out.neckRoom = (lengths[front.id] as number) - neckRing(rigging, front.id)
  bearing.forEach(({ id }, e) => {
    if (id === girthId) out.girthRoom = -(over[e] as number)
    if (id === 'belly') out.bellyRoom = -(over[e] as number)
  })
  return out
}
