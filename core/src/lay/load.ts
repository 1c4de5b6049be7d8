import type { StrapRig, RigNode } from '../gear/index.ts'
import { arcTo, midPoint, speedAt } from './midline.ts'
import { courseOf, placeOf, STANDS_OFF, startOf, type Rigging } from './rigging.ts'
import type { Evaluated, SeatProblem } from './seat.ts'

/** Slack, or with the line tight: a pulling end goes as far along it as the straps let it, a lead draws on the back ring. */
export type Load = 'slack' | 'pull'

/** What friction holds against a lead or a line at the shoulder, forces a back length: the front piece and the girth strap stay near where they lay. Ours, unverified. */
const FRONT_STAYS = 100
const GIRTH_STAYS = 8
/** How far the front piece goes down the breastbone for a millimetre more of ring, about. Ours. */
const CLOSES = 0.9
/** Straps that nothing else draws lie straight: a small force rearward. Ours. */
const STRAIGHT = 0.03
/** Ends of a ring that no strap leads stay over each other; forces a back length. Ours. */
const UPRIGHT = 2
/** The end of slack pulling gear lies at mid-back and is not judged. */
const MID_BACK = -0.5

/** Only pulling gear is padded all round. */
export const standsOffOf = ({ rig }: Rigging, load: Load): number => (load === 'slack' && rig.end !== null ? STANDS_OFF : 0)

/** Of slack pulling gear only the neck is judged: its sides and its end draw on nothing, and lie anywhere (handbook 7.2). */
const sleeps = ({ end }: StrapRig): boolean => end !== null && end !== 'girth-top' && end !== 'bar'
export const hangsLoose = ({ rig }: Rigging, { from, to }: { from: RigNode; to: RigNode }): boolean =>
  from === 'tug' || to === 'tug' || (sleeps(rig) && (from === 'rib' || to === 'rib'))

interface Term {
  node: RigNode
  /** Force along its line, towards the tail. */
  force?: number
  /** Force downwards. */
  weight?: number
  /** Forces a back length from where it lay, and that place, arc length. */
  stays?: number
  at?: number
  /** Stays over or under another. */
  over?: RigNode
}

const onMidline = (node: RigNode): 'under' | 'over' | null =>
  node === 'v' || node === 'low' || node === 'bellyLow' ? 'under' : node === 'top' || node === 'girthTop' || node === 'bellyTop' ? 'over' : null

const has = (rigging: Rigging, node: RigNode): boolean => rigging.unknowns.some((each) => each.node === node)

/** Nodes of a ring that no strap along the midline leads. */
function loose({ bearing }: Rigging): RigNode[] {
  const led = new Set(bearing.filter(({ course }) => course === 'under' || course === 'over' || course === 'along').flatMap(({ from, to }) => [from, to]))
  return (['low', 'girthTop', 'bellyLow', 'bellyTop'] as const).filter((node) => bearing.some(({ from, to }) => from === node || to === node) && !led.has(node))
}

function termsOf(rigging: Rigging, lengths: Readonly<Record<string, number>>, load: Load, slackAt: Float64Array | null): Term[] {
  const { rig } = rigging
  const terms: Term[] = []
  const neck = rig.straps.find(({ id, course }) => (id === 'neck' || id === 'front') && course === 'around')
  const partner: Partial<Record<RigNode, RigNode>> = { low: 'girthTop', girthTop: 'low', bellyLow: 'bellyTop', bellyTop: 'bellyLow' }
  const free = loose(rigging)
  for (const node of free) terms.push({ node, over: partner[node] })
  const straight = (['low', 'girthTop', 'bellyLow', 'bellyTop', 'rib'] as const).filter(
    (node) => has(rigging, node) && !free.includes(node) && !(load === 'slack' && node === 'rib'),
  )
  if (load === 'slack') {
    if (neck?.to === 'top') terms.push({ node: 'v', weight: 0.5 }, { node: 'top', weight: 0.5 })
    else terms.push({ node: 'v', stays: FRONT_STAYS })
    for (const node of straight) terms.push({ node, force: STRAIGHT })
    return terms
  }
  for (const node of straight) terms.push({ node, force: STRAIGHT })
  const led = rig.end === null || rig.end === 'girth-top'
  terms.push({ node: led ? 'girthTop' : 'tug', force: 1 })
  if (led || rig.end === 'bar') {
    // Under a line the ring is drawn close again, and the front piece lies as much lower.
    const neckMm = neck && rig.end !== null ? (lengths[neck.id] as number) : 0
    const { at } = placed(rigging, 'v', slackAt)
    terms.push({ node: 'v', stays: FRONT_STAYS, ...(at === undefined ? {} : { at: at + CLOSES * STANDS_OFF * neckMm }) })
    for (const node of ['low', 'bellyLow'] as const) if (has(rigging, node)) terms.push({ node, stays: GIRTH_STAYS, ...placed(rigging, node, slackAt) })
  }
  return terms
}

