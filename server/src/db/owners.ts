import { OwnerFields, type Change, type NewOwner, type Owner } from '@merry-tailor/core'
import { ProblemError } from '../problems.ts'
import { applyChanges, plain, type Columns } from './changes.ts'
import type { Db } from './open.ts'
import { indexOwner } from './search.ts'

interface Row {
  id: string
  name: string
  contact: string
  notes: string
  created_at: string
}

const toOwner = (row: Row): Owner => ({ id: row.id, name: row.name, contact: row.contact, notes: row.notes, createdAt: row.created_at })
const columns: Columns = { table: 'owners', fields: { name: plain('name'), contact: plain('contact'), notes: plain('notes') } }

export function findOwner(db: Db, id: string): Owner | null {
  const row = db.prepare<[string], Row>('SELECT * FROM owners WHERE id = ?').get(id)
  return row ? toOwner(row) : null
}

export const listOwners = (db: Db): Owner[] => db.prepare<[], Row>('SELECT * FROM owners ORDER BY name COLLATE NOCASE').all().map(toOwner)

/** Stores an owner under a client-made id; again with the same id changes nothing. */
export function addOwner(db: Db, id: string, owner: NewOwner): Owner {
  db.prepare('INSERT INTO owners (id, name, contact, notes, created_at) VALUES (?, ?, ?, ?, ?) ON CONFLICT (id) DO NOTHING').run(
    id,
    owner.name,
    owner.contact ?? '',
    owner.notes ?? '',
    owner.at,
  )
  indexOwner(db, id)
  return requireOwner(db, id)
}

export function requireOwner(db: Db, id: string): Owner {
  const owner = findOwner(db, id)
  if (!owner) throw new ProblemError('not-found', 'There is no owner under this id.')
  return owner
}

export function changeOwner(db: Db, id: string, changes: readonly Change[]): Owner {
  applyChanges(db, columns, id, requireOwner(db, id), OwnerFields.shape, changes)
  indexOwner(db, id)
  return requireOwner(db, id)
}
