import type { Supply } from '@merry-tailor/core'
import { SupplyAnswer } from '@merry-tailor/core/schemas'
import type { Supplier } from '../ports/supplier.ts'
import type { Db } from './open.ts'
import { newestSizeTables } from './size-tables.ts'

interface Row {
  table_id: string
  answer: string
  heard_at: string
}

/**
 * What the supplier says of every table: asked now where it can be reached, else its last known word with the moment it
 * came. Never waits longer than the port's patience, and never fails for the supplier's sake.
 */
export async function supplyNow(db: Db, supplier: Supplier | null, now: () => Date): Promise<Supply[]> {
  const newest = new Map(newestSizeTables(db).map((table) => [table.id, table]))
  const fresh = supplier ? await supplier.ask([...newest.values()]).catch(() => null) : null
  const heardAt = now().toISOString()
  if (fresh) {
    const keep = db.prepare(
      'INSERT INTO supply (table_id, answer, heard_at) VALUES (?, ?, ?) ON CONFLICT (table_id) DO UPDATE SET answer = excluded.answer, heard_at = excluded.heard_at',
    )
    db.transaction(() => {
      for (const answer of fresh) if (newest.has(answer.tableId)) keep.run(answer.tableId, JSON.stringify(answer), heardAt)
    }).immediate()
  }
  const reached = new Set(fresh?.map((answer) => answer.tableId))
  return db
    .prepare<[], Row>('SELECT * FROM supply ORDER BY table_id')
    .all()
    .filter((row) => newest.has(row.table_id))
    .map((row) => ({ ...SupplyAnswer.parse(JSON.parse(row.answer)), heardAt: row.heard_at, reached: reached.has(row.table_id) }))
}
