import { assign, type Change } from '../model/index.ts'
import type { ActKind } from './act.ts'

const turned = (changes: readonly Change[]): Change[] => changes.map(({ field, from, to }) => ({ field, from: to, to: from }))

/** Fields of the ticket, or of one of its items, were changed; the same fields are put back to take it back. */
export const change: ActKind<'change'> = {
  apply: (sheet, { itemId, changes }) => {
    const target = itemId === undefined ? sheet.ticket : sheet.items.find((item) => item.id === itemId)
    if (target) assign(target, changes)
  },
  inverse: (act) => ({ ...act, changes: turned(act.changes) }),
  again: (act) => act,
  address: ({ itemId, changes }) => ({ method: 'PATCH', path: itemId === undefined ? '' : `/items/${itemId}`, body: { changes } }),
}
