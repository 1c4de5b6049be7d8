import { newestTables, resources, type SizeTable } from '@merry-tailor/core'
import { isDeepStrictEqual } from 'node:util'
import { ProblemError } from '../problems.ts'
import type { Db } from './open.ts'
import { insert, recordOf, type Row } from './rows.ts'

const read = (row: Row): SizeTable => recordOf(resources.sizeTables, row).document

/** Every version of every table, newest version first: tickets keep the version they were judged by. */
export const listSizeTables = (db: Db): SizeTable[] => db.prepare<[], Row>('SELECT * FROM size_tables ORDER BY id, version DESC').all().map(read)

export const countSizeTables = (db: Db): number => db.prepare<[], { n: number }>('SELECT count(*) AS n FROM size_tables').get()?.n ?? 0

/** The newest version of each table. */
export const newestSizeTables = (db: Db): SizeTable[] => newestTables(listSizeTables(db))

/** One version of one table. */
export function findSizeTable(db: Db, id: string, version: number): SizeTable | null {
  const row = db.prepare<[string, number], Row>('SELECT * FROM size_tables WHERE id = ? AND version = ?').get(id, version)
  return row ? read(row) : null
}

export function requireSizeTable(db: Db, id: string, version: number): SizeTable {
  const table = findSizeTable(db, id, version)
  if (!table) throw new ProblemError('not-found', 'This size table, in this version, is not kept here.')
  return table
}

/** Stores one version of a table. A stored version never changes: the same again is welcome, another content is not. */
export function addSizeTable(db: Db, table: SizeTable, at: string): SizeTable {
  const known = findSizeTable(db, table.id, table.version)
  if (known) {
    if (!isDeepStrictEqual(known, JSON.parse(JSON.stringify(table)))) {
      throw new ProblemError('id-taken', `Version ${table.version} of "${table.id}" is kept with other sizes. Give the changed table the next version.`)
    }
    return known
  }
  insert(db, resources.sizeTables, { id: table.id, version: table.version, document: table, storedAt: at })
  return table
}
