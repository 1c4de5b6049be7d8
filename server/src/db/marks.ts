import { resources, strikeOf, type Mark, type MarkedKind, type NewMark, type Strike } from '@merry-tailor/core'
import { ProblemError } from '../problems.ts'
import { addFact, factsOf } from './facts.ts'
import type { Db } from './open.ts'
import { requireOpenTicket } from './tickets.ts'

/** Every mark of a ticket in the order in which they arrived. */
export const marksOfTicket = (db: Db, ticketId: string): Mark[] => factsOf(db, resources.marks, ticketId)

/** The newest mark on each fact. */
export const newestMarks = (marks: readonly Mark[]): Map<string, Mark> => new Map(marks.map((mark) => [mark.about, mark]))

/** A fact with the newest mark on it: struck out, or counting. */
export const withMark = <T extends { id: string; struck?: Strike | undefined }>(fact: T, newest: ReadonlyMap<string, Mark>): T => {
  const struck = strikeOf(newest.get(fact.id))
  return struck ? { ...fact, struck } : fact
}

/** Whether a fact of the ticket is there, by its kind. */
const FACT: Readonly<Record<MarkedKind, string>> = {
  reading: 'SELECT 1 FROM readings WHERE id = ? AND ticket_id = ?',
  acknowledgement: 'SELECT 1 FROM acknowledgements WHERE id = ? AND ticket_id = ?',
  'as-written': 'SELECT 1 FROM as_written WHERE id = ? AND ticket_id = ?',
  choice: 'SELECT 1 FROM choices WHERE id = ? AND ticket_id = ?',
  hitch: 'SELECT 1 FROM hitches WHERE id = ? AND ticket_id = ?',
  'set-up': 'SELECT 1 FROM set_ups WHERE id = ? AND ticket_id = ?',
  'try-on': 'SELECT 1 FROM try_ons WHERE id = ? AND ticket_id = ?',
  observation: 'SELECT 1 FROM observations JOIN try_ons ON try_ons.id = try_on_id WHERE observations.id = ? AND ticket_id = ?',
  symptom: 'SELECT 1 FROM symptom_notes JOIN try_ons ON try_ons.id = try_on_id WHERE symptom_notes.id = ? AND ticket_id = ?',
  setting: 'SELECT 1 FROM settings WHERE id = ? AND ticket_id = ?',
}

/** Strikes out or restores a fact of the ticket. The same id again changes nothing. */
export const addMark = (db: Db, ticketId: string, id: string, mark: NewMark): Mark =>
  addFact(db, resources.marks, { ...mark, id }, { ticketId }, () => {
    requireOpenTicket(db, ticketId)
    if (!db.prepare(FACT[mark.what]).get(mark.about, ticketId)) throw new ProblemError('not-found', `There is no such ${mark.what} on this ticket.`)
  })
