import { dayIn, freshOf, resources, type Change, type Item, type NewItem, type NewTicket, type Ticket } from '@merry-tailor/core'
import { ItemFields, TicketFields } from '@merry-tailor/core/schemas'
import { ProblemError } from '../problems.ts'
import { checkedChanges, applyChanges, writeFields } from './changes.ts'
import { requireDog } from './dogs.ts'
import { nextNumber } from './head.ts'
import { keptFor } from './one-dog.ts'
import type { Db } from './open.ts'
import { requireOwner } from './owners.ts'
import { requireReference } from './references.ts'
import { insert, recordOf, type Row } from './rows.ts'
import { indexTicket } from './search.ts'
import { readShop } from './shop.ts'

const { tickets, items } = resources

export const toTicket = (row: Row): Ticket => recordOf(tickets, row)

export function findTicket(db: Db, id: string): Ticket | null {
  const row = db.prepare<[string], Row>('SELECT * FROM tickets WHERE id = ?').get(id)
  return row ? toTicket(row) : null
}

export function requireTicket(db: Db, id: string): Ticket {
  const ticket = findTicket(db, id)
  if (!ticket) throw new ProblemError('not-found', 'There is no ticket under this id.')
  return ticket
}

const closed = (ticket: Pick<Ticket, 'number'>): ProblemError =>
  new ProblemError('ticket-closed', `Ticket ${ticket.number} is closed. Open it again to change it.`)

interface OpenTicket {
  number: number
  state: Ticket['state']
  kind: Ticket['kind']
  dog_id: string | null
}

/** A closed ticket is a record: only opening it again is allowed. Asked at every reading, so no more is read than decides. */
export function requireOpenTicket(db: Db, id: string): OpenTicket {
  const ticket = db.prepare<[string], OpenTicket>('SELECT number, state, kind, dog_id FROM tickets WHERE id = ?').get(id)
  if (!ticket) throw new ProblemError('not-found', 'There is no ticket under this id.')
  if (ticket.state === 'closed') throw closed(ticket)
  return ticket
}

/** Every ticket of one dog, newest first. */
export const ticketsOfDog = (db: Db, dogId: string): Ticket[] =>
  db.prepare<[string], Row>('SELECT * FROM tickets WHERE dog_id = ? ORDER BY created_at DESC, number DESC').all(dogId).map(toTicket)

/** Tickets in a state, newest first. */
export function listTickets(db: Db, state: 'open' | 'closed' | 'all'): Ticket[] {
  const rows =
    state === 'all'
      ? db.prepare<[], Row>('SELECT * FROM tickets ORDER BY created_at DESC, number DESC').all()
      : db.prepare<[string], Row>('SELECT * FROM tickets WHERE state = ? ORDER BY created_at DESC, number DESC').all(state)
  return rows.map(toTicket)
}

/** Opens a ticket under a client-made id and gives it the next number; again with the same id changes nothing. */
export function addTicket(db: Db, id: string, ticket: NewTicket): Ticket {
  const known = findTicket(db, id)
  if (known) return known
  if (ticket.dogId) requireReference(() => requireDog(db, ticket.dogId ?? ''), 'dogId')
  if (ticket.ownerId) requireReference(() => requireOwner(db, ticket.ownerId ?? ''), 'ownerId')
  insert(db, tickets, {
    ...freshOf(tickets, id, ticket),
    dogId: ticket.dogId && keptFor(db, ticket.dogId),
    number: nextNumber(db),
    on: dayIn(readShop(db).timeZone, ticket.at),
  })
  indexTicket(db, id)
  return requireTicket(db, id)
}

/** Changes fields of an open ticket; a closed one can only be opened again. Closing notes its moment, opening forgets it. */
export function changeTicket(db: Db, id: string, changes: readonly Change[], at: string): Ticket {
  const now = requireTicket(db, id)
  const opens = now.state === 'closed' && changes.some((change) => change.field === 'state' && change.to === 'open')
  if (now.state === 'closed' && (!opens || changes.some((change) => change.field !== 'state' && change.field !== 'closedAt'))) throw closed(now)
  for (const { field, to } of changes) {
    if (field === 'dogId' && typeof to === 'string') requireReference(() => requireDog(db, to), 'dogId')
    if (field === 'ownerId' && typeof to === 'string') requireReference(() => requireOwner(db, to), 'ownerId')
  }
  const next = checkedChanges(now, TicketFields.shape, changes, 'tickets have')
  const settled: Ticket = { ...next, closedAt: next.state === 'closed' ? (next.closedAt ?? at) : null }
  // Both columns in one statement: a moment of closing stands only beside a closed ticket.
  if (settled.state !== now.state || settled.closedAt !== now.closedAt)
    db.prepare('UPDATE tickets SET state = ?, closed_at = ? WHERE id = ?').run(settled.state, settled.closedAt, id)
  writeFields(db, tickets, { ...now, state: settled.state, closedAt: settled.closedAt }, settled)
  indexTicket(db, id)
  return settled
}

export const itemsOfTicket = (db: Db, ticketId: string): Item[] =>
  db
    .prepare<[string], Row>('SELECT * FROM items WHERE ticket_id = ? ORDER BY rowid')
    .all(ticketId)
    .map((row) => recordOf(items, row))

export function requireItem(db: Db, ticketId: string, id: string): Item {
  const row = db.prepare<[string, string], Row>('SELECT * FROM items WHERE id = ? AND ticket_id = ?').get(id, ticketId)
  if (!row) throw new ProblemError('not-found', 'There is no such item on this ticket.')
  return recordOf(items, row)
}

export function addItem(db: Db, ticketId: string, id: string, item: NewItem): Item {
  const known = db.prepare<[string, string], Row>('SELECT * FROM items WHERE id = ? AND ticket_id = ?').get(id, ticketId)
  if (known) return recordOf(items, known)
  requireOpenTicket(db, ticketId)
  insert(db, items, freshOf(items, id, item), { ticketId })
  return requireItem(db, ticketId, id)
}

export function changeItem(db: Db, ticketId: string, id: string, changes: readonly Change[]): Item {
  requireOpenTicket(db, ticketId)
  return applyChanges(db, items, requireItem(db, ticketId, id), ItemFields.shape, changes)
}
