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

function sheetOf(db: Db, ticket: Ticket): TicketSheet {
  const dog = ticket.dogId ? findDog(db, ticket.dogId) : null
  const ownerId = ticket.ownerId ?? dog?.ownerId ?? null
  const marks = marksOfTicket(db, ticket.id)
  const newest = newestMarks(marks)
  const marked = <T extends { id: string }>(facts: readonly T[]): T[] => (newest.size === 0 ? [...facts] : facts.map((fact) => withMark(fact, newest)))
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
    readings: marked(readingsOfTicket(db, ticket.id)),
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

/** A dog's sheet; of a record that was put into another that one's. */
export function dogSheet(db: Db, named: string): DogSheet {
  const id = keptFor(db, named)
  const dog = requireDog(db, id)
  return {
    dog,
    owner: dog.ownerId ? findOwner(db, dog.ownerId) : null,
    tickets: ticketsOfDog(db, id).map((ticket) => sheetOf(db, ticket)),
    notes: notesOfDog(db, id),
    photos: photosOfDog(db, id),
    weighings: weighingsOfDog(db, id),
    outings: outings.ofDog(db, id),
    tracings: tracings.ofDog(db, id),
    bootOutings: bootOutings.ofDog(db, id),
    joins: joinsOfDog(db, id),
  }
}
