import type { Acknowledgement, Choice, NewAcknowledgement, NewChoice } from '@merry-tailor/core'
import { ProblemError } from '../problems.ts'
import { requireReference } from './dogs.ts'
import type { Db } from './open.ts'
import { requireItem, requireOpenTicket } from './tickets.ts'

interface Row {
  id: string
  item_id: string
  table_id: string
  table_version: number
  labels: string
  advised: string | null
  overrule_why: string | null
  at: string
  by_whom: string
}

const toChoice = (row: Row): Choice => ({
  id: row.id,
  itemId: row.item_id,
  tableId: row.table_id,
  tableVersion: row.table_version,
  labels: JSON.parse(row.labels) as string[],
  overruled: row.advised !== null ? { advised: row.advised, why: row.overrule_why ?? '' } : null,
  at: row.at,
  by: row.by_whom,
})

export const choicesOfTicket = (db: Db, ticketId: string): Choice[] =>
  db.prepare<[string], Row>('SELECT * FROM choices WHERE ticket_id = ? ORDER BY at, id').all(ticketId).map(toChoice)

export function addChoice(db: Db, ticketId: string, id: string, choice: NewChoice): Choice {
  requireOpenTicket(db, ticketId)
  requireReference(() => requireItem(db, ticketId, choice.itemId), 'itemId')
  const table = db.prepare('SELECT 1 FROM size_tables WHERE id = ? AND version = ?').get(choice.tableId, choice.tableVersion)
  if (!table) throw new ProblemError('unknown-reference', 'This size table, in this version, is not kept here.')
  db.prepare(
    `INSERT INTO choices (id, ticket_id, item_id, table_id, table_version, labels, advised, overrule_why, at, by_whom)
     VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?) ON CONFLICT (id) DO NOTHING`,
  ).run(
    id,
    ticketId,
    choice.itemId,
    choice.tableId,
    choice.tableVersion,
    JSON.stringify(choice.labels),
    choice.overruled?.advised ?? null,
    choice.overruled?.why ?? null,
    choice.at,
    choice.by,
  )
  return toChoice(db.prepare<[string], Row>('SELECT * FROM choices WHERE id = ?').get(id) as Row)
}

interface AckRow {
  id: string
  kind: Acknowledgement['kind']
  code: string
  text: string
  reason: string
  at: string
  by_whom: string
}

const toAcknowledgement = (row: AckRow): Acknowledgement => ({
  id: row.id,
  kind: row.kind,
  code: row.code,
  text: row.text,
  reason: row.reason,
  at: row.at,
  by: row.by_whom,
})

export const acknowledgementsOfTicket = (db: Db, ticketId: string): Acknowledgement[] =>
  db.prepare<[string], AckRow>('SELECT * FROM acknowledgements WHERE ticket_id = ? ORDER BY at, id').all(ticketId).map(toAcknowledgement)

/** Keeps who read which text, and when. A stop is overruled only with a typed reason. */
export function addAcknowledgement(db: Db, ticketId: string, id: string, ack: NewAcknowledgement): Acknowledgement {
  requireOpenTicket(db, ticketId)
  if (ack.kind === 'stop' && ack.reason.trim() === '') {
    throw new ProblemError('reason-needed', 'Say why the stop does not bind here; it is printed on the docket.', {
      fields: [{ path: 'reason', message: 'a reason is needed' }],
    })
  }
  db.prepare(
    'INSERT INTO acknowledgements (id, ticket_id, kind, code, text, reason, at, by_whom) VALUES (?, ?, ?, ?, ?, ?, ?, ?) ON CONFLICT (id) DO NOTHING',
  ).run(id, ticketId, ack.kind, ack.code, ack.text, ack.reason, ack.at, ack.by)
  return toAcknowledgement(db.prepare<[string], AckRow>('SELECT * FROM acknowledgements WHERE id = ?').get(id) as AckRow)
}
