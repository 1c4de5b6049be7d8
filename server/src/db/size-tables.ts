import type { SizeTable } from '@merry-tailor/core'
import { isDeepStrictEqual } from 'node:util'
import { ProblemError } from '../problems.ts'
import type { Db } from './open.ts'

interface Row {
  document: string
}

const read = (row: Row): SizeTable => JSON.parse(row.document) as SizeTable

/** Every version of every table, newest version first: tickets keep the version they were judged by. */
export const listSizeTables = (db: Db): SizeTable[] => db.prepare<[], Row>('SELECT document FROM size_tables ORDER BY id, version DESC').all().map(read)

/** Stores one version of a table. A stored version never changes: the same again is welcome, another content is not. */
export function addSizeTable(db: Db, table: SizeTable, at: string): SizeTable {
  const row = db.prepare<[string, number], Row>('SELECT document FROM size_tables WHERE id = ? AND version = ?').get(table.id, table.version)
  if (row) {
    if (!isDeepStrictEqual(read(row), JSON.parse(JSON.stringify(table)))) {
      throw new ProblemError('id-taken', `Version ${table.version} of "${table.id}" is kept with other sizes. Give the changed table the next version.`)
    }
    return read(row)
  }
  db.prepare('INSERT INTO size_tables (id, version, document, stored_at) VALUES (?, ?, ?, ?)').run(table.id, table.version, JSON.stringify(table), at)
  return table
}
