import { resources, type NewWeighing, type Weighing } from '@merry-tailor/core'
import { requireDog } from './dogs.ts'
import { addFact } from './facts.ts'
import { keptFor } from './one-dog.ts'
import type { Db } from './open.ts'
import { recordOf, type Row } from './rows.ts'
import { indexDog } from './search.ts'

const { weighings } = resources

/** What a dog weighed, newest day first. */
export const weighingsOfDog = (db: Db, dogId: string): Weighing[] =>
  db
    .prepare<[string], Row>('SELECT * FROM weighings WHERE dog_id = ? ORDER BY on_day DESC, seq DESC')
    .all(dogId)
    .map((row) => recordOf(weighings, row))

/** Keeps a weighing; the dog's own weight is that of the newest day, so an older one added later does not change it. */
export function addWeighing(db: Db, named: string, id: string, weighing: NewWeighing): Weighing {
  const dogId = keptFor(db, named)
  const kept = addFact(db, weighings, { ...weighing, id }, { dogId }, () => void requireDog(db, dogId))
  const [newest] = weighingsOfDog(db, dogId)
  if (newest) db.prepare('UPDATE dogs SET weight_kg = ? WHERE id = ?').run(newest.kg, dogId)
  indexDog(db, dogId)
  return kept
}
