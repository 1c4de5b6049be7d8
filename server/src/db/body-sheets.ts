import { measures } from '@merry-tailor/core'
import type { BodySheet } from '@merry-tailor/core/formats'
import { ProblemError } from '../problems.ts'
import { addDog } from './dogs.ts'
import { addDogNote, changeDogNote } from './dog-notes.ts'
import { addMark } from './marks.ts'
import type { Db } from './open.ts'
import { addOwner, ownerNamed } from './owners.ts'
import { addReading } from './readings.ts'
import { dogSheet } from './sheets.ts'
import { addTicket } from './tickets.ts'

/** The same without one field. */
function without<T extends object, K extends keyof T>(whole: T, field: K): Omit<T, K> {
  const rest = { ...whole }
  Reflect.deleteProperty(rest, field)
  return rest
}

/** One dog's body sheet: visits with readings only, oldest first. */
export function bodySheetOf(db: Db, dogId: string): BodySheet {
  const { dog, owner, tickets, notes } = dogSheet(db, dogId)
  return {
    format: 'merry-tailor/body-sheet',
    version: 1,
    dog: without(dog, 'ownerId'),
    owner: owner ? { name: owner.name, contact: owner.contact } : null,
    visits: tickets
      .filter((sheet) => sheet.readings.length > 0)
      .sort((a, b) => a.ticket.createdAt.localeCompare(b.ticket.createdAt) || a.ticket.id.localeCompare(b.ticket.id))
      .map(({ ticket, readings, marks }) => ({
        ticketId: ticket.id,
        openedAt: ticket.createdAt,
        by: ticket.by,
        readings: readings.map((reading) => without(without(reading, 'struck'), 'on')),
        marks: marks.filter((mark) => mark.what === 'reading'),
      })),
    notes,
  }
}

/**
 * Takes a body sheet in under the ids it names: what is here already stays as it is, so the same sheet twice changes
 * nothing. Runs inside the caller's transaction: all of it or nothing.
 *
 * @param ownerId id for the owner, if the sheet names one and none of that name is here
 */
export function takeBodySheet(db: Db, sheet: BodySheet, ownerId: string): { dogId: string; readings: number } {
  const { id, createdAt, ...fields } = sheet.dog
  const namesake = sheet.owner ? ownerNamed(db, sheet.owner.name) : undefined
  const owner = sheet.owner ? (namesake ?? addOwner(db, ownerId, { ...sheet.owner, at: createdAt }).id) : null
  addDog(db, id, { ...fields, ownerId: owner, at: createdAt })
  let count = 0
  for (const visit of sheet.visits) {
    const ticket = addTicket(db, visit.ticketId, { dogId: id, ownerId: owner, kind: 'real', at: visit.openedAt, by: visit.by })
    if (ticket.dogId !== id) throw new ProblemError('bad-document', `Visit ${visit.ticketId} belongs to another dog here.`)
    for (const { id: readingId, ...reading } of visit.readings) {
      if (!measures[reading.measure]) throw new ProblemError('bad-document', `${reading.measure} is no measure of the catalogue.`)
      addReading(db, visit.ticketId, readingId, reading)
      count += 1
    }
    for (const { id: markId, ...mark } of visit.marks) addMark(db, visit.ticketId, markId, mark)
  }
  for (const { id: noteId, over, ...note } of sheet.notes) {
    const kept = addDogNote(db, id, noteId, note)
    if (over !== null && kept.over === null) changeDogNote(db, id, noteId, [{ field: 'over', from: null, to: over }])
  }
  return { dogId: id, readings: count }
}
