import { measures, type Method, type NewReading, type Reading, type Strike } from '@merry-tailor/core'
import { ProblemError } from '../problems.ts'
import type { Db } from './open.ts'
import { requireOpenTicket } from './tickets.ts'

interface Row {
  id: string
  ticket_id: string
  measure: string
  mm: number
  side: 'both' | 'one'
  as_typed: string
  unit: 'in' | 'cm' | 'mm'
  method: Method
  taken_at: string
  by_whom: string
  why: string | null
  struck_at: string | null
  struck_by: string | null
}

const SELECT = `SELECT readings.*, strikes.why, strikes.at AS struck_at, strikes.by_whom AS struck_by
  FROM readings LEFT JOIN strikes ON strikes.reading_id = readings.id`

const toReading = (row: Row): Reading => ({
  id: row.id,
  measure: row.measure,
  mm: row.mm,
  side: row.side,
  asTyped: row.as_typed,
  unit: row.unit,
  method: row.method,
  takenAt: row.taken_at,
  by: row.by_whom,
  ...(row.why !== null && row.struck_at !== null ? { struck: { why: row.why, at: row.struck_at, by: row.struck_by ?? '' } } : {}),
})

export const readingsOfTicket = (db: Db, ticketId: string): Reading[] =>
  db.prepare<[string], Row>(`${SELECT} WHERE ticket_id = ? ORDER BY taken_at, readings.id`).all(ticketId).map(toReading)

function findReading(db: Db, id: string): { ticketId: string; reading: Reading } | null {
  const row = db.prepare<[string], Row>(`${SELECT} WHERE readings.id = ?`).get(id)
  return row ? { ticketId: row.ticket_id, reading: toReading(row) } : null
}

/**
 * Appends a reading. The same id with the same reading changes nothing, even on a ticket closed meanwhile; with
 * another reading it is refused, since a reading is never changed.
 */
export function addReading(db: Db, ticketId: string, id: string, reading: NewReading): Reading {
  const known = findReading(db, id)
  if (known) {
    const same =
      known.ticketId === ticketId && known.reading.measure === reading.measure && known.reading.mm === reading.mm && known.reading.side === reading.side
    if (!same) throw new ProblemError('id-taken', 'Another reading is kept under this id. A reading is never changed, only struck.')
    return known.reading
  }
  requireOpenTicket(db, ticketId)
  if (!measures[reading.measure]) throw new ProblemError('unknown-reference', `${reading.measure} is no measure of the catalogue.`)
  if (reading.side === 'one' && !measures[reading.measure]?.doubling) {
    throw new ProblemError('doubling-not-allowed', `${measures[reading.measure]?.name ?? reading.measure} is never taken on one side and doubled.`, {
      fields: [{ path: 'side', message: 'take the whole of it' }],
    })
  }
  db.prepare('INSERT INTO readings (id, ticket_id, measure, mm, side, as_typed, unit, method, taken_at, by_whom) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)').run(
    id,
    ticketId,
    reading.measure,
    reading.mm,
    reading.side,
    reading.asTyped,
    reading.unit,
    reading.method,
    reading.takenAt,
    reading.by,
  )
  return findReading(db, id)?.reading as Reading
}

/** Strikes a reading out with a reason. Striking twice keeps the first reason. */
export function strikeReading(db: Db, ticketId: string, id: string, strike: Strike): Reading {
  const known = findReading(db, id)
  if (known?.ticketId !== ticketId) throw new ProblemError('not-found', 'There is no such reading on this ticket.')
  if (!known.reading.struck) requireOpenTicket(db, ticketId)
  db.prepare('INSERT INTO strikes (reading_id, why, at, by_whom) VALUES (?, ?, ?, ?) ON CONFLICT (reading_id) DO NOTHING').run(
    id,
    strike.why,
    strike.at,
    strike.by,
  )
  return findReading(db, id)?.reading as Reading
}
