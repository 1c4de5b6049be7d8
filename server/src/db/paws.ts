import { freshOf, resources, type BootOuting, type Change, type NewBootOuting, type NewTracing, type Tracing } from '@merry-tailor/core'
import { BootOutingFields, TracingFields } from '@merry-tailor/core/schemas'
import { ProblemError } from '../problems.ts'
import { applyChanges } from './changes.ts'
import { requireDog } from './dogs.ts'
import { keptFor } from './one-dog.ts'
import type { Db } from './open.ts'
import { insert, recordOf, type Row } from './rows.ts'

const { tracings, bootOutings } = resources

/** Traced paws of a dog, the newest first, with those taken off. */
export const tracingsOfDog = (db: Db, dogId: string): Tracing[] =>
  db
    .prepare<[string], Row>('SELECT * FROM tracings WHERE dog_id = ? ORDER BY seq DESC')
    .all(dogId)
    .map((row) => recordOf(tracings, row))

function requireTracing(db: Db, dogId: string, id: string): Tracing {
  const row = db.prepare<[string, string], Row>('SELECT * FROM tracings WHERE id = ? AND dog_id = ?').get(id, dogId)
  if (!row) throw new ProblemError('not-found', 'There is no such tracing of this dog.')
  return recordOf(tracings, row)
}

export function addTracing(db: Db, dogId: string, id: string, tracing: NewTracing): Tracing {
  requireDog(db, dogId)
  const kept = keptFor(db, dogId)
  insert(db, tracings, freshOf(tracings, id, tracing), { dogId: kept })
  return requireTracing(db, kept, id)
}

/** Takes a tracing off, or puts it back; what was read from it stays. */
export const changeTracing = (db: Db, dogId: string, id: string, changes: readonly Change[]): Tracing =>
  applyChanges(db, tracings, requireTracing(db, keptFor(db, dogId), id), TracingFields.shape, changes)

/** Outings in boots, the newest day first, with those taken off the list. */
export const bootOutingsOfDog = (db: Db, dogId: string): BootOuting[] =>
  db
    .prepare<[string], Row>('SELECT * FROM boot_outings WHERE dog_id = ? ORDER BY on_day DESC, seq DESC')
    .all(dogId)
    .map((row) => recordOf(bootOutings, row))

function requireBootOuting(db: Db, dogId: string, id: string): BootOuting {
  const row = db.prepare<[string, string], Row>('SELECT * FROM boot_outings WHERE id = ? AND dog_id = ?').get(id, dogId)
  if (!row) throw new ProblemError('not-found', 'There is no such outing in boots of this dog.')
  return recordOf(bootOutings, row)
}

export function addBootOuting(db: Db, dogId: string, id: string, outing: NewBootOuting): BootOuting {
  requireDog(db, dogId)
  const kept = keptFor(db, dogId)
  insert(db, bootOutings, freshOf(bootOutings, id, outing), { dogId: kept })
  return requireBootOuting(db, kept, id)
}

/** Takes an outing off its list, or puts it back; what it says stays. */
export const changeBootOuting = (db: Db, dogId: string, id: string, changes: readonly Change[]): BootOuting =>
  applyChanges(db, bootOutings, requireBootOuting(db, keptFor(db, dogId), id), BootOutingFields.shape, changes)
