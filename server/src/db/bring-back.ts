import { ProblemError } from '../problems.ts'
import { BOOK } from './book-tables.ts'
import { lastNumber, readHead } from './head.ts'
import type { Db } from './open.ts'
import { indexEverything } from './search.ts'

/** Facts by the moment they bear, as a person counts them. */
const COUNTED: readonly (readonly [word: string, table: string, moment: string])[] = [
  ['readings', 'readings', 'taken_at'],
  ['tickets', 'tickets', 'created_at'],
  ['dogs', 'dogs', 'created_at'],
  ['owners', 'owners', 'created_at'],
  ['choices', 'choices', 'at'],
  ['rounds', 'try_ons', 'at'],
  ['notes', 'dog_notes', 'at'],
  ['photographs', 'photos', 'at'],
  ['pieces', 'pieces', 'created_at'],
  ['size tables', 'size_tables', 'stored_at'],
]

/** What here is newer than a moment, by the word for it: it would be gone after bringing back a copy of that moment. */
export const newerThan = (db: Db, at: string): Record<string, number> =>
  Object.fromEntries(
    COUNTED.flatMap(([word, table, moment]) => {
      const n = db.prepare<[string], { n: number }>(`SELECT count(*) AS n FROM ${table} WHERE julianday(${moment}) > julianday(?)`).get(at)?.n ?? 0
      return n > 0 ? [[word, n] as const] : []
    }),
  )

/** Has the shop anything of its own, its agreements among it? What the supplier said and answered writes are none. */
export const isEmpty = (db: Db): boolean =>
  BOOK.every(({ resource: { table } }) => table === 'supply' || table === 'writes' || !db.prepare(`SELECT 1 FROM ${table} LIMIT 1`).get())

/**
 * Puts a staged book in the place of the one that is open, in one transaction. Its epoch is one higher than any of the
 * two had, so that devices know their copies are of before; ticket numbers go on after the highest ever given here.
 *
 * @param staged file of the book that comes in
 */
export function putInPlace(db: Db, staged: string): void {
  const now = readHead(db)
  const last = lastNumber(db)
  db.prepare('ATTACH ? AS staged').run(staged)
  try {
    const guards = db.prepare<[], { name: string; sql: string }>("SELECT name, sql FROM main.sqlite_master WHERE type = 'trigger'").all()
    db.transaction(() => {
      db.pragma('defer_foreign_keys = ON')
      // The guards of facts stand aside for this one transaction.
      for (const guard of guards) db.exec(`DROP TRIGGER main.${guard.name}`)
      for (const { resource } of [...BOOK].reverse()) db.exec(`DELETE FROM main.${resource.table}`)
      for (const { resource } of BOOK) db.exec(`INSERT INTO main.${resource.table} SELECT * FROM staged.${resource.table} ORDER BY rowid`)
      const came = db.prepare<[], { id: string; epoch: number; last_number: number }>('SELECT id, epoch, last_number FROM staged.book').get()
      if (!came) throw new ProblemError('bad-document', 'The copy has no head.')
      db.prepare('UPDATE main.book SET id = ?, epoch = ?, last_number = ? WHERE one = 1').run(
        came.id,
        Math.max(came.epoch, now.epoch) + 1,
        came.id === now.book ? Math.max(last, came.last_number) : came.last_number,
      )
      for (const guard of guards) db.exec(guard.sql)
    }).immediate()
  } finally {
    db.exec('DETACH staged')
  }
  indexEverything(db)
}
