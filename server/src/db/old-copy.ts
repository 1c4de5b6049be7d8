import { z } from 'zod'
import { ProblemError } from '../problems.ts'
import { copyOut } from './copy-out.ts'
import { migrateFrom, type Db } from './open.ts'

const Cell = z.union([z.string(), z.number(), z.null(), z.object({ base64: z.string() })])

/** A copy of before: every row of every table as it stood, in one document. Version 2 is of the second step, 3 of the third. */
export const OldCopy = z.object({
  format: z.literal('merry-tailor/book'),
  version: z.union([z.literal(2), z.literal(3)]),
  tables: z.record(z.string().regex(/^[a-z_]+$/), z.array(z.record(z.string().regex(/^[a-z_]+$/), Cell))),
})

/** Parents before children, as those versions had them. */
const ORDER = [
  'shop', 'fitters', 'owners', 'dogs', 'dog_notes', 'photos', 'size_tables', 'tickets', 'items', 'readings', 'marks', 'as_written', 'answers', 'choices', 'try_ons',
  'observations', 'symptom_notes', 'acknowledgements', 'pieces', 'supply',
] // prettier-ignore

/** Reads a copy of before into a database of its version, brings that forward, and gives it as a copy of now. */
export function broughtForward(document: z.infer<typeof OldCopy>): AsyncGenerator<string> {
  const db = migrateFrom(document.version, (empty) => {
    for (const table of ORDER) {
      for (const [i, row] of (document.tables[table] ?? []).entries()) put(empty, table, row, i)
    }
  })
  return copyOut(db, ':memory:', new Date(0).toISOString())
}

function put(db: Db, table: string, row: Readonly<Record<string, z.infer<typeof Cell>>>, i: number): void {
  const names = Object.keys(row)
  const cells = Object.values(row).map((cell) => (typeof cell === 'object' && cell !== null ? Buffer.from(cell.base64, 'base64') : cell))
  try {
    db.prepare(`INSERT INTO ${table} (${names.map((name) => `"${name}"`).join(', ')}) VALUES (${names.map(() => '?').join(', ')})`).run(...cells)
  } catch (error) {
    throw new ProblemError('bad-document', `${table}, row ${i + 1}: ${error instanceof Error ? error.message : 'does not fit'}.`)
  }
}
