import { z } from 'zod'
import { ProblemError } from '../problems.ts'
import type { Db } from './open.ts'
import { indexEverything } from './search.ts'

/** Every table of the book, parents before children. Search words are made anew. */
const TABLES = [
  'shop',
  'fitters',
  'owners',
  'dogs',
  'dog_notes',
  'photos',
  'size_tables',
  'tickets',
  'items',
  'readings',
  'marks',
  'as_written',
  'answers',
  'choices',
  'try_ons',
  'observations',
  'symptom_notes',
  'acknowledgements',
  'pieces',
  'supply',
] as const
/** Tables a copy of an earlier version has not. */
const LATER: ReadonlySet<string> = new Set(['pieces', 'supply'])

interface ColumnInfo {
  name: string
  dflt_value: string | null
  notnull: 0 | 1
}

const Cell = z.union([z.string(), z.number(), z.null(), z.object({ base64: z.string().regex(/^[A-Za-z0-9+/]*={0,2}$/) })])

/** A whole shop as one document: every row of every table, as it stands. */
export const Book = z.object({
  format: z.literal('merry-tailor/book'),
  /** 2: before pieces and supply; what it lacks is empty, its new columns as usual. */
  version: z.union([z.literal(2), z.literal(3)]),
  tables: z.partialRecord(z.enum(TABLES), z.array(z.record(z.string(), Cell))),
})
export type Book = z.infer<typeof Book>

export function copyOut(db: Db): Book {
  const tables = Object.fromEntries(
    TABLES.map((table) => [
      table,
      db
        .prepare<[], Record<string, string | number | null | Buffer>>(`SELECT * FROM ${table} ORDER BY rowid`)
        .all()
        .map((row) =>
          Object.fromEntries(Object.entries(row).map(([column, cell]) => [column, Buffer.isBuffer(cell) ? { base64: cell.toString('base64') } : cell])),
        ),
    ]),
  ) as Book['tables']
  return { format: 'merry-tailor/book', version: 3, tables }
}

const isEmpty = (db: Db): boolean => !db.prepare('SELECT 1 FROM dogs UNION ALL SELECT 1 FROM tickets UNION ALL SELECT 1 FROM size_tables LIMIT 1').get()

/**
 * Brings a whole book back, in one transaction: an identical shop, or nothing is changed. A book that holds anything is
 * replaced only when that is said.
 */
export function bringBack(db: Db, book: Book, replace: boolean): { rows: number } {
  if (!replace && !isEmpty(db)) {
    throw new ProblemError('shop-not-empty', 'This shop has records of its own. Bringing a copy back replaces them all; say so to go on.')
  }
  let rows = 0
  const guards = db.prepare<[], { name: string; sql: string }>("SELECT name, sql FROM sqlite_master WHERE type = 'trigger'").all()
  db.transaction(() => {
    // The guards of append-only rows stand aside for this one transaction.
    for (const guard of guards) db.exec(`DROP TRIGGER ${guard.name}`)
    for (const table of [...TABLES].reverse()) db.exec(`DELETE FROM ${table}`)
    for (const table of TABLES) {
      const rowsOf = book.tables[table]
      if (!rowsOf && !(book.version === 2 && LATER.has(table))) throw new ProblemError('bad-document', `The copy has no "${table}".`)
      const known = db.prepare<[string], ColumnInfo>('SELECT name, dflt_value, "notnull" FROM pragma_table_info(?)').all(table)
      const first = rowsOf?.[0]
      // A column that came later is filled as usual when an earlier copy lacks it.
      const columns = known
        .filter(({ name, dflt_value, notnull }) => book.version > 2 || !first || name in first || !(dflt_value !== null || notnull === 0))
        .map(({ name }) => name)
      const insert = db.prepare(`INSERT INTO ${table} (${columns.map((name) => `"${name}"`).join(', ')}) VALUES (${columns.map(() => '?').join(', ')})`)
      for (const [i, row] of (rowsOf ?? []).entries()) {
        const odd = Object.keys(row).find((column) => !columns.includes(column)) ?? columns.find((column) => !(column in row))
        if (odd !== undefined) throw new ProblemError('bad-document', `${table}, row ${i + 1}: the column "${odd}" does not fit.`)
        try {
          insert.run(
            columns.map((column) => {
              const cell = row[column] ?? null
              return typeof cell === 'object' && cell !== null ? Buffer.from(cell.base64, 'base64') : cell
            }),
          )
        } catch (error) {
          throw new ProblemError('bad-document', `${table}, row ${i + 1}: ${error instanceof Error ? error.message : 'does not fit'}.`)
        }
        rows += 1
      }
    }
    readable(db)
    for (const guard of guards) db.exec(guard.sql)
    indexEverything(db)
  })()
  return { rows }
}

/** Documents inside the rows must be readable, or every later look at them would break. */
function readable(db: Db): void {
  for (const [table, column] of [
    ['shop', 'fields'],
    ['fitters', 'gauge'],
    ['size_tables', 'document'],
    ['tickets', 'activities'],
    ['tickets', 'traits'],
    ['pieces', 'flat'],
    ['supply', 'answer'],
    ['choices', 'labels'],
  ] as const) {
    const bad = db.prepare(`SELECT 1 FROM ${table} WHERE ${column} IS NOT NULL AND NOT json_valid(${column}) LIMIT 1`).get()
    if (bad) throw new ProblemError('bad-document', `${table}: "${column}" cannot be read.`)
  }
}
