import { freshOf, resources, type Change, type NewOwner, type Owner } from '@merry-tailor/core'
import { OwnerFields } from '@merry-tailor/core/schemas'
import { ProblemError } from '../problems.ts'
import { applyChanges } from './changes.ts'
import type { Db } from './open.ts'
import { insert, recordOf, type Row } from './rows.ts'
import { indexOwner } from './search.ts'

const { owners } = resources

export function findOwner(db: Db, id: string): Owner | null {
  const row = db.prepare<[string], Row>('SELECT * FROM owners WHERE id = ?').get(id)
  return row ? recordOf(owners, row) : null
}

/** The owner of that name, in any case of its letters. */
export const ownerNamed = (db: Db, name: string): string | undefined =>
  db.prepare<[string], { id: string }>('SELECT id FROM owners WHERE name = ? COLLATE NOCASE').get(name)?.id

export const listOwners = (db: Db): Owner[] =>
  db
    .prepare<[], Row>('SELECT * FROM owners ORDER BY name COLLATE NOCASE')
    .all()
    .map((row) => recordOf(owners, row))

/** Stores an owner under a client-made id; again with the same id changes nothing. */
export function addOwner(db: Db, id: string, owner: NewOwner): Owner {
  insert(db, owners, freshOf(owners, id, owner))
  indexOwner(db, id)
  return requireOwner(db, id)
}

export function requireOwner(db: Db, id: string): Owner {
  const owner = findOwner(db, id)
  if (!owner) throw new ProblemError('not-found', 'There is no owner under this id.')
  return owner
}

export function changeOwner(db: Db, id: string, changes: readonly Change[]): Owner {
  const next = applyChanges(db, owners, requireOwner(db, id), OwnerFields.shape, changes)
  indexOwner(db, id)
  return next
}
