import { item, nth } from './dense.ts'
import type { Kind } from './about.ts'
import type { Ears } from './build-types.ts'
import { innovate, merged, movedMean, narrowed, shares, type Bell } from './gaussian.ts'
import { weigh, type LeftOut, type Weighed } from './mixture.ts'
import { hold, PARAMETERS } from './parameters.ts'
import type { Component } from './prior.ts'
import { noiseOf, type Row } from './readings.ts'
import { slopes } from './tangent.ts'
import type { Lays } from './routes.ts'
import { shapeOf, type Traits } from './shape.ts'
import { laysFor, logTapes } from './tapes.ts'

/** A solved form before it is dressed for the outside. */
export interface Fit {
  x: Float64Array
  covariance: Float64Array
  traits: Traits
  rows: readonly Row[]
  leftOut: LeftOut[]
  weights: number[]
  /** Sum of squared deviations of the readings from what the prior expected, whitened; and how many there were. */
  chi2: number
  dof: number
}

const N = PARAMETERS
const STEP_CAP = 3
const TURNS = 5
const SETTLED = 1e-4
/** A reading further off than this pulls the form less, so that the drawing stays a dog. Ours. */
const OUTLYING = 4

const zeroFit = (bell: Bell, traits: Traits, weights: number[]): Fit => ({
  x: bell.mean,
  covariance: bell.covariance,
  traits,
  rows: [],
  leftOut: [],
  weights,
  chi2: 0,
  dof: 0,
})

/** Ears: the breed's; else as the readings say (tips over the skull or not); else hanging, so that a dog of no known breed looks the same every day. */
function earsOf(kind: Kind, rows: readonly Row[]): Ears {
  const read = (id: string): number | undefined => rows.find((row) => row.measure === id)?.log
  const [tip, skull] = [read('M40'), read('M39')]
  if (kind.ears) return kind.ears
  if (tip !== undefined && skull !== undefined) return tip - skull > 0.03 ? 'erect' : 'drop'
  return 'drop'
}

const largest = <T>(list: readonly T[], by: (item: T, i: number) => number): T | undefined =>
  list.reduce<{ item: T; value: number } | undefined>((best, item, i) => {
    const value = by(item, i)
    return !best || value > best.value ? { item, value } : best
  }, undefined)?.item

/** Kinds weighed along their own tangents, each at its own mean. */
function weighAtMeans(components: readonly Component[], rows: readonly Row[], noise: Float64Array): Weighed {
  return weigh(
    components,
    (i) => rows.map((row) => (components[i] as Component).tangent.row(row.measure)),
    (i) => {
      const { tangent, mean } = components[i] as Component
      return Float64Array.from(rows, (row) => row.log - tangent.valueAt(mean, row.measure))
    },
    noise,
  )
}

/** Kinds weighed once more, along the tangent found: those far from their own means are judged by it better. */
function weighAtSolution(components: readonly Component[], solved: Solved, rows: readonly Row[], noise: Float64Array): Weighed {
  return weigh(
    components,
    () => solved.slopes,
    (i) => backTo(solved, rows, (components[i] as Component).mean),
    noise,
  )
}

/** The kinds merged by their weights, and how much less each reading counts. */
interface Footing {
  weighed: Weighed
  bell: Bell
  inflate: number[]
}

const footingOn = (components: readonly Component[], weighed: Weighed): Footing => ({
  weighed,
  bell: merged(components, weighed.weights),
  inflate: outlying(weighed.leftOut),
})

/** Do the kinds or the readings count so differently now that it is worth solving again? */
function hasShifted(before: Footing, now: Footing): boolean {
  const moved = Math.max(...now.weighed.weights.map((weight, i) => Math.abs(weight - item(before.weighed.weights, i))))
  return moved > 0.05 || now.inflate.some((value, i) => Math.abs(Math.log(value / item(before.inflate, i))) > 0.3)
}

/**
 * Whitened Gauss-Newton in the dual form (as many unknowns as readings), over the kinds merged into one bell by their
 * weights. Kinds are weighed first along their own tangents, then again along the tangent at the solution.
 */
