import type { DogSheet, Found, Ticket, TicketSheet } from '@merry-tailor/core'
import { acknowledgementsOfTicket, choicesOfTicket } from './choices.ts'
import { findDog, requireDog } from './dogs.ts'
import type { Db } from './open.ts'
import { findOwner } from './owners.ts'
import { readingsOfTicket } from './readings.ts'
import { itemsOfTicket, listTickets, requireTicket } from './tickets.ts'
import { tryOnsOfTicket } from './try-ons.ts'

function sheetOf(db: Db, ticket: Ticket): TicketSheet {
  const dog = ticket.dogId ? findDog(db, ticket.dogId) : null
  const ownerId = ticket.ownerId ?? dog?.ownerId ?? null
  return {
    ticket,
    dog,
    owner: ownerId ? findOwner(db, ownerId) : null,
    items: itemsOfTicket(db, ticket.id),
    readings: readingsOfTicket(db, ticket.id),
    choices: choicesOfTicket(db, ticket.id),
    tryOns: tryOnsOfTicket(db, ticket.id),
    acknowledgements: acknowledgementsOfTicket(db, ticket.id),
  }
}

export const ticketSheet = (db: Db, id: string): TicketSheet => sheetOf(db, requireTicket(db, id))

export const ticketSheets = (db: Db, state: 'open' | 'closed' | 'all'): TicketSheet[] => listTickets(db, state).map((ticket) => sheetOf(db, ticket))

export function dogSheet(db: Db, id: string): DogSheet {
  const dog = requireDog(db, id)
  return {
    dog,
    owner: dog.ownerId ? findOwner(db, dog.ownerId) : null,
    tickets: listTickets(db, 'all', id).map((ticket) => sheetOf(db, ticket)),
  }
}

/** Finds dogs, owners and tickets by what was typed: names, breeds, a ticket's number. At most 12 lines. */
export function find(db: Db, typed: string): Found[] {
  const wanted = typed.trim()
  if (wanted === '') return []
  const like = `%${wanted.replace(/[\\%_]/g, (sign) => `\\${sign}`)}%`
  const dogs = db
    .prepare<[string, string], Found>(
      `SELECT 'dog' AS kind, dogs.id, dogs.name AS title, trim(dogs.breed || coalesce(', ' || owners.name, ''), ', ') AS detail
       FROM dogs LEFT JOIN owners ON owners.id = dogs.owner_id
       WHERE dogs.name LIKE ? ESCAPE '\\' OR dogs.breed LIKE ? ESCAPE '\\' ORDER BY dogs.name LIMIT 6`,
    )
    .all(like, like)
  const owners = db
    .prepare<[string], Found>(`SELECT 'owner' AS kind, id, name AS title, contact AS detail FROM owners WHERE name LIKE ? ESCAPE '\\' ORDER BY name LIMIT 4`)
    .all(like)
  const tickets = db
    .prepare<[string, string, string], Found>(
      `SELECT 'ticket' AS kind, tickets.id, 'Ticket ' || number AS title, coalesce(dogs.name, 'Counter') || ', ' || tickets.state AS detail
       FROM tickets LEFT JOIN dogs ON dogs.id = tickets.dog_id LEFT JOIN owners ON owners.id = coalesce(tickets.owner_id, dogs.owner_id)
       WHERE CAST(number AS TEXT) LIKE ? ESCAPE '\\' OR dogs.name LIKE ? ESCAPE '\\' OR owners.name LIKE ? ESCAPE '\\'
       ORDER BY tickets.state DESC, number DESC LIMIT 6`,
    )
    .all(like, like, like)
  return [...dogs, ...tickets, ...owners].slice(0, 12)
}
