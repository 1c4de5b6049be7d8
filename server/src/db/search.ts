import { plainLetters, type Found } from '@merry-tailor/core'
import { STANDS } from './one-dog.ts'
import type { Db } from './open.ts'

/** Words as they are looked up: small letters, no accents, split at everything that is neither letter nor digit. */
export const wordsOf = (text: string): string[] =>
  plainLetters(text)
    .split(/[^\p{L}\p{N}]+/u)
    .filter(Boolean)

type Kind = Found['kind']

function enterInIndex(db: Db, kind: Kind, ref: string, texts: readonly string[], title: string, detail: string): void {
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
  enterInIndex(db, 'dog', dog.id, [dog.name, dog.breed], dog.name, [dog.breed, dog.owner ?? ''].filter(Boolean).join(', '))

interface TicketRow {
  id: string
  number: number
  kind: string
  notes: string
  state: string
  dog: string | null
  owner: string | null
}
const TICKETS = `SELECT tickets.id, tickets.number, tickets.kind, tickets.notes, tickets.state, dogs.name AS dog, owners.name AS owner
  FROM tickets LEFT JOIN dogs ON dogs.id = tickets.dog_id LEFT JOIN owners ON owners.id = coalesce(tickets.owner_id, dogs.owner_id)`
/** So many of a counter ticket's readings are what it was opened with. */
export const OPENED_WITH = 3

/** Numbers a ticket was opened with, as they were typed. */
const typedOn = (db: Db, id: string): string[] =>
  db
    .prepare<[string], { as_typed: string }>(`SELECT as_typed FROM readings WHERE ticket_id = ? ORDER BY seq LIMIT ${OPENED_WITH}`)
    .all(id)
    .map((row) => row.as_typed)

/** A counter ticket has no name: it is found by what was written of its dog and by the number it was opened with. */
function indexTicketRow(db: Db, ticket: TicketRow): void {
  const { id, number, state, dog, owner } = ticket
  const nameless = dog === null && owner === null && ticket.kind === 'counter'
  const said = nameless ? (ticket.notes.split('\n')[0] ?? '') : ''
  const words = [String(number), dog ?? '', owner ?? '', ...(nameless ? [said, ...typedOn(db, id)] : [])]
  enterInIndex(db, 'ticket', id, words, `Ticket ${number}`, `${dog ?? (said === '' ? 'Counter' : `Counter, ${said}`)}, ${state}`)
}

export function indexTicket(db: Db, id: string): void {
  const row = db.prepare<[string], TicketRow>(`${TICKETS} WHERE tickets.id = ?`).get(id)
  if (row) indexTicketRow(db, row)
}

/** A dog and the tickets that are found by its name. */
export function indexDog(db: Db, id: string): void {
  const row = db.prepare<[string], DogRow>(`${DOGS} WHERE dogs.id = ? AND ${STANDS}`).get(id)
  if (row) indexDogRow(db, row)
  else db.prepare("DELETE FROM search_words WHERE ref = ? AND kind = 'dog'").run(id)
  for (const ticket of db.prepare<[string], TicketRow>(`${TICKETS} WHERE tickets.dog_id = ?`).all(id)) indexTicketRow(db, ticket)
}

/** An owner, and what is found or shown by the owner's name. */
export function indexOwner(db: Db, id: string): void {
  const row = db.prepare<[string], { name: string; contact: string }>('SELECT name, contact FROM owners WHERE id = ?').get(id)
  if (row) enterInIndex(db, 'owner', id, [row.name], row.name, row.contact)
  for (const dog of db.prepare<[string], { id: string }>('SELECT id FROM dogs WHERE owner_id = ?').all(id)) indexDog(db, dog.id)
  for (const ticket of db.prepare<[string], TicketRow>(`${TICKETS} WHERE tickets.owner_id = ?`).all(id)) indexTicketRow(db, ticket)
}

/** A book that came from before there were words gets them; any other keeps its own. */
export function indexIfEmpty(db: Db): void {
  if (!db.prepare('SELECT 1 FROM search_words LIMIT 1').get()) indexEverything(db)
}

/** Makes the words anew from the records: after a migration or when a whole book came in. */
export function indexEverything(db: Db): void {
  db.transaction(() => {
    db.prepare('DELETE FROM search_words').run()
    for (const dog of db.prepare<[], DogRow>(`${DOGS} WHERE ${STANDS}`).all()) indexDogRow(db, dog)
    for (const owner of db.prepare<[], { id: string; name: string; contact: string }>('SELECT id, name, contact FROM owners').all()) {
      enterInIndex(db, 'owner', owner.id, [owner.name], owner.name, owner.contact)
    }
    for (const ticket of db.prepare<[], TicketRow>(TICKETS).all()) indexTicketRow(db, ticket)
  })()
}

const SHARE: readonly (readonly [Kind, number])[] = [
  ['dog', 6],
  ['ticket', 6],
  ['owner', 4],
]
const MOST = 14
const OPEN_OF_DOG = "SELECT id, number FROM tickets WHERE dog_id = ? AND state = 'open' ORDER BY number DESC LIMIT 2"
/** Behind every letter there is. */
const LAST = '\u{10FFFF}'

interface Hit {
  kind: Kind
  ref: string
  title: string
  detail: string
}

/** One statement for all three kinds: an index range to each, for so many words typed. */
function queryFor(more: number, times: number): string {
  const also = 'AND EXISTS (SELECT 1 FROM search_words b WHERE b.kind = a.kind AND b.ref = a.ref AND b.word >= ? AND b.word < ?) '.repeat(more)
  return SHARE.map(
    ([kind, limit]) =>
      `SELECT * FROM (SELECT kind, ref, title, detail FROM search_words a WHERE kind = '${kind}' AND word >= ? AND word < ? ${also}LIMIT ${limit * times})`,
  ).join(' UNION ALL ')
}
/** Few words are typed, and a long text is slow to look up anew. */
const queries = new Map<number, string>()
function queryOf(more: number, times: number): string {
  const key = more * 2 + times
  const known = queries.get(key)
  if (known !== undefined) return known
  const made = queryFor(more, times)
  queries.set(key, made)
  return made
}

/** Words of one search that are looked up. */
const MOST_WORDS = 6

/**
 * Finds dogs, owners and tickets by the beginnings of words: names, breeds, a ticket's number, what a counter ticket was
 * opened with. Every word typed must begin one of theirs. At most 14 lines: an index range to each kind, however many dogs
 * there are, then an owner's dogs and a dog's open tickets under them.
 */
export function find(db: Db, typed: string): Found[] {
  // Nobody types more words than find one record; each costs three lookups.
  const words = [...new Set(wordsOf(typed))].slice(0, MOST_WORDS)
  if (words.length === 0) return []
  const ranges = words.flatMap((word) => [word, word + LAST])
  const ask = (times: 1 | 2): Hit[] => db.prepare<unknown[], Hit>(queryOf(words.length - 1, times)).all(...ranges, ...ranges, ...ranges)
  const hits = ask(1)
  // One record may be found by two of its words; then there is room for others, and they are asked for.
  return foundIn(db, new Set(hits.map(({ ref }) => ref)).size < hits.length ? ask(2) : hits)
}

function foundIn(db: Db, hits: readonly Hit[]): Found[] {
  const room = new Map<Kind, number>(SHARE)
  const seen = new Set<string>()
  const kept: Hit[] = []
  for (const hit of hits) {
    const left = room.get(hit.kind) ?? 0
    if (left === 0 || seen.has(hit.ref)) continue
    seen.add(hit.ref)
    room.set(hit.kind, left - 1)
    kept.push(hit)
  }
  return inTheirOrder(db, kept).slice(0, MOST)
}

/** A person first, with their dogs; each dog with its open tickets; then what was found by itself. */
function inTheirOrder(db: Db, hits: readonly Hit[]): Found[] {
  const placed = new Set<string>()
  const found: Found[] = []
  const put = (line: Omit<Found, 'depth'>, depth: number): void => {
    if (placed.has(line.id)) return
    placed.add(line.id)
    found.push({ ...line, depth })
  }
  const ofKind = (kind: Kind): Hit[] => hits.filter((hit) => hit.kind === kind)
  const putDog = (dog: Omit<Found, 'depth'>, depth: number): void => {
    put(dog, depth)
    for (const { id, number } of db.prepare<[string], { id: string; number: number }>(OPEN_OF_DOG).all(dog.id)) {
      put({ kind: 'ticket', id, title: `Ticket ${number}`, detail: `${dog.title}, open` }, depth + 1)
    }
  }
  for (const { ref: id, title, detail } of ofKind('owner')) {
    put({ kind: 'owner', id, title, detail }, 0)
    for (const dog of db.prepare<[string], DogRow>(`${DOGS} WHERE dogs.owner_id = ? AND ${STANDS} ORDER BY dogs.name LIMIT 6`).all(id)) {
      putDog({ kind: 'dog', id: dog.id, title: dog.name, detail: dog.breed }, 1)
    }
  }
  for (const { ref: id, title, detail } of ofKind('dog')) putDog({ kind: 'dog', id, title, detail }, 0)
  for (const { ref: id, title, detail } of ofKind('ticket')) put({ kind: 'ticket', id, title, detail }, 0)
  return found
}
