import type { Found } from '@merry-tailor/core'
import type { Db } from './open.ts'

/** Words as they are looked up: small letters, no accents, split at everything that is neither letter nor digit. */
export const wordsOf = (text: string): string[] =>
  text
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .split(/[^\p{L}\p{N}]+/u)
    .filter(Boolean)

type Kind = Found['kind']

function keep(db: Db, kind: Kind, ref: string, texts: readonly string[], title: string, detail: string): void {
  db.prepare('DELETE FROM search_words WHERE ref = ? AND kind = ?').run(ref, kind)
  const insert = db.prepare('INSERT INTO search_words (kind, word, ref, title, detail) VALUES (?, ?, ?, ?, ?) ON CONFLICT DO NOTHING')
  for (const word of new Set(texts.flatMap(wordsOf))) insert.run(kind, word, ref, title, detail)
}

interface DogRow {
  id: string
  name: string
  breed: string
  owner: string | null
}
const DOGS = 'SELECT dogs.id, dogs.name, dogs.breed, owners.name AS owner FROM dogs LEFT JOIN owners ON owners.id = dogs.owner_id'
const indexDogRow = (db: Db, dog: DogRow): void =>
  keep(db, 'dog', dog.id, [dog.name, dog.breed], dog.name, [dog.breed, dog.owner ?? ''].filter(Boolean).join(', '))

interface TicketRow {
  id: string
  number: number
  state: string
  dog: string | null
  owner: string | null
}
const TICKETS = `SELECT tickets.id, tickets.number, tickets.state, dogs.name AS dog, owners.name AS owner
  FROM tickets LEFT JOIN dogs ON dogs.id = tickets.dog_id LEFT JOIN owners ON owners.id = coalesce(tickets.owner_id, dogs.owner_id)`
const indexTicketRow = (db: Db, ticket: TicketRow): void =>
  keep(
    db,
    'ticket',
    ticket.id,
    [String(ticket.number), ticket.dog ?? '', ticket.owner ?? ''],
    `Ticket ${ticket.number}`,
    `${ticket.dog ?? 'Counter'}, ${ticket.state}`,
  )

export function indexTicket(db: Db, id: string): void {
  const row = db.prepare<[string], TicketRow>(`${TICKETS} WHERE tickets.id = ?`).get(id)
  if (row) indexTicketRow(db, row)
}

/** A dog and the tickets that are found by its name. */
export function indexDog(db: Db, id: string): void {
  const row = db.prepare<[string], DogRow>(`${DOGS} WHERE dogs.id = ?`).get(id)
  if (row) indexDogRow(db, row)
  for (const ticket of db.prepare<[string], TicketRow>(`${TICKETS} WHERE tickets.dog_id = ?`).all(id)) indexTicketRow(db, ticket)
}

/** An owner, and what is found or shown by the owner's name. */
export function indexOwner(db: Db, id: string): void {
  const row = db.prepare<[string], { name: string; contact: string }>('SELECT name, contact FROM owners WHERE id = ?').get(id)
  if (row) keep(db, 'owner', id, [row.name], row.name, row.contact)
  for (const dog of db.prepare<[string], { id: string }>('SELECT id FROM dogs WHERE owner_id = ?').all(id)) indexDog(db, dog.id)
  for (const ticket of db.prepare<[string], TicketRow>(`${TICKETS} WHERE tickets.owner_id = ?`).all(id)) indexTicketRow(db, ticket)
}

/** Makes the words anew from the records: after a migration or when a whole book came in. */
export function indexEverything(db: Db): void {
  db.transaction(() => {
    db.prepare('DELETE FROM search_words').run()
    for (const dog of db.prepare<[], DogRow>(DOGS).all()) indexDogRow(db, dog)
    for (const owner of db.prepare<[], { id: string; name: string; contact: string }>('SELECT id, name, contact FROM owners').all()) {
      keep(db, 'owner', owner.id, [owner.name], owner.name, owner.contact)
    }
    for (const ticket of db.prepare<[], TicketRow>(TICKETS).all()) indexTicketRow(db, ticket)
  })()
}

const SHARE: readonly (readonly [Kind, number])[] = [
  ['dog', 6],
  ['ticket', 6],
  ['owner', 4],
]
const MOST = 12
/** Behind every letter there is. */
const LAST = '\u{10FFFF}'

interface Hit {
  ref: string
  title: string
  detail: string
}

/**
 * Finds dogs, owners and tickets by the beginnings of words: names, breeds, a ticket's number. Every word typed must
 * begin one of theirs. At most 12 lines; an index range to each kind, however many dogs there are.
 */
export function find(db: Db, typed: string): Found[] {
  const [first, ...more] = wordsOf(typed)
  if (first === undefined) return []
  const also = more.map(() => 'AND EXISTS (SELECT 1 FROM search_words b WHERE b.kind = a.kind AND b.ref = a.ref AND b.word >= ? AND b.word < ?)').join(' ')
  const query = db.prepare<unknown[], Hit>(`SELECT ref, title, detail FROM search_words a WHERE kind = ? AND word >= ? AND word < ? ${also} LIMIT ?`)
  const found: Found[] = []
  for (const [kind, limit] of SHARE) {
    const seen = new Set<string>()
    // Twice the limit: one record may be found by two of its words.
    for (const { ref, title, detail } of query.all(kind, first, first + LAST, ...more.flatMap((word) => [word, word + LAST]), limit * 2)) {
      if (seen.has(ref) || seen.size >= limit) continue
      seen.add(ref)
      found.push({ kind, id: ref, title, detail })
    }
  }
  return found.slice(0, MOST)
}
