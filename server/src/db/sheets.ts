import type { DogSheet, Ticket, TicketSheet } from '@merry-tailor/core'
import { asWrittenOfTicket } from './as-written.ts'
import { acknowledgementsOfTicket, choicesOfTicket } from './choices.ts'
import { notesOfDog } from './dog-notes.ts'
import { findDog, requireDog } from './dogs.ts'
import { marksOfTicket, newestMarks } from './marks.ts'
import type { Db } from './open.ts'
import { findOwner } from './owners.ts'
import { photosOfDog } from './photos.ts'
import { readingsOfTicket, withMark } from './readings.ts'
import { itemsOfTicket, listTickets, requireTicket } from './tickets.ts'
import { tryOnsOfTicket } from './try-ons.ts'

function sheetOf(db: Db, ticket: Ticket): TicketSheet {
  const dog = ticket.dogId ? findDog(db, ticket.dogId) : null
  const ownerId = ticket.ownerId ?? dog?.ownerId ?? null
  const marks = marksOfTicket(db, ticket.id)
  const newest = newestMarks(marks)
  return {
    ticket,
    dog,
    owner: ownerId ? findOwner(db, ownerId) : null,
    items: itemsOfTicket(db, ticket.id),
    readings: readingsOfTicket(db, ticket.id).map((reading) => withMark(reading, newest)),
    choices: choicesOfTicket(db, ticket.id),
    tryOns: tryOnsOfTicket(db, ticket.id),
    acknowledgements: acknowledgementsOfTicket(db, ticket.id).map((ack) => withMark(ack, newest)),
    asWritten: asWrittenOfTicket(db, ticket.id).map((written) => withMark(written, newest)),
    marks,
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
    notes: notesOfDog(db, id),
    photos: photosOfDog(db, id),
  }
}
