import { nth } from './dense.ts'
import { parameterNames, PARAMETERS, placeOf } from './parameters.ts'
import { reachOf } from './reach.ts'
import type { Lays } from './routes.ts'
import { shapeOf, type Traits } from './shape.ts'
import { FORM_MEASURES, laysFor, logTapes } from './tapes.ts'

/** The form's measures near one place: logarithmic values and their slopes by every parameter. */
export interface Tangent {
  at: Float64Array
  lays: Lays
  /** Slopes of one measure. */
  row: (id: string) => Float64Array
  /** A measure's logarithm at another place, along the tangent. */
  valueAt: (x: Float64Array, id: string) => number
}

const STEP = 1e-4
const BACK = placeOf('back')

/**
 * Slopes by forward differences with the strings held still (a shortest path changes in length as if it stood).
 *
 * @returns one row per measure
 */
export function slopes(x: Float64Array, traits: Traits, ids: readonly string[], lays: Lays): { values: Float64Array; rows: Float64Array[] } {
  const values = logTapes(x, traits, ids, lays)
  const rows = ids.map(() => new Float64Array(PARAMETERS))
  const place = new Map(ids.map((id, i) => [id, i]))
  const moved = x.slice()
  parameterNames.forEach((name, k) => {
    if (k === BACK) {
      // Everything scales with the back; a weight by its cube.
      ids.forEach((id, i) => ((rows[i] as Float64Array)[k] = id === 'M00' ? 3 : 1))
      return
    }
    const reached = reachOf(name, ids)
    if (reached.length === 0) return
    const before = nth(moved, k)
    moved[k] = before + STEP
    const there = logTapes(moved, traits, reached, lays)
    moved[k] = before
    reached.forEach((id, j) => {
      const i = place.get(id) ?? 0
      ;(rows[i] as Float64Array)[k] = (nth(there, j) - nth(values, i)) / STEP
    })
  })
  return { values, rows }
}

export function tangentAt(x: Float64Array, traits: Traits): Tangent {
  const at = x.slice()
  const lays = laysFor(shapeOf(at, traits), FORM_MEASURES)
  const { values, rows } = slopes(at, traits, FORM_MEASURES, lays)
  const place = new Map(FORM_MEASURES.map((id, i) => [id, i]))
  const row = (id: string): Float64Array => rows[place.get(id) ?? -1] ?? new Float64Array(PARAMETERS)
  return {
    at,
    lays,
    row,
    valueAt: (there, id) => {
      const slope = row(id)
      let sum = values[place.get(id) ?? -1] ?? 0
      for (let k = 0; k < PARAMETERS; k++) sum += nth(slope, k) * (nth(there, k) - nth(at, k))
      return sum
    },
  }
}
