import { freshOf, resources, type Change, type NewOuting, type Outing } from '@merry-tailor/core'
import { OutingFields } from '@merry-tailor/core/schemas'
import { ProblemError } from '../problems.ts'
import { applyChanges } from './changes.ts'
import { requireDog } from './dogs.ts'
import { keptFor } from './one-dog.ts'
import type { Db } from './open.ts'
import { requireReference } from './references.ts'
import { requireRig } from './rigs.ts'
import { insert, recordOf, type Row } from './rows.ts'

const { outings } = resources

/** Outings of a dog, newest day first, with those taken off the list. */
export const outingsOfDog = (db: Db, dogId: string): Outing[] =>
  db
    .prepare<[string], Row>('SELECT * FROM outings WHERE dog_id = ? ORDER BY on_day DESC, seq DESC')
    .all(dogId)
    .map((row) => recordOf(outings, row))

function requireOuting(db: Db, dogId: string, id: string): Outing {
  const row = db.prepare<[string, string], Row>('SELECT * FROM outings WHERE id = ? AND dog_id = ?').get(id, dogId)
  if (!row) throw new ProblemError('not-found', 'There is no such outing of this dog.')
  return recordOf(outings, row)
}

export function addOuting(db: Db, dogId: string, id: string, outing: NewOuting): Outing {
  requireDog(db, dogId)
  const { rigId } = outing
  if (rigId !== null) requireReference(() => requireRig(db, rigId), 'rigId')
  const kept = keptFor(db, dogId)
  insert(db, outings, freshOf(outings, id, outing), { dogId: kept })
  return requireOuting(db, kept, id)
}

/** Takes an outing off its list, or puts it back; what it says stays. */
export const changeOuting = (db: Db, dogId: string, id: string, changes: readonly Change[]): Outing =>
  applyChanges(db, outings, requireOuting(db, keptFor(db, dogId), id), OutingFields.shape, changes)
