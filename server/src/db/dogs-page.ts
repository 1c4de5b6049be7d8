import { plainLetters, resources, type DogsPage } from '@merry-tailor/core'
import { STANDS } from './one-dog.ts'
import type { Db } from './open.ts'
import { recordOf, type Row } from './rows.ts'

interface Listed {
  id: string
  ownerId: string | null
  /** The name in plain small letters. */
  plain: string
}

/** The dogs in the reader's order, made anew once anything was written: pages and searches run over it. */
const orders = new WeakMap<Db, { changes: number; listed: readonly Listed[] }>()

/** Numbers counted: dog 2 before dog 10. */
const sortKey = (plain: string): string => plain.replace(/\d+/g, (digits) => digits.padStart(12, '0'))

function orderOf(db: Db): readonly Listed[] {
  const { changes } = db.prepare<[], { changes: number }>('SELECT total_changes() AS changes').get() ?? { changes: -1 }
  const known = orders.get(db)
  if (known?.changes === changes) return known.listed
  const listed = db
    .prepare<[], { id: string; name: string; ownerId: string | null }>(`SELECT id, name, owner_id AS ownerId FROM dogs WHERE ${STANDS}`)
    .all()
    .map(({ id, name, ownerId }) => {
      const plain = plainLetters(name)
      return { id, ownerId, plain, key: sortKey(plain) }
    })
    .sort((a, b) => (a.key < b.key ? -1 : a.key > b.key ? 1 : a.id < b.id ? -1 : 1))
  orders.set(db, { changes, listed })
  return listed
}

/**
 * A page of the dogs whose name has every word typed.
 *
 * @param search as typed; @param owner of this owner alone; @param offset how many to leave out; @param limit how many at most
 */
export function dogsPage(db: Db, { search, owner, offset, limit }: { search: string; owner: string | null; offset: number; limit: number }): DogsPage {
  const words = plainLetters(search).split(/\s+/).filter(Boolean)
  const found = orderOf(db).filter((dog) => (owner === null || dog.ownerId === owner) && words.every((word) => dog.plain.includes(word)))
  const read = db.prepare<[string], Row>('SELECT * FROM dogs WHERE id = ?')
  const dogs = found.slice(offset, offset + limit).flatMap(({ id }) => {
    const row = read.get(id)
    return row ? [recordOf(resources.dogs, row)] : []
  })
  return { dogs, total: found.length }
}