function placed(rigging: Rigging, node: RigNode, q: Float64Array | null): { at?: number } {
  if (!q) return {}
  const place = placeOf(rigging, q, node)
  return place.kind === 'skin' ? { at: arcTo(rigging.under, place.cut) } : {}
}

/**
 * The problem of seating a family's straps.
 *
 * @param lengths strap lengths by id, mm
 * @param slackAt where it lay slack: what a lead's friction holds it near
 */
export function loaded(given: Rigging, lengths: Readonly<Record<string, number>>, load: Load, slackAt: Float64Array | null = null): SeatProblem {
  const rigging: Rigging = { ...given, standsOff: standsOffOf(given, load) }
  const { unknowns, bearing, trunk, over, under } = rigging
  const terms = termsOf(rigging, lengths, load, slackAt)
  const n = unknowns.length
  const low = Float64Array.from(unknowns, (each) => each.low * each.scale)
  const high = Float64Array.from(unknowns, (each) => each.high * each.scale)
  const tug = unknowns.findIndex(({ node }) => node === 'tug')
  if (load === 'slack' && tug >= 0)
    low[tug] = high[tug] = rigging.rig.end === 'tail' || rigging.rig.end === 'back' ? MID_BACK * trunk.backMm : (low[tug] as number)
  const begin = startOf(rigging, {})
  // Where slack sides and traces meet nobody judges.
  if (load === 'slack')
    unknowns.forEach(({ node }, i) => (node === 'ring' || (node === 'rib' && sleeps(rigging.rig))) && (low[i] = high[i] = begin[i] as number))
  const arcOf = (node: RigNode, q: Float64Array): { arc: number; unknown: number; slope: number } => {
    const line = onMidline(node) === 'under' ? under : over
    const place = placeOf(rigging, q, node)
    if (place.kind !== 'skin') return { arc: 0, unknown: -1, slope: 0 }
    const unknown = unknowns.findIndex((each) => each.node === node && each.by === 'cut')
    const speed = speedAt(line, Math.max(0, place.cut))
    return { arc: arcTo(line, place.cut), unknown, slope: speed / (unknowns[unknown]?.scale ?? 1) }
  }
  const evaluate = (q: Float64Array): Evaluated => {
    const gradient = new Float64Array(n)
    let value = 0
    const add = (i: number, by: number): void => {
      if (i >= 0) gradient[i] = (gradient[i] as number) + by
    }
    for (const { node, force, weight, stays, at, over: partner } of terms) {
      if (node === 'tug') {
        value -= (force ?? 0) * (q[tug] as number)
        add(tug, -(force ?? 0))
        continue
      }
      const line = onMidline(node) === 'under' ? under : over
      const { arc, unknown, slope } = arcOf(node, q)
      if (force !== undefined) {
        value -= force * arc
        add(unknown, -force * slope)
      }
      if (stays !== undefined) {
        const home = at ?? arcOf(node, begin).arc
        const away = arc - home
        value += (0.5 * stays * away * away) / trunk.backMm
        add(unknown, (stays * away * slope) / trunk.backMm)
      }
      if (weight !== undefined) {
        const cut = (q[unknown] as number) / (unknowns[unknown]?.scale ?? 1)
        value += weight * midPoint(line, cut)[2]
        const h = 1e-4
        add(unknown, (weight * (midPoint(line, cut + h)[2] - midPoint(line, cut - h)[2])) / (2 * h) / (unknowns[unknown]?.scale ?? 1))
      }
      if (partner !== undefined) {
        const mine = (q[unknown] as number) / (unknowns[unknown]?.scale ?? 1)
        const other = unknowns.findIndex((each) => each.node === partner && each.by === 'cut')
        const theirs = (q[other] as number) / (unknowns[other]?.scale ?? 1)
        const otherLine = onMidline(partner) === 'under' ? under : over
        const away = midPoint(line, mine)[0] - midPoint(otherLine, theirs)[0]
        const h = 1e-4
        const mineBy = (midPoint(line, mine + h)[0] - midPoint(line, mine - h)[0]) / (2 * h) / (unknowns[unknown]?.scale ?? 1)
        const theirsBy = (midPoint(otherLine, theirs + h)[0] - midPoint(otherLine, theirs - h)[0]) / (2 * h) / (unknowns[other]?.scale ?? 1)
        value += (0.5 * UPRIGHT * away * away) / trunk.backMm
        add(unknown, (UPRIGHT * away * mineBy) / trunk.backMm)
        add(other, (-UPRIGHT * away * theirsBy) / trunk.backMm)
      }
    }
    const m = bearing.length
    const course = new Float64Array(m)
    const rows = new Float64Array(m * n)
    bearing.forEach((strap, e) => {
      if (load === 'slack' && hangsLoose(rigging, strap)) {
        course[e] = -1
        return
      }
      course[e] = courseOf(rigging, strap, q, rows.subarray(e * n, (e + 1) * n)) - (lengths[strap.id] as number)
    })
    return { value, gradient, over: course, rows }
  }
  return { unknowns: n, straps: bearing.length, low, high, evaluate, sizeMm: trunk.backMm }
}
