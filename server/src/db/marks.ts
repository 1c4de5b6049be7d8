import type { Mark, MarkedKind, NewMark } from '@merry-tailor/core'
import { ProblemError } from '../problems.ts'
import type { Db } from './open.ts'
import { requireOpenTicket } from './tickets.ts'

interface Row {
  id: string
  what: MarkedKind
  about: string
  kind: Mark['kind']
  why: string
  at: string
  by_whom: string
}

const toMark = ({ id, what, about, kind, why, at, by_whom: by }: Row): Mark => ({ id, what, about, kind, why, at, by })

/** Every mark of a ticket in the order in which they arrived. */
export const marksOfTicket = (db: Db, ticketId: string): Mark[] =>
  db.prepare<[string], Row>('SELECT * FROM marks WHERE ticket_id = ? ORDER BY seq').all(ticketId).map(toMark)

/** The newest mark on each fact. */
export const newestMarks = (marks: readonly Mark[]): Map<string, Mark> => new Map(marks.map((mark) => [mark.about, mark]))

const TABLES: Readonly<Record<MarkedKind, string>> = { reading: 'readings', acknowledgement: 'acknowledgements', 'as-written': 'as_written' }

/** Strikes out or restores a fact of the ticket. The same id again changes nothing. */
export function addMark(db: Db, ticketId: string, id: string, mark: NewMark): Mark {
  const known = db.prepare<[string], Row>('SELECT * FROM marks WHERE id = ?').get(id)
  if (known) {
    if (known.about !== mark.about || known.kind !== mark.kind) throw new ProblemError('id-taken', 'Another mark is kept under this id.')
    return toMark(known)
  }
  requireOpenTicket(db, ticketId)
  const fact = db.prepare(`SELECT 1 FROM ${TABLES[mark.what]} WHERE id = ? AND ticket_id = ?`).get(mark.about, ticketId)
  if (!fact) throw new ProblemError('not-found', `There is no such ${mark.what} on this ticket.`)
  db.prepare('INSERT INTO marks (id, ticket_id, what, about, kind, why, at, by_whom) VALUES (?, ?, ?, ?, ?, ?, ?, ?)').run(
    id,
    ticketId,
    mark.what,
    mark.about,
    mark.kind,
    mark.why,
    mark.at,
    mark.by,
  )
  return { ...mark, id }
}
