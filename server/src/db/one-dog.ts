import type { Db } from './open.ts'

/** A record that was put into another stands in no list: that one does. */
export const STANDS = 'dogs.id NOT IN (SELECT other_id FROM dog_joins WHERE undone_at IS NULL)'

/** The record a dog's things are kept under now: its own, or the one it was put into. */
export function keptFor(db: Db, id: string): string {
  const into = db.prepare<[string], { dog_id: string }>('SELECT dog_id FROM dog_joins WHERE other_id = ? AND undone_at IS NULL').get(id)
  return into ? keptFor(db, into.dog_id) : id
}
