import { measureCovariance, shareOf, type Form } from '../form/index.ts'
import type { ShopFields } from '../model/index.ts'
import { settle, type Settled, type SettleTable } from './settle.ts'
import type { SizedBody } from './sized-body.ts'
import { measuresOfTable } from './table-shape.ts'

/**
 * What would settle the doubt between the sizes of one table, where the guesses come from one form and so vary together.
 *
 * @param form where the guesses come from; `null`: each measure stands for itself
 */
export function settleByForm(table: SettleTable, body: SizedBody, form: Form | null, views: ShopFields['views'] = {}, growing = false): Settled {
  const guessed = measuresOfTable(table).filter((id) => body[id]?.guess)
  if (!form || guessed.length < 2) return settle(table, body, { views, growing })
  const shares = measureCovariance(form, guessed)
  const mm = (id: string): number => body[id]?.mm ?? 0
  return settle(table, body, { views, growing, covarianceMm: (a, b) => shareOf(shares, a, b) * mm(a) * mm(b) })
}
