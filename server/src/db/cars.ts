import { freshOf, resources, type Car, type Change, type NewCar } from '@merry-tailor/core'
import { CarFields } from '@merry-tailor/core/schemas'
import { ProblemError } from '../problems.ts'
import { applyChanges } from './changes.ts'
import type { Db } from './open.ts'
import { requireOwner } from './owners.ts'
import { requireReference } from './references.ts'
import { insert, recordOf, type Row } from './rows.ts'

const { cars } = resources

export const listCars = (db: Db): Car[] =>
  db
    .prepare<[], Row>('SELECT * FROM cars ORDER BY name COLLATE NOCASE, id')
    .all()
    .map((row) => recordOf(cars, row))

function requireCar(db: Db, id: string): Car {
  const row = db.prepare<[string], Row>('SELECT * FROM cars WHERE id = ?').get(id)
  if (!row) throw new ProblemError('not-found', 'There is no car under this id.')
  return recordOf(cars, row)
}

const ownerThere = (db: Db, ownerId: unknown): void => {
  if (typeof ownerId === 'string') requireReference(() => requireOwner(db, ownerId), 'ownerId')
}

export function addCar(db: Db, id: string, car: NewCar): Car {
  ownerThere(db, car.ownerId)
  insert(db, cars, freshOf(cars, id, car))
  return requireCar(db, id)
}

export function changeCar(db: Db, id: string, changes: readonly Change[]): Car {
  for (const { field, to } of changes) if (field === 'ownerId') ownerThere(db, to)
  return applyChanges(db, cars, requireCar(db, id), CarFields.shape, changes)
}
