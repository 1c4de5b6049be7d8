import { freshOf, resources, type Change, type Dog, type DogJoin, type DogSheet, type NewDogJoin } from '@merry-tailor/core'
import { DogJoinFields } from '@merry-tailor/core/schemas'
import { ProblemError } from '../problems.ts'
import { applyChanges, writeFields } from './changes.ts'
import { requireDog } from './dogs.ts'
import { keptFor } from './one-dog.ts'
import type { Db } from './open.ts'
import { requireReference } from './references.ts'
import { insert, recordOf, type Row } from './rows.ts'
import { indexDog } from './search.ts'

const { dogJoins, dogs } = resources

/** Where a dog is named, by table: all of it goes over with the record. */
const NAMED_IN = {
  tickets: 'dog_id',
  dog_notes: 'dog_id',
  weighings: 'dog_id',
  outings: 'dog_id',
  tracings: 'dog_id',
  boot_outings: 'dog_id',
  photos: 'dog_id',
  settings: 'dog_id',
  pieces: 'wearer_id',
} as const
type Named = keyof typeof NAMED_IN
const TABLES = Object.keys(NAMED_IN) as Named[]

/** What the record that stays is told by the other where it says nothing itself. */
const FILLED = ['breed', 'crossWith', 'sex', 'born', 'ageMonths', 'ageSaidOn', 'coat', 'flatFace', 'notes', 'ownerId'] as const
const isUnsaid = (value: unknown): boolean => value === null || value === ''

/** Joins that stand, into this dog, newest first, with the name of the other record. */
export const joinsOfDog = (db: Db, dogId: string): DogSheet['joins'] =>
  db
    .prepare<[string], Row>(
      'SELECT dog_joins.*, dogs.name AS other_name FROM dog_joins JOIN dogs ON dogs.id = other_id WHERE dog_id = ? AND undone_at IS NULL ORDER BY seq DESC',
    )
    .all(dogId)
    .map((row) => ({ ...recordOf(dogJoins, row), otherName: String(row.other_name) }))

/** The dog weighs what its newest weighing says; every weight said is one. */
function weighAnew(db: Db, id: string): void {
  db.prepare(`UPDATE dogs SET weight_kg = (SELECT kg FROM weighings WHERE dog_id = @id ORDER BY on_day DESC, seq DESC LIMIT 1) WHERE id = @id`).run({ id })
}

/**
 * Puts one record of a dog into another: tickets, notes, weighings, pictures, gear and settings go over, what the record
 * that stays does not say it is told, and the other stands in no list any more. Sent again it changes nothing.
 */
export function joinDogs(db: Db, dogId: string, id: string, said: NewDogJoin): DogJoin {
  const known = db.prepare<[string], Row>('SELECT * FROM dog_joins WHERE id = ?').get(id)
  if (known) {
    const join = recordOf(dogJoins, known)
    if (known.dog_id !== dogId || join.otherId !== said.otherId) throw new ProblemError('id-taken', 'Another join is kept under this id.')
    return join
  }
  const stays = requireDog(db, dogId)
  requireReference(() => requireDog(db, said.otherId), 'otherId')
  const other = requireDog(db, said.otherId)
  if (stays.id === other.id) throw new ProblemError('bad-request', 'A record cannot be put into itself.')
  if (keptFor(db, dogId) !== dogId) throw new ProblemError('already-joined', `${stays.name} was itself put into another record. Join from there.`)
  if (keptFor(db, other.id) !== other.id) throw new ProblemError('already-joined', `${other.name} was already put into another record.`)

  const moved = Object.fromEntries(
    TABLES.map((table) => [
      table,
      db
        .prepare<[string], { id: string }>(`SELECT id FROM ${table} WHERE ${NAMED_IN[table]} = ?`)
        .all(other.id)
        .map((row) => row.id),
    ]),
  )
  const filled = Object.fromEntries(FILLED.flatMap((field) => (isUnsaid(stays[field]) && !isUnsaid(other[field]) ? [[field, other[field]] as const] : [])))
  const join = { ...freshOf(dogJoins, id, said), moved, filled: filled as DogJoin['filled'] }
  insert(db, dogJoins, join, { dogId })
  writeFields(db, dogs, stays, { ...stays, ...filled })
  for (const table of TABLES) db.prepare(`UPDATE ${table} SET ${NAMED_IN[table]} = ? WHERE ${NAMED_IN[table]} = ?`).run(dogId, other.id)
  weighAnew(db, dogId)
  for (const each of [dogId, other.id]) indexDog(db, each)
  return join
}

/** Takes a join apart: what went over goes back, as far as it is still where it went. */
export function changeDogJoin(db: Db, dogId: string, id: string, changes: readonly Change[]): DogJoin {
  const row = db.prepare<[string, string], Row>('SELECT * FROM dog_joins WHERE id = ? AND dog_id = ?').get(id, dogId)
  if (!row) throw new ProblemError('not-found', 'There is no such join of this dog.')
  const now = recordOf(dogJoins, row)
  const next = applyChanges(db, dogJoins, now, DogJoinFields.shape, changes)
  if (now.undone === null && next.undone !== null) takeApart(db, dogId, now)
  if (now.undone !== null && next.undone === null) throw new ProblemError('bad-request', 'What was taken apart is joined by a new act.')
  return next
}

function takeApart(db: Db, dogId: string, { otherId, moved, filled }: DogJoin): void {
  for (const table of TABLES) {
    const back = db.prepare(`UPDATE ${table} SET ${NAMED_IN[table]} = ? WHERE id = ? AND ${NAMED_IN[table]} = ?`)
    for (const each of moved[table] ?? []) back.run(otherId, each, dogId)
  }
  const stays = requireDog(db, dogId)
  const unsaid = Object.fromEntries(
    Object.entries(filled).flatMap(([field, value]) =>
      stays[field as keyof Dog] === value ? [[field, field === 'notes' || field === 'breed' || field === 'crossWith' ? '' : null]] : [],
    ),
  )
  writeFields(db, dogs, stays, { ...stays, ...unsaid })
  for (const each of [dogId, otherId]) {
    weighAnew(db, each)
    indexDog(db, each)
  }
}
