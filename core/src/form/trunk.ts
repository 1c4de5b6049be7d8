import { item, nth } from './dense.ts'
import type { Form, Landmarks } from './form-type.ts'
import { strapLandmarks } from './landmarks-of.ts'
import { PARAMETERS, placeOf, proportionsOf, type ParameterName, type Proportions } from './parameters.ts'
import { shapeOf } from './shape.ts'
import { halfBetweenLegs, skinOf, skinOfStations, type Skin } from './skin.ts'
import { inMm } from './solve-form.ts'
import { ribArch, type Station } from './stations.ts'
import { laysFor, readTapes } from './tapes.ts'

/** What gear lies on, mm. */
export interface Trunk {
  skin: Skin
  backMm: number
  coatMm: number
  /** Sections straps are judged by. */
  sections: { withers: Station; tail: Station; hip: Station }
  landmarks: Landmarks
  /** The edge of the rib cage: x at a share of the way from underline (0) to topline (1). */
  ribEdgeMm: (share: number) => number
}

const ribEdge =
  (k: Proportions) =>
  (share: number): number =>
    ribArch(k, share) * k.back

/** The trunk of a solved form. */
export function trunkOf(form: Pick<Form, 'sections' | 'parameters' | 'landmarks'>): Trunk {
  const k = proportionsOf(form.parameters)
  const { withers, tail, hip } = form.sections
  return { skin: skinOf(form), backMm: k.back, coatMm: k.coat * k.back, sections: { withers, tail, hip }, landmarks: form.landmarks, ribEdgeMm: ribEdge(k) }
}

/** Parameters that move the trunk; head, legs below the elbow, tail and paws do not. */
const TRUNK: readonly ParameterName[] = [
  'back', 'depth', 'width', 'ahead', 'drop', 'sternum', 'rib', 'ribDepth', 'ribWidth', 'waistDepth', 'waistWidth', 'hipWidth', 'croup', 'loin', 'neckLength', 'neckAngle',
  'neckBase', 'collarDepth', 'collarWidth', 'elbow', 'elbowBack', 'elbowOver', 'shoulder', 'stance', 'forearm', 'exponent', 'coat',
] // prettier-ignore
/** A body varies with its parameters in shares; those that are none by a back length or a radian. */
const LEFT_OUT = 0.01

/**
 * The leading ways in which a form may yet differ, one standard deviation each: a pivoted factor of its covariance, cut
 * where what is left out is small.
 */
function leading(covariance: Float64Array, most: number): Float64Array[] {
  const places = TRUNK.map(placeOf)
  const n = places.length
  const rest = places.map((at) => nth(covariance, at * PARAMETERS + at))
  const whole = rest.reduce((sum, each) => sum + each, 0)
  const out: Float64Array[] = []
  while (out.length < most && rest.reduce((sum, each) => sum + Math.max(0, each), 0) > LEFT_OUT * whole) {
    const pivot = rest.indexOf(Math.max(...rest))
    const size = Math.sqrt(item(rest, pivot))
    if (!(size > 0)) break
    const column = new Float64Array(PARAMETERS)
    for (let i = 0; i < n; i++) {
      const at = places[i] as number
      let value = nth(covariance, at * PARAMETERS + (places[pivot] as number))
      for (const before of out) value -= nth(before, at) * nth(before, places[pivot] as number)
      column[at] = value / size
    }
    for (let i = 0; i < n; i++) rest[i] = Math.max(0, item(rest, i) - nth(column, places[i] as number) ** 2)
    out.push(column)
  }
  // What is left out is spread over what is kept: nobody is told less than there is.
  const left = rest.reduce((sum, each) => sum + Math.max(0, each), 0)
  const by = whole > left ? Math.sqrt(whole / (whole - left)) : 1
  return out.map((column) => column.map((value) => value * by))
}

export interface TrunkVariation {
  trunk: Trunk
  /** By how much the logarithms of the tapes asked for move with it. */
  logs: Record<string, number>
}

/**
 * The trunk as it may yet differ, a standard deviation in each of its leading directions: together they make the form's
 * own spread.
 *
 * @param ids tapes whose change is wanted too; the strings among them held still
 */
export function trunkVariations(form: Form, ids: readonly string[], most = 12): TrunkVariation[] {
  const base = shapeOf(form.parameters, form)
  const lays = laysFor(base, ids)
  const here = readTapes(base, ids, lays)
  return leading(form.covariance, most).map((column) => {
    const shape = shapeOf(
      form.parameters.map((value, i) => value + nth(column, i)),
      form,
    )
    const { k } = shape
    const sections = inMm(shape.stations, k.back)
    const there = readTapes(shape, ids, lays)
    return {
      trunk: {
        skin: skinOfStations(sections, halfBetweenLegs(k) * k.back),
        backMm: k.back,
        coatMm: k.coat * k.back,
        sections,
        landmarks: strapLandmarks(shape),
        ribEdgeMm: ribEdge(k),
      },
      logs: Object.fromEntries(ids.map((id, i) => [id, Math.log(nth(there, i) / nth(here, i))])),
    }
  })
}

/** What tapes would read on the form itself, mm, whatever was read. */
export function tapesOn(form: Form, ids: readonly string[]): Record<string, number> {
  const shape = shapeOf(form.parameters, form)
  const read = readTapes(shape, ids, laysFor(shape, ids))
  return Object.fromEntries(ids.map((id, i) => [id, nth(read, i)]))
}
