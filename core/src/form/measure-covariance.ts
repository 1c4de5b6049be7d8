import { dotOf, rowsTimes } from './dense.ts'
import { PARAMETERS } from './parameters.ts'
import { DISCREPANCY } from './readings.ts'
import type { Form } from './solve-form.ts'
import { slopes } from './tangent.ts'
import { defines, laysFor, shapeOf } from './tapes.ts'

/** How a form's measures vary together, of their logarithms: shares of the measures, a symmetric table by place in `ids`. */
export interface MeasureCovariance {
  /** Those of the measures asked for that the form defines, in the order given. */
  ids: readonly string[]
  share: (a: string, b: string) => number
}

/**
 * Covariance of the form's own measures: what a reading of one tells of the others.
 *
 * @param discrepancy with each measure's own deviation from the model on the diagonal
 */
export function measureCovariance(form: Form, wanted: readonly string[], discrepancy = true): MeasureCovariance {
  const ids = [...new Set(wanted)].filter((id) => id !== 'M00' && defines(id, form.sex))
  const { rows } = slopes(form.parameters, form, ids, laysFor(shapeOf(form.parameters, form), ids))
  const spread = rowsTimes(rows, form.covariance, PARAMETERS)
  const at = new Map(ids.map((id, i) => [id, i]))
  return {
    ids,
    share: (a, b) => {
      const [i, j] = [at.get(a), at.get(b)]
      if (i === undefined || j === undefined) return 0
      return dotOf(spread[i] as Float64Array, rows[j] as Float64Array) + (discrepancy && i === j ? DISCREPANCY ** 2 : 0)
    },
  }
}
