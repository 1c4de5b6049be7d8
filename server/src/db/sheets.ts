import { choiceOf, resources, type DogSheet, type Setting, type Ticket, type TicketSheet } from '@merry-tailor/core'
import { asWrittenOfTicket } from './as-written.ts'
import { notesOfDog } from './dog-notes.ts'
import { joinsOfDog } from './dog-joins.ts'
import { keptFor } from './one-dog.ts'
import { findDog, requireDog } from './dogs.ts'
import { factsOf } from './facts.ts'
import { marksOfTicket, newestMarks, withMark } from './marks.ts'
import type { Db } from './open.ts'
import { findOwner } from './owners.ts'
import { photosOfDog } from './photos.ts'
import { readingsOfTicket } from './readings.ts'
import { recordOf, type Row } from './rows.ts'
import { itemsOfTicket, listTickets, requireTicket, ticketsOfDog } from './tickets.ts'
import { tryOnsOfTicket } from './try-ons.ts'
import { outings } from './outings.ts'
import { bootOutings, tracings } from './paws.ts'
import { weighingsOfDog } from './weighings.ts'

/** Settings made on this ticket, and those of our pieces on this dog from any other. */
function settingsFor(db: Db, ticket: Ticket): Setting[] {
  const rows = ticket.dogId
    ? db
        .prepare<[string, string], Row>(
          "SELECT * FROM settings WHERE ticket_id = ? OR (dog_id = ? AND json_extract(of_what, '$.pieceId') IS NOT NULL) ORDER BY seq",
        )
        .all(ticket.id, ticket.dogId)
    : db.prepare<[string], Row>('SELECT * FROM settings WHERE ticket_id = ? ORDER BY seq').all(ticket.id)
  return rows.map((row) => recordOf(resources.settings, row))
}

function sheetOf(db: Db, ticket: Ticket, newest?: number): TicketSheet {
  const dog = ticket.dogId ? findDog(db, ticket.dogId) : null
  const ownerId = ticket.ownerId ?? dog?.ownerId ?? null
  const marks = marksOfTicket(db, ticket.id)
  const marksNow = newestMarks(marks)
  const marked = <T extends { id: string }>(facts: readonly T[]): T[] => (marksNow.size === 0 ? [...facts] : facts.map((fact) => withMark(fact, marksNow)))
  return {
    ticket,
    dog,
    owner: ownerId ? findOwner(db, ownerId) : null,
    dogNotes: dog ? notesOfDog(db, dog.id).filter((note) => note.over === null) : [],
    weighings: dog ? weighingsOfDog(db, dog.id) : [],
    outings: dog ? outings.ofDog(db, dog.id) : [],
    tracings: dog ? tracings.ofDog(db, dog.id) : [],
    bootOutings: dog ? bootOutings.ofDog(db, dog.id) : [],
    items: itemsOfTicket(db, ticket.id),
    readings: marked(readingsOfTicket(db, ticket.id, newest)),
    choices: marked(factsOf(db, resources.choices, ticket.id).map(choiceOf)),
    hitches: marked(factsOf(db, resources.hitches, ticket.id)),
    setUps: marked(factsOf(db, resources.setUps, ticket.id)),
    tryOns: marked(tryOnsOfTicket(db, ticket.id)).map((round) => ({
      ...round,
      observations: marked(round.observations),
      symptoms: marked(round.symptoms),
    })),
    settings: marked(settingsFor(db, ticket)),
    acknowledgements: marked(factsOf(db, resources.acknowledgements, ticket.id)),
    asWritten: marked(asWrittenOfTicket(db, ticket.id)),
    marks,
  }
}

export const ticketSheet = (db: Db, id: string): TicketSheet => sheetOf(db, requireTicket(db, id))

export const ticketSheets = (db: Db, state: 'open' | 'closed' | 'all'): TicketSheet[] => listTickets(db, state).map((ticket) => sheetOf(db, ticket))

/** Tickets of a dog with so many of its newest readings, at least the newest ticket; and how many readings that leaves out. */
function newestTickets(db: Db, dogId: string, newest: number): { tickets: TicketSheet[]; more: number } {
  const tickets: TicketSheet[] = []
  let room = newest
  for (const ticket of ticketsOfDog(db, dogId)) {
    if (tickets.length > 0 && room <= 0) break
    const sheet = sheetOf(db, ticket, Math.max(room, 1))
    room -= sheet.readings.length
    tickets.push(sheet)
  }
  const shown = tickets.reduce((sum, sheet) => sum + sheet.readings.length, 0)
  const { many } = db
    .prepare<[string], { many: number }>('SELECT count(*) AS many FROM readings WHERE ticket_id IN (SELECT id FROM tickets WHERE dog_id = ?)')
    .get(dogId) ?? { many: shown }
  return { tickets, more: many - shown }
}

/**
 * A dog's sheet; of a record that was put into another that one's.
 *
 * @param newest so many of its newest readings, with the tickets they are on: what a screen shows first of a dog of years
 */
export function dogSheet(db: Db, named: string, newest?: number): DogSheet {
  const id = keptFor(db, named)
  const dog = requireDog(db, id)
  return {
    dog,
    owner: dog.ownerId ? findOwner(db, dog.ownerId) : null,
    ...(newest === undefined ? { tickets: ticketsOfDog(db, id).map((ticket) => sheetOf(db, ticket)) } : newestTickets(db, id, newest)),
    notes: notesOfDog(db, id),
    photos: photosOfDog(db, id),
    weighings: weighingsOfDog(db, id),
    outings: outings.ofDog(db, id),
    tracings: tracings.ofDog(db, id),
    bootOutings: bootOutings.ofDog(db, id),
    joins: joinsOfDog(db, id),
  }
}
