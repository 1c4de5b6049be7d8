import { freshOf, resources, type Change, type NewRig, type Rig } from '@merry-tailor/core'
import { RigFields } from '@merry-tailor/core/schemas'
import { ProblemError } from '../problems.ts'
import { applyChanges } from './changes.ts'
import type { Db } from './open.ts'
import { insert, recordOf, type Row } from './rows.ts'

const { rigs } = resources

export const listRigs = (db: Db): Rig[] =>
  db
    .prepare<[], Row>('SELECT * FROM rigs ORDER BY kind, name COLLATE NOCASE, id')
    .all()
    .map((row) => recordOf(rigs, row))

export function requireRig(db: Db, id: string): Rig {
  const row = db.prepare<[string], Row>('SELECT * FROM rigs WHERE id = ?').get(id)
  if (!row) throw new ProblemError('not-found', 'There is no rig under this id.')
  return recordOf(rigs, row)
}

export function addRig(db: Db, id: string, rig: NewRig): Rig {
  insert(db, rigs, freshOf(rigs, id, rig))
  return requireRig(db, id)
}

export const changeRig = (db: Db, id: string, changes: readonly Change[]): Rig => applyChanges(db, rigs, requireRig(db, id), RigFields.shape, changes)
