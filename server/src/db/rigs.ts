import { freshOf, resources, type Change, type NewRig, type Rig } from '@merry-tailor/core'
import { isSoundRig, RigFields } from '@merry-tailor/core/schemas'
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

/** Changes single fields; a bed stays a bed, and a stop thicker than its shaft. */
export function changeRig(db: Db, id: string, changes: readonly Change[]): Rig {
  const now = requireRig(db, id)
  const then = RigFields.safeParse({ ...now, ...Object.fromEntries(changes.map(({ field, to }) => [field, to])) })
  if (then.success && !isSoundRig(then.data))
    throw new ProblemError('bad-request', 'A bed goes from behind to ahead, and a stop is thicker than its shaft.', {
      fields: changes.map(({ field }) => ({ path: field, message: 'a bed goes from behind to ahead, a stop is thicker than its shaft' })),
    })
  return applyChanges(db, rigs, now, RigFields.shape, changes)
}
