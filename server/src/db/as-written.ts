import { resources, type AsWritten, type BecameReading, type NewAsWritten } from '@merry-tailor/core'
import { ProblemError } from '../problems.ts'
import { addFact } from './facts.ts'
import type { Db } from './open.ts'
import { ticketOfReading } from './readings.ts'
import { requireReference } from './references.ts'
import { insert, recordOf, type Row } from './rows.ts'
import { requireOpenTicket } from './tickets.ts'

const SELECT = `SELECT as_written.*, answers.reading_id, answers.at AS answered_at, answers.by_whom AS answered_by
  FROM as_written LEFT JOIN answers ON answers.as_written_id = as_written.id`

const toAsWritten = (row: Row): AsWritten => ({
  ...recordOf(resources.asWritten, row),
  became:
    row['reading_id'] !== null && row['answered_at'] !== null
      ? { readingId: String(row['reading_id']), at: String(row['answered_at']), by: String(row['answered_by'] ?? '') }
      : null,
})

export const asWrittenOfTicket = (db: Db, ticketId: string): AsWritten[] =>
  db.prepare<[string], Row>(`${SELECT} WHERE ticket_id = ? ORDER BY as_written.seq`).all(ticketId).map(toAsWritten)

function requireAsWritten(db: Db, ticketId: string, id: string): AsWritten {
  const row = db.prepare<[string, string], Row>(`${SELECT} WHERE as_written.id = ? AND as_written.ticket_id = ?`).get(id, ticketId)
  if (!row) throw new ProblemError('not-found', 'There is no such number on this ticket.')
  return toAsWritten(row)
}

/** Keeps a number under the sender's own letters. */
export function addAsWritten(db: Db, ticketId: string, id: string, written: NewAsWritten): AsWritten {
  addFact(db, resources.asWritten, { ...written, id, became: null }, { ticketId }, () => requireOpenTicket(db, ticketId))
  return requireAsWritten(db, ticketId, id)
}

/** The sender answered: the number became this reading. The first answer stays. */
export function answerAsWritten(db: Db, ticketId: string, id: string, answer: BecameReading): AsWritten {
  const known = requireAsWritten(db, ticketId, id)
  if (known.became?.readingId === answer.readingId) return known
  requireOpenTicket(db, ticketId)
  requireReference(() => {
    if (ticketOfReading(db, answer.readingId) !== ticketId) throw new ProblemError('not-found', 'There is no such reading on this ticket.')
  }, 'readingId')
  insert(db, resources.answers, { ...answer, asWrittenId: id })
  return requireAsWritten(db, ticketId, id)
}
