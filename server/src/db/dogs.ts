import { DogFields, type Change, type CoatClass, type Dog, type NewDog, type Sex } from '@merry-tailor/core'
import { ProblemError } from '../problems.ts'
import { applyChanges, flag, plain, type Columns } from './changes.ts'
import type { Db } from './open.ts'
import { requireOwner } from './owners.ts'
import { indexDog } from './search.ts'

interface Row {
  id: string
  name: string
  breed: string
  cross_with: string
  sex: Sex | null
  born: string | null
  age_months: number | null
  age_said_on: string | null
  weight_kg: number | null
  coat: CoatClass | null
  flat_face: number | null
  sparing: number
  notes: string
  owner_id: string | null
  created_at: string
}

const toDog = (row: Row): Dog => ({
  id: row.id,
  name: row.name,
  breed: row.breed,
  crossWith: row.cross_with,
  sex: row.sex,
  born: row.born,
  ageMonths: row.age_months,
  ageSaidOn: row.age_said_on,
  weightKg: row.weight_kg,
  coat: row.coat,
  flatFace: row.flat_face === null ? null : row.flat_face === 1,
  sparing: row.sparing === 1,
  notes: row.notes,
  ownerId: row.owner_id,
  createdAt: row.created_at,
})

const columns: Columns = {
  table: 'dogs',
  fields: {
    name: plain('name'),
    breed: plain('breed'),
    crossWith: plain('cross_with'),
    sex: plain('sex'),
    born: plain('born'),
    ageMonths: plain('age_months'),
    ageSaidOn: plain('age_said_on'),
    weightKg: plain('weight_kg'),
    coat: plain('coat'),
    flatFace: flag('flat_face'),
    sparing: flag('sparing'),
    notes: plain('notes'),
    ownerId: plain('owner_id'),
  },
}

export function findDog(db: Db, id: string): Dog | null {
  const row = db.prepare<[string], Row>('SELECT * FROM dogs WHERE id = ?').get(id)
  return row ? toDog(row) : null
}

export const listDogs = (db: Db): Dog[] => db.prepare<[], Row>('SELECT * FROM dogs ORDER BY name COLLATE NOCASE').all().map(toDog)

export function requireDog(db: Db, id: string): Dog {
  const dog = findDog(db, id)
  if (!dog) throw new ProblemError('not-found', 'There is no dog under this id.')
  return dog
}

/** Stores a dog under a client-made id; again with the same id changes nothing. */
export function addDog(db: Db, id: string, dog: NewDog): Dog {
  if (dog.ownerId) requireReference(() => requireOwner(db, dog.ownerId ?? ''), 'ownerId')
  db.prepare(
    `INSERT INTO dogs (id, name, breed, cross_with, sex, born, age_months, age_said_on, weight_kg, coat, flat_face, sparing, notes, owner_id, created_at)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?) ON CONFLICT (id) DO NOTHING`,
  ).run(
    id,
    dog.name,
    dog.breed ?? '',
    dog.crossWith ?? '',
    dog.sex ?? null,
    dog.born ?? null,
    dog.ageMonths ?? null,
    dog.ageSaidOn ?? null,
    dog.weightKg ?? null,
    dog.coat ?? null,
    dog.flatFace === undefined || dog.flatFace === null ? null : Number(dog.flatFace),
    Number(dog.sparing ?? false),
    dog.notes ?? '',
    dog.ownerId ?? null,
    dog.at,
  )
  indexDog(db, id)
  return requireDog(db, id)
}

export function changeDog(db: Db, id: string, changes: readonly Change[]): Dog {
  const now = requireDog(db, id)
  for (const { field, to } of changes) {
    if (field === 'ownerId' && typeof to === 'string') requireReference(() => requireOwner(db, to), 'ownerId')
  }
  applyChanges(db, columns, id, now, DogFields.shape, changes)
  indexDog(db, id)
  return requireDog(db, id)
}

/** Turns "not found" of something a request points at into a refusal of the request. */
export function requireReference(find: () => unknown, path: string): void {
  try {
    find()
  } catch (error) {
    if (!(error instanceof ProblemError)) throw error
    throw new ProblemError('unknown-reference', error.message, { fields: [{ path, message: error.message }] })
  }
}
