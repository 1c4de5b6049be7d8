import { json, resource } from './resource.ts'
import type { StoredWrite } from './write.schema.ts'

export type { Head, News, StoredWrite } from './write.schema.ts'

/** Every write the book has answered, by the id it was given at the keystroke. Part of every copy. */
export const writes = resource<StoredWrite>({
  name: 'write',
  table: 'writes',
  address: '/writes',
  columns: { id: 'id', at: 'at', status: 'status', answer: json('answer') },
})
