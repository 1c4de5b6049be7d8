import { freshOf, keepOne, resources, type Item } from '../model/index.ts'
import { put, type ActKind } from './act.ts'

/** An item was put on the ticket; it is taken off again, never deleted. */
export const item: ActKind<'item'> = {
  apply: (sheet, { id, body }) => keepOne<Item>(sheet.items, freshOf(resources.items, id, body)),
  inverse: ({ id }) => ({ act: 'change', itemId: id, changes: [{ field: 'removed', from: false, to: true }] }),
  again: ({ id }) => ({ act: 'change', itemId: id, changes: [{ field: 'removed', from: true, to: false }] }),
  address: ({ id, body }) => put(`/items/${id}`, body),
}
