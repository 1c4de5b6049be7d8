import {
  ItemFields,
  TicketFields,
  type Activity,
  type Change,
  type FamilyId,
  type Item,
  type ItemWay,
  type NewItem,
  type NewTicket,
  type School,
  type Ticket,
  type Trait,
} from '@merry-tailor/core'
import { ProblemError } from '../problems.ts'
import { applyChanges, flag, json, plain, type Columns } from './changes.ts'
import { requireDog, requireReference } from './dogs.ts'
import type { Db } from './open.ts'
import { requireOwner } from './owners.ts'
import { indexTicket } from './search.ts'

interface Row {
  id: string
  number: number
  dog_id: string | null
  owner_id: string | null
  counter: number
  activities: string
  traits: string
  team_place: Ticket['teamPlace']
  budget: number | null
  also_worn: string
  air_c: number | null
  needed_on: string | null
  promised_on: string | null
  next_look_on: string | null
  notes: string
  whole_body: number
  state: 'open' | 'closed'
  closed_at: string | null
  created_at: string
  by_whom: string
}

export const toTicket = (row: Row): Ticket => ({
  id: row.id,
  number: row.number,
  dogId: row.dog_id,
  ownerId: row.owner_id,
  counter: row.counter === 1,
  activities: JSON.parse(row.activities) as Activity[],
  traits: JSON.parse(row.traits) as Trait[],
  teamPlace: row.team_place,
  budget: row.budget,
  alsoWorn: row.also_worn,
  airC: row.air_c,
  neededOn: row.needed_on,
  promisedOn: row.promised_on,
  nextLookOn: row.next_look_on,
  notes: row.notes,
  wholeBody: row.whole_body === 1,
  state: row.state,
  closedAt: row.closed_at,
  createdAt: row.created_at,
  by: row.by_whom,
})

const ticketColumns: Columns = {
  table: 'tickets',
  fields: {
    dogId: plain('dog_id'),
    ownerId: plain('owner_id'),
    activities: json('activities'),
    traits: json('traits'),
    teamPlace: plain('team_place'),
    budget: plain('budget'),
    alsoWorn: plain('also_worn'),
    airC: plain('air_c'),
    neededOn: plain('needed_on'),
    promisedOn: plain('promised_on'),
    nextLookOn: plain('next_look_on'),
    notes: plain('notes'),
    wholeBody: flag('whole_body'),
    state: plain('state'),
    closedAt: plain('closed_at'),
  },
}

export function requireTicket(db: Db, id: string): Ticket {
  const row = db.prepare<[string], Row>('SELECT * FROM tickets WHERE id = ?').get(id)
  if (!row) throw new ProblemError('not-found', 'There is no ticket under this id.')
  return toTicket(row)
}

/** A closed ticket is a record: only opening it again is allowed. */
export function requireOpenTicket(db: Db, id: string): Ticket {
  const ticket = requireTicket(db, id)
  if (ticket.state === 'closed') throw new ProblemError('ticket-closed', `Ticket ${ticket.number} is closed. Open it again to change it.`)
  return ticket
}

export function listTickets(db: Db, state: 'open' | 'closed' | 'all', dogId?: string): Ticket[] {
  const rows = db
    .prepare<[string, string, string | null, string | null], Row>(
      `SELECT * FROM tickets WHERE (? = 'all' OR state = ?) AND (? IS NULL OR dog_id = ?) ORDER BY created_at DESC, number DESC LIMIT 500`,
    )
    .all(state, state, dogId ?? null, dogId ?? null)
  return rows.map(toTicket)
}

/** Opens a ticket under a client-made id and gives it the next number; again with the same id changes nothing. */
export function addTicket(db: Db, id: string, ticket: NewTicket): Ticket {
  if (ticket.dogId) requireReference(() => requireDog(db, ticket.dogId ?? ''), 'dogId')
  if (ticket.ownerId) requireReference(() => requireOwner(db, ticket.ownerId ?? ''), 'ownerId')
  db.prepare(
    `INSERT INTO tickets (id, number, dog_id, owner_id, counter, created_at, by_whom)
     VALUES (?, (SELECT coalesce(max(number), 100) + 1 FROM tickets), ?, ?, ?, ?, ?) ON CONFLICT (id) DO NOTHING`,
  ).run(id, ticket.dogId, ticket.ownerId, Number(ticket.counter), ticket.at, ticket.by)
  indexTicket(db, id)
  return requireTicket(db, id)
}

export function changeTicket(db: Db, id: string, changes: readonly Change[]): Ticket {
  const now = requireTicket(db, id)
  const opens = changes.some((change) => change.field === 'state')
  if (!opens) requireOpenTicket(db, id)
  for (const { field, to } of changes) {
    if (field === 'dogId' && typeof to === 'string') requireReference(() => requireDog(db, to), 'dogId')
    if (field === 'ownerId' && typeof to === 'string') requireReference(() => requireOwner(db, to), 'ownerId')
  }
  applyChanges(db, ticketColumns, id, now, TicketFields.shape, changes)
  indexTicket(db, id)
  return requireTicket(db, id)
}

interface ItemRow {
  id: string
  ticket_id: string
  family: FamilyId
  way: ItemWay
  school: School | null
  removed: number
  created_at: string
}

const toItem = (row: ItemRow): Item => ({
  id: row.id,
  family: row.family,
  way: row.way,
  school: row.school,
  removed: row.removed === 1,
  createdAt: row.created_at,
})
const itemColumns: Columns = {
  table: 'items',
  fields: { family: plain('family'), way: plain('way'), school: plain('school'), removed: flag('removed') },
}

export const itemsOfTicket = (db: Db, ticketId: string): Item[] =>
  db.prepare<[string], ItemRow>('SELECT * FROM items WHERE ticket_id = ? ORDER BY created_at, id').all(ticketId).map(toItem)

export function requireItem(db: Db, ticketId: string, id: string): Item {
  const row = db.prepare<[string, string], ItemRow>('SELECT * FROM items WHERE id = ? AND ticket_id = ?').get(id, ticketId)
  if (!row) throw new ProblemError('not-found', 'There is no such item on this ticket.')
  return toItem(row)
}

export function addItem(db: Db, ticketId: string, id: string, item: NewItem): Item {
  requireOpenTicket(db, ticketId)
  db.prepare('INSERT INTO items (id, ticket_id, family, way, school, created_at) VALUES (?, ?, ?, ?, ?, ?) ON CONFLICT (id) DO NOTHING').run(
    id,
    ticketId,
    item.family,
    item.way,
    item.school,
    item.at,
  )
  return requireItem(db, ticketId, id)
}

export function changeItem(db: Db, ticketId: string, id: string, changes: readonly Change[]): Item {
  requireOpenTicket(db, ticketId)
  applyChanges(db, itemColumns, id, requireItem(db, ticketId, id), ItemFields.shape, changes)
  return requireItem(db, ticketId, id)
}
