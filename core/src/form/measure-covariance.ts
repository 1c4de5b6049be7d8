import { dotOf, rowsTimes } from './dense.ts'
import { PARAMETERS } from './parameters.ts'
import { DISCREPANCY } from './readings.ts'
import type { Form } from './form-type.ts'
import { slopes } from './tangent.ts'
import { shapeOf } from './shape.ts'
import { defines, laysFor } from './tapes.ts'

/** How a form's measures vary together, of their logarithms: plain data. */
export interface MeasureCovariance {
  /** Those of the measures asked for that the form defines, in the order given. */
  ids: readonly string[]
  /** Shares of the measures, by row and column in the order of `ids`; symmetric. */
  shares: readonly (readonly number[])[]
}

/** How two measures vary together; 0 where one is not in it. */
export const shareOf = ({ ids, shares }: MeasureCovariance, a: string, b: string): number => shares[ids.indexOf(a)]?.[ids.indexOf(b)] ?? 0

/**
 * Covariance of the form's own measures: what a reading of one tells of the others.
 *
 * @param discrepancy with each measure's own deviation from the model on the diagonal
 */
export function measureCovariance(form: Form, wanted: readonly string[], discrepancy = true): MeasureCovariance {
  const ids = [...new Set(wanted)].filter((id) => id !== 'M00' && defines(id, form.sex))
  const { rows } = slopes(form.parameters, form, ids, laysFor(shapeOf(form.parameters, form), ids))
  const spread = rowsTimes(rows, form.covariance, PARAMETERS)
  const shares = spread.map((row, i) => rows.map((slope, j) => dotOf(row, slope) + (discrepancy && i === j ? DISCREPANCY ** 2 : 0)))
  return { ids, shares }
}
