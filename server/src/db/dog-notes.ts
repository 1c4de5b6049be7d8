import { DogNoteFields, type Change, type DogNote, type NewDogNote } from '@merry-tailor/core'
import { ProblemError } from '../problems.ts'
import { applyChanges, plain, type Columns } from './changes.ts'
import { requireDog } from './dogs.ts'
import type { Db } from './open.ts'

interface Row {
  id: string
  kind: DogNote['kind']
  text: string
  on_day: string
  at: string
  by_whom: string
  over_day: string | null
}

const toNote = (row: Row): DogNote => ({ id: row.id, kind: row.kind, text: row.text, on: row.on_day, at: row.at, by: row.by_whom, over: row.over_day })
const columns: Columns = { table: 'dog_notes', fields: { over: plain('over_day') } }

export const notesOfDog = (db: Db, dogId: string): DogNote[] =>
  db.prepare<[string], Row>('SELECT * FROM dog_notes WHERE dog_id = ? ORDER BY on_day DESC, id DESC').all(dogId).map(toNote)

function requireNote(db: Db, dogId: string, id: string): DogNote {
  const row = db.prepare<[string, string], Row>('SELECT * FROM dog_notes WHERE id = ? AND dog_id = ?').get(id, dogId)
  if (!row) throw new ProblemError('not-found', 'There is no such note on this dog.')
  return toNote(row)
}

export function addDogNote(db: Db, dogId: string, id: string, note: NewDogNote): DogNote {
  requireDog(db, dogId)
  db.prepare('INSERT INTO dog_notes (id, dog_id, kind, text, on_day, at, by_whom) VALUES (?, ?, ?, ?, ?, ?, ?) ON CONFLICT (id) DO NOTHING').run(
    id,
    dogId,
    note.kind,
    note.text,
    note.on,
    note.at,
    note.by,
  )
  return requireNote(db, dogId, id)
}

/** A note is closed by the day from which it is over; its words stay. */
export function changeDogNote(db: Db, dogId: string, id: string, changes: readonly Change[]): DogNote {
  applyChanges(db, columns, id, requireNote(db, dogId, id), DogNoteFields.shape, changes)
  return requireNote(db, dogId, id)
}
