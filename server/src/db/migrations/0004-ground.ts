import { dayOf, hitchFor, type Activity } from '@merry-tailor/core'
import { randomUUID } from 'node:crypto'
import type Database from 'better-sqlite3'

/** A moment of a row of before, with the day it bears so far. */
interface Dated {
  rowid: number
  at: string
}

/**
 * What SQL alone cannot say of the rows of before: the shop's day of each moment (its zone was the server's), the hitch
 * each pair of M48 was, and the book's own id.
 */
export function run(db: Database.Database): void {
  for (const [table, moment] of [
    ['tickets', 'created_at'],
    ['readings', 'taken_at'],
    ['choices', 'at'],
    ['try_ons', 'at'],
  ] as const) {
    const set = db.prepare(`UPDATE ${table} SET on_day = ? WHERE rowid = ?`)
    const guards = db.prepare<[string], { name: string; sql: string }>("SELECT name, sql FROM sqlite_master WHERE type = 'trigger' AND tbl_name = ?").all(table)
    for (const guard of guards) db.exec(`DROP TRIGGER ${guard.name}`)
    for (const { rowid, at } of db.prepare<[], Dated>(`SELECT rowid, ${moment} AS at FROM ${table}`).all()) set.run(dayOf(undefined, at), rowid)
    for (const guard of guards) db.exec(guard.sql)
  }
  hitchesOfBefore(db)
  const last = db.prepare<[], { number: number }>('SELECT coalesce(max(number), 100) AS number FROM tickets').get()?.number ?? 100
  db.prepare('INSERT INTO book (one, id, epoch, last_number) VALUES (1, ?, 1, ?)').run(randomUUID(), last)
}

interface LineRow {
  id: string
  ticket_id: string
  place: string | null
  mm: number
  taken_at: string
  by_whom: string
  activities: string
}

/** Height and line were locked together, one right after the other: the newest of each, where both count. */
function hitchesOfBefore(db: Database.Database): void {
  const rows = db
    .prepare<[], LineRow>(
      `SELECT readings.id, readings.ticket_id, place, mm, taken_at, readings.by_whom, tickets.activities FROM readings
       JOIN tickets ON tickets.id = readings.ticket_id
       WHERE measure = 'M48' AND coalesce((SELECT kind FROM marks WHERE about = readings.id ORDER BY seq DESC LIMIT 1), '') <> 'struck' ORDER BY seq`,
    )
    .all()
  const insert = db.prepare('INSERT INTO hitches (id, ticket_id, where_to, height_mm, line_mm, family, at, by_whom) VALUES (?, ?, ?, ?, ?, NULL, ?, ?)')
  for (const height of rows.filter((row) => row.place === 'height')) {
    const line = rows.find((row) => row.place === 'line' && row.ticket_id === height.ticket_id && row.taken_at === height.taken_at)
    if (line)
      insert.run(randomUUID(), height.ticket_id, hitchFor(JSON.parse(height.activities) as Activity[]), height.mm, line.mm, height.taken_at, height.by_whom)
  }
}
