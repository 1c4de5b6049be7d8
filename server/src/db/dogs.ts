import { dayIn, freshOf, resources, type Change, type Dog, type NewDog } from '@merry-tailor/core'
import { randomUUID } from 'node:crypto'
import { DogFields } from '@merry-tailor/core/schemas'
import { ProblemError } from '../problems.ts'
import { applyChanges } from './changes.ts'
import { STANDS } from './one-dog.ts'
import type { Db } from './open.ts'
import { requireOwner } from './owners.ts'
import { requireReference } from './references.ts'
import { insert, recordOf, type Row } from './rows.ts'
import { indexDog } from './search.ts'
import { readShop } from './shop.ts'

const { dogs } = resources

export function findDog(db: Db, id: string): Dog | null {
  const row = db.prepare<[string], Row>('SELECT * FROM dogs WHERE id = ?').get(id)
  return row ? recordOf(dogs, row) : null
}

export const listDogs = (db: Db): Dog[] =>
  db
    .prepare<[], Row>(`SELECT * FROM dogs WHERE ${STANDS} ORDER BY name COLLATE NOCASE`)
    .all()
    .map((row) => recordOf(dogs, row))

export function requireDog(db: Db, id: string): Dog {
  const dog = findDog(db, id)
  if (!dog) throw new ProblemError('not-found', 'There is no dog under this id.')
  return dog
}

/** Stores a dog under a client-made id; again with the same id changes nothing. */
export function addDog(db: Db, id: string, dog: NewDog): Dog {
  if (dog.ownerId) requireReference(() => requireOwner(db, dog.ownerId ?? ''), 'ownerId')
  if (findDog(db, id)) return requireDog(db, id)
  insert(db, dogs, freshOf(dogs, id, dog))
  // What it weighed when it came is its first weighing.
  if (dog.weightKg != null) keepWeighing(db, id, id, dog.weightKg, dog.at)
  indexDog(db, id)
  return requireDog(db, id)
}

/** A weight said in the record alone: a weighing of that day, so that none is overwritten. */
function keepWeighing(db: Db, dogId: string, id: string, kg: number, at: string): void {
  insert(db, resources.weighings, { id, kg, asTyped: '', unit: 'kg', on: dayIn(readShop(db).timeZone, at), at, by: '' }, { dogId })
}

export function changeDog(db: Db, id: string, changes: readonly Change[]): Dog {
  const now = requireDog(db, id)
  for (const { field, to } of changes) {
    if (field === 'ownerId' && typeof to === 'string') requireReference(() => requireOwner(db, to), 'ownerId')
  }
  const next = applyChanges(db, dogs, now, DogFields.shape, changes)
  if (next.weightKg !== null && next.weightKg !== now.weightKg) keepWeighing(db, id, randomUUID(), next.weightKg, new Date().toISOString())
  indexDog(db, id)
  return next
}
