import type { Body } from '../measures/index.ts'
import type { Build } from '../reference/index.ts'
import { kindOf, type About, type Kind } from './about.ts'
import { dotOf, item, nth, rowsTimes } from './dense.ts'
import { fit, type Fit } from './fit-form.ts'
import type { Form, FormMeasure } from './form-type.ts'
import { landmarksOf } from './landmarks-of.ts'
import { PARAMETERS, parameterNames, type ParameterName } from './parameters.ts'
import { priorFor } from './prior.ts'
import { DISCREPANCY, rowsFor, type EarlierVisit } from './readings.ts'
import type { Stations } from './stations.ts'
import { slopes } from './tangent.ts'
import { shapeOf } from './shape.ts'
import { defines, FORM_MEASURES, laysFor } from './tapes.ts'

const N = PARAMETERS

/** Solves and keeps what the cross-check needs too. */
export interface SolvedFit {
  fit: Fit
  kind: Kind
  names: Form['kinds'][number]['name'][]
  body: Body
  about: About | null
}

/** @param without a build the prior is not to know: how it does on dogs nobody listed is tried so */
export function fitOf(body: Body, about: About | null, earlier: readonly EarlierVisit[] = [], without: Build | null = null): SolvedFit {
  const kind = kindOf(about)
  const components = priorFor(kind, without)
  return { fit: fit(components, kind, rowsFor(body, kind, earlier)), kind, names: components.map(({ name }) => name), body, about }
}

/**
 * The tailor's form of one dog from whatever tapes exist.
 *
 * Maximum a posteriori over 41 parameters under a mixture of builds (docs/decisions/0009). Pure and deterministic; any
 * subset of readings will do, none included (then it is the breed's dog, or the middle one). Readings that are no
 * positive number are left out; contradictory ones give a finite form and a large `chi2`.
 *
 * @param body agreed values by measure, mm (M00: kg), with their standard deviations
 * @param about what is known of the dog beside its tapes
 * @param earlier visits before this one, with the days between
 */
export function solveForm(body: Body, about: About | null, earlier: readonly EarlierVisit[] = []): Form {
  const { fit: solved, kind, names } = fitOf(body, about, earlier)
  return formOf(solved, kind, names)
}

export function formOf(solved: Fit, kind: Kind, names: readonly Form['kinds'][number]['name'][]): Form {
  const { x, covariance, traits } = solved
  const shape = shapeOf(x, traits)
  const ids = FORM_MEASURES.filter((id) => defines(id, kind.sex))
  const lays = laysFor(shape, ids)
  const { values, rows } = slopes(x, traits, ids, lays)
  const spread = rowsTimes(rows, covariance, N)
  const read = new Map(solved.rows.filter((row) => row.visit === 0).map((row) => [row.measure, Math.exp(row.log)]))
  const measures = Object.fromEntries(
    ids.map((id, i): [string, FormMeasure] => {
      const mm = Math.exp(nth(values, i))
      const variance = Math.max(0, dotOf(spread[i] as Float64Array, rows[i] as Float64Array)) + DISCREPANCY ** 2
      const readMm = read.get(id)
      return [id, { mm, sigmaMm: mm * Math.sqrt(variance), taken: readMm !== undefined, ...(readMm === undefined ? {} : { readMm }) }]
    }),
  )
  const kinds = names.map((name, i) => ({ name, weight: item(solved.weights, i) })).sort((a, b) => b.weight - a.weight)
  return {
    parameters: x,
    covariance,
    ears: traits.ears,
    // A dog of no known breed carries it low, whatever build its tapes come nearest to.
    tail: kind.tail ?? 'low',
    flatFace: kind.flatFace,
    sex: kind.sex,
    kinds,
    sections: inMm(shape.stations, shape.k.back),
    landmarks: landmarksOf(shape),
    measures,
    chi2: solved.chi2,
    dof: solved.dof,
  }
}

/** Sections in back lengths to millimetres; share and exponent stay. */
export function inMm(stations: Stations, back: number): Stations {
  return Object.fromEntries(
    Object.entries(stations).map(([name, s]) => [name, { tx: s.tx * back, tz: s.tz * back, ux: s.ux * back, uz: s.uz * back, w: s.w * back, v: s.v, p: s.p }]),
  ) as Stations
}

/** One parameter of a form by its name, natural value. */
export function parameterOf(form: Form, name: ParameterName): number {
  const shape = shapeOf(form.parameters, form)
  return shape.k[parameterNames.includes(name) ? name : 'back']
}

/**
 * What measures would read on this dog, with the standard deviation of one reading's expectation.
 *
 * @param ids measures wanted; those the form does not define are left out
 */
export function predictMeasures(body: Body, about: About | null, ids: readonly string[]): Record<string, { mm: number; sigmaMm: number }> {
  const { measures } = solveForm(body, about)
  return Object.fromEntries(
    ids.flatMap((id) => {
      const value = measures[id]
      return value ? [[id, { mm: value.mm, sigmaMm: value.sigmaMm }]] : []
    }),
  )
}
