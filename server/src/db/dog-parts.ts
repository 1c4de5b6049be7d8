import { freshOf, type Change, type Resource } from '@merry-tailor/core'
import type { z } from 'zod'
import { ProblemError } from '../problems.ts'
import { applyChanges } from './changes.ts'
import { requireDog } from './dogs.ts'
import { keptFor } from './one-dog.ts'
import type { Db } from './open.ts'
import { insert, recordOf, type Row } from './rows.ts'

/**
 * What hangs on a dog in a table of its own: listed whole, added once, changed field by field.
 *
 * @param order how they are listed, as SQL; @param fields what may be changed; @param missing said where there is none of that id
 */
export function dogParts<T extends { id: string }>(resource: Resource<T>, order: string, fields: Record<string, z.ZodType>, missing: string) {
  const require = (db: Db, dogId: string, id: string): T => {
    const row = db.prepare<[string, string], Row>(`SELECT * FROM ${resource.table} WHERE id = ? AND dog_id = ?`).get(id, dogId)
    if (!row) throw new ProblemError('not-found', missing)
    return recordOf(resource, row)
  }
  return {
    ofDog: (db: Db, dogId: string): T[] =>
      db
        .prepare<[string], Row>(`SELECT * FROM ${resource.table} WHERE dog_id = ? ORDER BY ${order}`)
        .all(dogId)
        .map((row) => recordOf(resource, row)),
    add: (db: Db, dogId: string, id: string, part: object): T => {
      requireDog(db, dogId)
      const kept = keptFor(db, dogId)
      insert(db, resource, freshOf(resource, id, part), { dogId: kept })
      return require(db, kept, id)
    },
    change: (db: Db, dogId: string, id: string, changes: readonly Change[]): T =>
      applyChanges(db, resource, require(db, keptFor(db, dogId), id), fields, changes),
  }
}
