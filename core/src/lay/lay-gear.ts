import { trunkOf, type Form, type Point3, type TrunkVariation } from '../form/index.ts'
import type { FigureId, RigNode, StrapId } from '../gear/index.ts'
import type { FamilyId } from '../model/index.ts'
import { bendsOf } from './bends.ts'
import { courseOfPoints, figuresOf } from './figures.ts'
import { hangsLoose, loaded, standsOffOf, type Load } from './load.ts'
import { courseOf, placeOf, pointAt, rigging, rigOf, startOf, type Rigging } from './rigging.ts'
import { seat } from './seat.ts'
import { spreadOf } from './spread.ts'

/** The line's direction: how far it rises from the dog, radians; minus falls. */
export interface Pull {
  riseRad: number
}

export interface LayQuestion {
  form: Form
  family: FamilyId
  /** Every strap of the family by id, mm: rings whole, the others one side. */
  straps: Readonly<Record<string, number>>
  /** `null`: slack. */
  pull: Pull | null
  /** Thickness of a coat worn under it, mm. */
  overMm?: number
  /** What each strap's length may be off by, mm. */
  strapSigmaMm?: Readonly<Record<string, number>>
  /** Leave the spreads out: for one size after another, or while a strap is dragged. */
  withoutSpread?: boolean
  /** Where a like lay came to rest: the search begins there. */
  near?: GearLay
}

export interface StrapLay {
  /** Left side, mm: x forward of the withers, y to the left, z above the floor. */
  points: Point3[]
  pathMm: number
  /** Strap left over. */
  spareMm: number
  taut: boolean
}

/** Where gear lies on a dog: a prediction. */
export interface GearLay {
  family: FamilyId
  settled: boolean
  nodes: Partial<Record<RigNode, { at: Point3; sigmaMm: number }>>
  straps: Partial<Record<StrapId, StrapLay>>
  figures: Partial<Record<FigureId, { mm: number; sigmaMm: number }>>
  /** Straps shorter than any path they could take. */
  short: { strap: StrapId; byMm: number }[]
  /** Where it came to rest, in the search's own numbers; slack, and now. */
  rest: { slack: Float64Array; now: Float64Array }
}

/** A strap within this of its course is taut; one past it by more is too short. */
const TAUT_MM = 0.5
const SHORT_MM = 1
const STEEPEST = Math.PI / 2

/** @throws RangeError naming the strap that is unknown, missing or no length */
export function askStraps(family: FamilyId, straps: Readonly<Record<string, number>>): void {
  const wanted: readonly string[] = rigOf(family).straps.map(({ id }) => id)
  for (const id of Object.keys(straps)) if (!wanted.includes(id)) throw new RangeError(`${family} has no strap ${id}`)
  for (const id of wanted) {
    const mm = straps[id]
    if (mm === undefined) throw new RangeError(`${family} wants its strap ${id}`)
    if (!Number.isFinite(mm) || mm <= 0) throw new RangeError(`${family}: strap ${id} is no length: ${mm}`)
  }
}

/**
 * Lays gear on a dog: taut strings between nodes that slide on the skin. With a pull its end goes as far along the line as
 * the straps let it; slack, rings hang by their own weight and the other straps lie straight.
 *
 * Friction, flesh, padding and a dog that stands otherwise are not in it: what it says is a prediction, a hand on the dog
 * decides. Method and constants: ours, unverified (decisions/0018).
 *
 * @throws RangeError for a family without straps, a strap unknown, missing or no number, a pull or a coat that is none
 */
export function layGear(question: LayQuestion, variations?: readonly TrunkVariation[]): GearLay {
  const { form, family, straps, pull, overMm = 0, strapSigmaMm = {}, withoutSpread = false, near } = question
  askStraps(family, straps)
  if (pull !== null && !(Number.isFinite(pull.riseRad) && Math.abs(pull.riseRad) < STEEPEST))
    throw new RangeError(`the pull rises by no angle below a right one: ${pull.riseRad}`)
  if (!Number.isFinite(overMm) || overMm < 0) throw new RangeError(`what is worn under it has no thickness ${overMm}`)
  const rig = rigOf(family)
  const bends = bendsOf(form, rig)
  const on = rigging(trunkOf(form), form, family, { bends: bends.by, riseRad: pull?.riseRad ?? 0, overMm })
  const known = near?.family === family && near.rest.slack.length === on.unknowns.length ? near.rest : null
  const slack = seat(loaded(on, straps, 'slack'), known?.slack ?? startOf(on, {}))
  const load: Load = pull ? 'pull' : 'slack'
  const rest = pull ? seat(loaded(on, straps, 'pull', slack.at), known?.now ?? pullStart(on, slack.at)) : slack
  const problem = loaded(on, straps, load, slack.at)
  const seated: Rigging = { ...on, standsOff: standsOffOf(on, load) }
  const evaluated = problem.evaluate(rest.at)
  const figures = figuresOf(on, rest.at, straps, evaluated.over)
  const laid: GearLay = {
    family,
    settled: rest.settled,
    nodes: {},
    straps: {},
    figures: {},
    short: [],
    rest: { slack: slack.at, now: rest.at },
  }
  for (const strap of rig.straps) {
    const pathMm = courseOf(seated, strap, rest.at, null)
    const spareMm = (straps[strap.id] as number) - pathMm
    const bears = on.bearing.includes(strap) && !(load === 'slack' && hangsLoose(on, strap))
    laid.straps[strap.id] = { points: courseOfPoints(on, strap, rest.at), pathMm, spareMm: Math.max(0, spareMm), taut: bears && spareMm < TAUT_MM }
    if (bears && spareMm < -SHORT_MM) laid.short.push({ strap: strap.id, byMm: -spareMm })
  }
  const spread = withoutSpread ? null : spreadOf(form, on, bends, straps, strapSigmaMm, load, slack.at, rest, variations)
  for (const node of new Set(rig.straps.flatMap(({ from, to }) => [from, to])))
    laid.nodes[node] = { at: pointAt(on, placeOf(on, rest.at, node)), sigmaMm: spread?.nodes[node] ?? 0 }
  for (const [id, mm] of Object.entries(figures) as [FigureId, number][]) laid.figures[id] = { mm, sigmaMm: spread?.figures[id] ?? 0 }
  return laid
}

/** A pull begins where it lay slack, its end near the tail. */
function pullStart(on: Rigging, slack: Float64Array): Float64Array {
  const out = slack.slice()
  on.unknowns.forEach(({ by }, i) => {
    if (by === 'way' && (on.rig.end === 'tail' || on.rig.end === 'back')) out[i] = on.rig.end === 'tail' ? 0 : (out[i] as number)
  })
  return out
}
