import type { AsWritten, BecameReading, NewAsWritten } from '@merry-tailor/core'
import { ProblemError } from '../problems.ts'
import { requireReference } from './dogs.ts'
import type { Db } from './open.ts'
import { findReading } from './readings.ts'
import { requireOpenTicket } from './tickets.ts'

interface Row {
  id: string
  letters: string
  as_written: string
  came: AsWritten['came']
  wanted: string | null
  remark: string
  at: string
  by_whom: string
  reading_id: string | null
  answered_at: string | null
  answered_by: string | null
}

const SELECT = `SELECT as_written.*, answers.reading_id, answers.at AS answered_at, answers.by_whom AS answered_by
  FROM as_written LEFT JOIN answers ON answers.as_written_id = as_written.id`

const toAsWritten = (row: Row): AsWritten => ({
  id: row.id,
  letters: row.letters,
  asWritten: row.as_written,
  came: row.came,
  wanted: row.wanted,
  remark: row.remark,
  at: row.at,
  by: row.by_whom,
  became: row.reading_id !== null && row.answered_at !== null ? { readingId: row.reading_id, at: row.answered_at, by: row.answered_by ?? '' } : null,
})

export const asWrittenOfTicket = (db: Db, ticketId: string): AsWritten[] =>
  db.prepare<[string], Row>(`${SELECT} WHERE ticket_id = ? ORDER BY as_written.at, as_written.id`).all(ticketId).map(toAsWritten)

function requireAsWritten(db: Db, ticketId: string, id: string): AsWritten {
  const row = db.prepare<[string, string], Row>(`${SELECT} WHERE as_written.id = ? AND as_written.ticket_id = ?`).get(id, ticketId)
  if (!row) throw new ProblemError('not-found', 'There is no such number on this ticket.')
  return toAsWritten(row)
}

/** Keeps a number under the sender's own letters; the same id again changes nothing. */
export function addAsWritten(db: Db, ticketId: string, id: string, written: NewAsWritten): AsWritten {
  requireOpenTicket(db, ticketId)
  db.prepare(
    `INSERT INTO as_written (id, ticket_id, letters, as_written, came, wanted, remark, at, by_whom)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?) ON CONFLICT (id) DO NOTHING`,
  ).run(id, ticketId, written.letters, written.asWritten, written.came, written.wanted, written.remark, written.at, written.by)
  return requireAsWritten(db, ticketId, id)
}

/** The sender answered: the number became this reading. */
export function answerAsWritten(db: Db, ticketId: string, id: string, answer: BecameReading): AsWritten {
  requireOpenTicket(db, ticketId)
  requireAsWritten(db, ticketId, id)
  requireReference(() => {
    if (findReading(db, answer.readingId)?.ticketId !== ticketId) throw new ProblemError('not-found', 'There is no such reading on this ticket.')
  }, 'readingId')
  db.prepare('INSERT INTO answers (as_written_id, reading_id, at, by_whom) VALUES (?, ?, ?, ?) ON CONFLICT (as_written_id) DO NOTHING').run(
    id,
    answer.readingId,
    answer.at,
    answer.by,
  )
  return requireAsWritten(db, ticketId, id)
}