export function fit(components: readonly Component[], kind: Kind, rows: readonly Row[]): Fit {
  const traits: Traits = { ears: earsOf(kind, rows), sex: kind.sex }
  if (rows.length === 0) {
    const weights = shares(components.map((component) => component.logWeight))
    return zeroFit(merged(components, weights), traits, weights)
  }
  const noise = noiseOf(rows)
  let footing = footingOn(components, weighAtMeans(components, rows, noise))
  const lead = largest(components, (_, i) => item(footing.weighed.weights, i)) as Component
  let solved = descend(footing.bell, rows, noiseOf(rows, footing.inflate), traits, lead)
  let again = footingOn(components, weighAtSolution(components, solved, rows, noise))
  if (hasShifted(footing, again)) {
    footing = again
    solved = descend(footing.bell, rows, noiseOf(rows, footing.inflate), traits, lead, solved)
    again = footingOn(components, weighAtSolution(components, solved, rows, noise))
  }
  return fitOfSolution(solved, footing, again.weighed, rows, noise, traits)
}

/** What the solution says: place and spread with outlying readings pulling less, the misfit with all pulling alike. */
function fitOfSolution(
  solved: Solved,
  { bell, inflate }: Footing,
  { leftOut, weights }: Weighed,
  rows: readonly Row[],
  noise: Float64Array,
  traits: Traits,
): Fit {
  const off = backTo(solved, rows, bell.mean)
  const end = innovate(bell, solved.slopes, off, noiseOf(rows, inflate))
  const { chi2 } = innovate(bell, solved.slopes, off, noise)
  return { x: solved.x, covariance: narrowed(bell, end), traits, rows, leftOut, weights, chi2, dof: rows.length }
}

const outlying = (leftOut: readonly LeftOut[]): number[] => leftOut.map(({ t }) => (Math.abs(t) > OUTLYING ? Math.min(1e5, (t / 2) ** 2) : 1))

interface Solved {
  x: Float64Array
  values: Float64Array
  slopes: Float64Array[]
  lays: Lays
}

/** Reading minus what a mean would read along the tangent at the solution. */
function backTo(solved: Solved, rows: readonly Row[], mean: Float64Array): Float64Array {
  return Float64Array.from(rows, (row, i) => {
    const slope = solved.slopes[i] as Float64Array
    let sum = row.log - nth(solved.values, i)
    for (let k = 0; k < N; k++) sum += nth(slope, k) * (nth(solved.x, k) - nth(mean, k))
    return sum
  })
}

function descend(bell: Bell, rows: readonly Row[], noise: Float64Array, traits: Traits, lead: Component, from?: Solved): Solved {
  const ids = rows.map((row) => row.measure)
  const unique = [...new Set(ids)]
  const at = (x: Float64Array, lays: Lays): Lays => laysFor(shapeOf(x, traits), unique, lays)
  const spread = (values: Float64Array): Float64Array => Float64Array.from(ids, (id) => values[unique.indexOf(id)] ?? 0)
  let x = from?.x ?? bell.mean
  // The likeliest kind's tangent serves for the first step; it costs nothing.
  let slope = from?.slopes ?? ids.map((id) => lead.tangent.row(id))
  let lays = from?.lays ?? lead.tangent.lays
  let values = from?.values ?? spread(logTapes(x, traits, unique, lays))
  for (let turn = 0; turn < TURNS; turn++) {
    const residual = Float64Array.from(rows, (row, i) => {
      const own = slope[i] as Float64Array
      let sum = row.log - nth(values, i)
      for (let k = 0; k < N; k++) sum += nth(own, k) * (nth(x, k) - nth(bell.mean, k))
      return sum
    })
    const wanted = movedMean(bell, innovate(bell, slope, residual, noise))
    const next = hold(withinOneStep(bell, x, wanted))
    const size = Math.max(...next.map((value, k) => Math.abs(value - nth(x, k)) / Math.sqrt(nth(bell.covariance, k * N + k))))
    x = next
    lays = at(x, lays)
    if (size < SETTLED && turn > 0) {
      values = spread(logTapes(x, traits, unique, lays))
      break
    }
    if (turn < 2 || size > 0.3) {
      const here = slopes(x, traits, unique, lays)
      values = spread(here.values)
      slope = ids.map((id) => here.rows[unique.indexOf(id)] as Float64Array)
    } else values = spread(logTapes(x, traits, unique, lays))
  }
  return { x, values, slopes: slope, lays }
}

/** No parameter moves more than three of its deviations in one step. */
function withinOneStep(bell: Bell, from: Float64Array, to: Float64Array): Float64Array {
  let most = 0
  for (let k = 0; k < N; k++) most = Math.max(most, Math.abs(nth(to, k) - nth(from, k)) / Math.sqrt(nth(bell.covariance, k * N + k)))
  const by = most > STEP_CAP ? STEP_CAP / most : 1
  return from.map((value, k) => value + by * (nth(to, k) - value))
}
