import { PHOTO_BYTES, type Photo, type PhotoView } from '@merry-tailor/core'
import { stripPhoto } from '@merry-tailor/core/formats'
import { ProblemError } from '../problems.ts'
import { requireDog } from './dogs.ts'
import { keptFor } from './one-dog.ts'
import type { Db } from './open.ts'

interface Row {
  id: string
  view: PhotoView
  type: Photo['type']
  at: string
  by_whom: string
  bytes: number
}

const SELECT = 'SELECT id, view, type, at, by_whom, length(picture) AS bytes FROM photos'
const toPhoto = (row: Row): Photo => ({ id: row.id, view: row.view, type: row.type, at: row.at, by: row.by_whom, bytes: row.bytes })

export const photosOfDog = (db: Db, dogId: string): Photo[] =>
  db.prepare<[string], Row>(`${SELECT} WHERE dog_id = ? ORDER BY at DESC, id`).all(dogId).map(toPhoto)

export function pictureOf(db: Db, id: string): { type: string; picture: Buffer } {
  const row = db.prepare<[string], { type: string; picture: Buffer }>('SELECT type, picture FROM photos WHERE id = ?').get(id)
  if (!row) throw new ProblemError('not-found', 'There is no such photograph.')
  return row
}

/** Keeps a photograph with a dog's record: place, time and camera are taken out first, and it may not be too large. */
export function addPhoto(db: Db, dogId: string, id: string, about: { view: PhotoView; at: string; by: string }, given: Uint8Array): Photo {
  requireDog(db, dogId)
  if (given.length > PHOTO_BYTES) throw new ProblemError('too-large', `A photograph may hold ${PHOTO_BYTES / 1024 / 1024} MB.`)
  const stripped = stripPhoto(given)
  if (!stripped.ok) {
    throw new ProblemError('unsupported-type', stripped.problem === 'broken' ? 'This picture is broken.' : 'Pictures are JPEG, PNG or WebP.')
  }
  db.prepare('INSERT INTO photos (id, dog_id, view, type, picture, at, by_whom) VALUES (?, ?, ?, ?, ?, ?, ?) ON CONFLICT (id) DO NOTHING').run(
    id,
    keptFor(db, dogId),
    about.view,
    stripped.type,
    Buffer.from(stripped.bytes),
    about.at,
    about.by,
  )
  return toPhoto(db.prepare<[string], Row>(`${SELECT} WHERE id = ?`).get(id) as Row)
}

/** A photograph is the owner's: it can be taken out of the record for good. */
export function removePhoto(db: Db, dogId: string, id: string): void {
  db.prepare('DELETE FROM photos WHERE id = ? AND dog_id = ?').run(id, dogId)
}
