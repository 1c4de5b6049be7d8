import Database from 'better-sqlite3'
import { closeSync, copyFileSync, openSync, readSync, renameSync, rmSync, statSync } from 'node:fs'
import { newestCopy } from '../copies/drawers.ts'

/** What the book's file says it is: "MTLR". */
export const OURS = 0x4d544c52
const MAGIC = 'SQLite format 3\0'

/** The file that should hold the book is damaged, emptied, or somebody else's. It was left as it is. */
export class UnreadableBookError extends Error {
  override name = 'UnreadableBookError'
  readonly file: string
  /** The newest copy in the drawers that are known; `null` for none. */
  readonly copy: string | null

  constructor(file: string, what: string) {
    const copy = newestCopy(file)
    const back = copy
      ? `The newest checked copy is ${copy}. Stop the server, put ${file} aside, copy the copy to ${file}, and start again; devices keep what they have not sent.`
      : 'No copy of it can be reached from here; look where copies of this computer are kept.'
    super(`${file} ${what} Nothing was changed in it. ${back}`)
    this.file = file
    this.copy = copy
  }
}

function begins(file: string): string {
  const at = openSync(file, 'r')
  try {
    const bytes = Buffer.alloc(MAGIC.length)
    return bytes.toString('latin1', 0, readSync(at, bytes, 0, bytes.length, 0))
  } finally {
    closeSync(at)
  }
}

/**
 * Looks at a file before anything is written into it.
 *
 * @throws UnreadableBookError for one that was a shop and is empty, is no database, or is another program's
 */
export function lookBeforeOpening(file: string): void {
  if (statSync(file).size === 0) {
    // A file that was only just made is empty too; where copies lie beside it there was a shop.
    if (newestCopy(file)) throw new UnreadableBookError(file, 'is empty, and there was a shop in it.')
    return
  }
  if (begins(file) !== MAGIC) throw new UnreadableBookError(file, 'is no book of Merry Tailor.')
  const probe = new Database(file, { readonly: true })
  try {
    const whose = probe.pragma('application_id', { simple: true }) as number
    const isEmpty = probe.prepare('SELECT 1 FROM sqlite_schema LIMIT 1').get() === undefined
    const tables = probe.prepare("SELECT count(*) AS n FROM sqlite_schema WHERE name IN ('tickets', 'readings', 'dogs')").get() as { n: number }
    // A book of before the sign was set is told by its tables.
    if (whose !== OURS && !(whose === 0 && (isEmpty || tables.n === 3))) throw new UnreadableBookError(file, 'belongs to another program.')
  } catch (error) {
    if (error instanceof UnreadableBookError) throw error
    throw new UnreadableBookError(file, `cannot be read (${(error as Error).message}).`)
  } finally {
    probe.close()
  }
}

const isWhole = (db: Database.Database): boolean => {
  try {
    return db.pragma('quick_check(1)', { simple: true }) === 'ok'
  } catch {
    return false
  }
}

/** Indexes are forgotten, not read: what is left is copied row by row, and they are made anew of it. */
function withFreshIndexes(db: Database.Database): void {
  const indexes = db.prepare<[], { sql: string }>("SELECT sql FROM sqlite_schema WHERE type = 'index' AND sql IS NOT NULL").all()
  db.unsafeMode(true)
  try {
    db.pragma('writable_schema = ON')
    db.exec("DELETE FROM sqlite_schema WHERE type = 'index' AND sql IS NOT NULL")
    db.pragma('writable_schema = RESET')
    db.exec('VACUUM')
  } finally {
    db.unsafeMode(false)
  }
  for (const { sql } of indexes) db.exec(sql)
  db.pragma('wal_checkpoint(TRUNCATE)')
}

/**
 * Looks through a book before it is opened for work, and mends what can be made anew from its records: its indexes. What
 * was found is kept beside it under `.damaged`.
 *
 * @throws UnreadableBookError where records themselves cannot be read; the file is as it was
 */
export function lookThrough(file: string): void {
  const db = new Database(file)
  try {
    db.pragma('wal_checkpoint(TRUNCATE)')
    if (isWhole(db)) return void db.pragma(`application_id = ${OURS}`)
  } finally {
    db.close()
  }
  const fresh = `${file}.mended`
  copyFileSync(file, fresh)
  const mended = new Database(fresh)
  let whole = false
  try {
    withFreshIndexes(mended)
    whole = isWhole(mended)
    mended.pragma(`application_id = ${OURS}`)
  } catch {
    whole = false
  } finally {
    mended.close()
  }
  if (!whole) {
    rmSync(fresh, { force: true })
    throw new UnreadableBookError(file, 'is damaged: some of its pages cannot be read.')
  }
  renameSync(file, `${file}.damaged`)
  renameSync(fresh, file)
}
