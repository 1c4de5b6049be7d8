import { freshOf, resources, type Change, type DogNote, type NewDogNote } from '@merry-tailor/core'
import { DogNoteFields } from '@merry-tailor/core/schemas'
import { ProblemError } from '../problems.ts'
import { applyChanges } from './changes.ts'
import { requireDog } from './dogs.ts'
import { keptFor } from './one-dog.ts'
import type { Db } from './open.ts'
import { insert, recordOf, type Row } from './rows.ts'

const { dogNotes } = resources

export const notesOfDog = (db: Db, dogId: string): DogNote[] =>
  db
    .prepare<[string], Row>('SELECT * FROM dog_notes WHERE dog_id = ? ORDER BY on_day DESC, id DESC')
    .all(dogId)
    .map((row) => recordOf(dogNotes, row))

function requireNote(db: Db, dogId: string, id: string): DogNote {
  const row = db.prepare<[string, string], Row>('SELECT * FROM dog_notes WHERE id = ? AND dog_id = ?').get(id, dogId)
  if (!row) throw new ProblemError('not-found', 'There is no such note on this dog.')
  return recordOf(dogNotes, row)
}

export function addDogNote(db: Db, dogId: string, id: string, note: NewDogNote): DogNote {
  requireDog(db, dogId)
  const kept = keptFor(db, dogId)
  insert(db, dogNotes, freshOf(dogNotes, id, note), { dogId: kept })
  return requireNote(db, kept, id)
}

/** A note is closed by the day from which it is over; its words stay. */
export const changeDogNote = (db: Db, dogId: string, id: string, changes: readonly Change[]): DogNote =>
  applyChanges(db, dogNotes, requireNote(db, dogId, id), DogNoteFields.shape, changes)
