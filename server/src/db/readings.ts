import { dayIn, freshOf, measures, resources, type NewReading, type Reading } from '@merry-tailor/core'
import { ProblemError } from '../problems.ts'
import { addFact } from './facts.ts'
import type { Db } from './open.ts'
import { recordsOf } from './rows.ts'
import { indexTicket, OPENED_WITH } from './search.ts'
import { readShop } from './shop.ts'
import { requireOpenTicket } from './tickets.ts'

const { readings } = resources

/** A ticket's readings, in the order in which the server took them. @param newest so many of the last */
export const readingsOfTicket = (db: Db, ticketId: string, newest?: number): Reading[] =>
  newest === undefined
    ? recordsOf(db, readings, 'WHERE ticket_id = ? ORDER BY seq', ticketId)
    : recordsOf(db, readings, 'WHERE ticket_id = ? ORDER BY seq DESC LIMIT ?', ticketId, newest).reverse()

/** The ticket a reading is on. */
export const ticketOfReading = (db: Db, id: string): string | undefined =>
  db.prepare<[string], { ticket_id: string }>('SELECT ticket_id FROM readings WHERE id = ?').get(id)?.ticket_id

/** Refuses what the catalogue does not allow: an unknown measure, a paw that is none, a doubled girth, a stray mark. */
function mustBeTakeable(reading: NewReading): void {
  const measure = measures[reading.measure]
  if (!measure) throw new ProblemError('unknown-reference', `${reading.measure} is no measure of the catalogue.`)
  const refuse = (path: string, message: string): never => {
    throw new ProblemError('not-takeable', `${measure.name}: ${message}.`, { fields: [{ path, message }] })
  }
  if (reading.side === 'one' && !measure.doubling) {
    throw new ProblemError('doubling-not-allowed', `${measure.name} is never taken on one side and doubled.`, {
      fields: [{ path: 'side', message: 'take the whole of it' }],
    })
  }
  const place = reading.place ?? null
  const allowed = measure.places.length > 0 ? measure.places : measure.sided ? (['left', 'right'] as const) : []
  if (place === null ? measure.places.length > 0 : !allowed.some((each) => each === place)) refuse('place', 'say which one')
  if (reading.chalkMark && !['M10', 'M12', 'M13'].includes(reading.measure)) refuse('chalkMark', 'no chalk mark on this line')
  if (reading.dewclaw && reading.measure !== 'M37') refuse('dewclaw', 'dewclaws are noted with their height')
}

const MANY = `SELECT count(*) AS many FROM (SELECT 1 FROM readings WHERE ticket_id = ? LIMIT ${OPENED_WITH + 1})`

/** Appends a reading; it is never changed. A counter ticket is found by those it was opened with. */
export function addReading(db: Db, ticketId: string, id: string, given: NewReading): Reading {
  const fresh = freshOf(readings, id, given)
  fresh.on ??= dayIn(readShop(db).timeZone, given.takenAt)
  const found = { nameless: false }
  const kept = addFact(db, readings, fresh, { ticketId }, () => {
    const ticket = requireOpenTicket(db, ticketId)
    found.nameless = ticket.kind === 'counter' && ticket.dog_id === null
    mustBeTakeable(given)
  })
  if (found.nameless && (db.prepare<[string], { many: number }>(MANY).get(ticketId)?.many ?? 0) <= OPENED_WITH) indexTicket(db, ticketId)
  return kept
}
