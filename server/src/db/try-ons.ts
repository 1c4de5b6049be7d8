import type { NewObservation, NewSymptomNote, NewTryOn, Observation, SymptomNote, TryOn } from '@merry-tailor/core'
import { ProblemError } from '../problems.ts'
import { requireReference } from './dogs.ts'
import type { Db } from './open.ts'
import { requireItem, requireOpenTicket } from './tickets.ts'

interface Row {
  id: string
  ticket_id: string
  item_id: string
  table_id: string
  table_version: number | null
  label: string
  changed: string
  at: string
  by_whom: string
}

interface ObservationRow {
  id: string
  check_id: string
  state: Observation['state']
  grade: Observation['grade']
  as_typed: string
  mm: number | null
  fingers: number | null
  at: string
  by_whom: string
}

interface SymptomRow {
  id: string
  symptom: string
  remedy: number | null
  present: number
  at: string
  by_whom: string
}

const toObservation = (row: ObservationRow): Observation => ({
  id: row.id,
  check: row.check_id,
  state: row.state,
  grade: row.grade,
  asTyped: row.as_typed,
  mm: row.mm,
  fingers: row.fingers,
  at: row.at,
  by: row.by_whom,
})

const toSymptomNote = (row: SymptomRow): SymptomNote => ({
  id: row.id,
  symptom: row.symptom,
  remedy: row.remedy,
  present: row.present === 1,
  at: row.at,
  by: row.by_whom,
})

const withFindings = (db: Db, row: Row): TryOn => ({
  id: row.id,
  itemId: row.item_id,
  tableId: row.table_id,
  tableVersion: row.table_version,
  label: row.label,
  changed: row.changed,
  at: row.at,
  by: row.by_whom,
  observations: db.prepare<[string], ObservationRow>('SELECT * FROM observations WHERE try_on_id = ? ORDER BY at, id').all(row.id).map(toObservation),
  symptoms: db.prepare<[string], SymptomRow>('SELECT * FROM symptom_notes WHERE try_on_id = ? ORDER BY at, id').all(row.id).map(toSymptomNote),
})

export const tryOnsOfTicket = (db: Db, ticketId: string): TryOn[] =>
  db
    .prepare<[string], Row>('SELECT * FROM try_ons WHERE ticket_id = ? ORDER BY at, id')
    .all(ticketId)
    .map((row) => withFindings(db, row))

/** Opens a round: one size on the dog once. */
export function addTryOn(db: Db, ticketId: string, id: string, round: NewTryOn): TryOn {
  requireOpenTicket(db, ticketId)
  requireReference(() => requireItem(db, ticketId, round.itemId), 'itemId')
  db.prepare(
    `INSERT INTO try_ons (id, ticket_id, item_id, table_id, table_version, label, changed, at, by_whom)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?) ON CONFLICT (id) DO NOTHING`,
  ).run(id, ticketId, round.itemId, round.tableId, round.tableVersion, round.label, round.changed, round.at, round.by)
  return withFindings(db, db.prepare<[string], Row>('SELECT * FROM try_ons WHERE id = ?').get(id) as Row)
}

function requireRound(db: Db, ticketId: string, id: string): void {
  requireOpenTicket(db, ticketId)
  if (!db.prepare('SELECT 1 FROM try_ons WHERE id = ? AND ticket_id = ?').get(id, ticketId)) {
    throw new ProblemError('not-found', 'There is no such round on this ticket.')
  }
}

export function addObservation(db: Db, ticketId: string, roundId: string, id: string, seen: NewObservation): Observation {
  requireRound(db, ticketId, roundId)
  db.prepare(
    `INSERT INTO observations (id, try_on_id, check_id, state, grade, as_typed, mm, fingers, at, by_whom)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?) ON CONFLICT (id) DO NOTHING`,
  ).run(id, roundId, seen.check, seen.state, seen.grade, seen.asTyped, seen.mm, seen.fingers, seen.at, seen.by)
  return toObservation(db.prepare<[string], ObservationRow>('SELECT * FROM observations WHERE id = ?').get(id) as ObservationRow)
}

export function addSymptomNote(db: Db, ticketId: string, roundId: string, id: string, note: NewSymptomNote): SymptomNote {
  requireRound(db, ticketId, roundId)
  db.prepare('INSERT INTO symptom_notes (id, try_on_id, symptom, remedy, present, at, by_whom) VALUES (?, ?, ?, ?, ?, ?, ?) ON CONFLICT (id) DO NOTHING').run(
    id,
    roundId,
    note.symptom,
    note.remedy,
    Number(note.present),
    note.at,
    note.by,
  )
  return toSymptomNote(db.prepare<[string], SymptomRow>('SELECT * FROM symptom_notes WHERE id = ?').get(id) as SymptomRow)
}
