import Database from 'better-sqlite3'
import { existsSync, mkdirSync, readFileSync, readdirSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { run as ground } from './migrations/0004-ground.ts'
import { lookBeforeOpening, lookThrough, OURS } from './open-eyes.ts'

export type Db = Database.Database

/** The database was written by a newer Merry Tailor; it was left as it is. */
export class NewerDatabaseError extends Error {
  override name = 'NewerDatabaseError'
}

/** What of a migration SQL cannot say, by its version: run after its SQL, in the same transaction. */
const WITH_CODE: Readonly<Record<number, (db: Db) => void>> = { 4: ground }

const FOLDER = join(import.meta.dirname, 'migrations')

interface Migration {
  version: number
  name: string
  sql: string
}

function migrations(folder: string): Migration[] {
  return readdirSync(folder)
    .filter((name) => /^\d{4}-.*\.sql$/.test(name))
    .sort()
    .map((name) => ({ version: Number(name.slice(0, 4)), name, sql: readFileSync(join(folder, name), 'utf8') }))
}

/**
 * Opens the database file, makes it durable (WAL, `synchronous=FULL`, foreign keys on) and brings it forward, each
 * migration in a transaction of its own. Migrations only go forward.
 *
 * @param beforeMigration told before an older database is changed: a copy is made then
 * @throws NewerDatabaseError when the file's version is beyond the newest migration; the file is not touched
 * @throws UnreadableBookError for a damaged or emptied file, or another program's; it is not touched
 */
export function openDatabase(file: string, folder: string = FOLDER, beforeMigration: (db: Db) => void = () => undefined): Db {
  const known = migrations(folder)
  const newest = known.at(-1)?.version ?? 0
  if (file !== ':memory:') {
    mkdirSync(dirname(file), { recursive: true })
    if (existsSync(file)) {
      if (folder === FOLDER) {
        refuseUnreadable(file, newest)
        lookThrough(file)
      } else refuseNewer(file, newest)
    }
  }
  const db = new Database(file)
  db.pragma('journal_mode = WAL')
  db.pragma('synchronous = FULL')
  // Whoever holds the lock holds it briefly; a request that must wait longer lets others through and tries again.
  db.pragma(`busy_timeout = ${BUSY_MS}`)
  migrate(db, known, folder === FOLDER ? WITH_CODE : {}, beforeMigration)
  // A shop of years stays in memory while it is read, KiB.
  db.pragma('cache_size = -32000')
  if (folder === FOLDER && db.pragma('application_id', { simple: true }) !== OURS) db.pragma(`application_id = ${OURS}`)
  // What was taken out is overwritten.
  db.pragma('secure_delete = ON')
  db.pragma('foreign_keys = ON')
  keepStatements(db)
  return db
}

const BUSY_MS = 100

/** Brings a database forward. Tables are made anew in some steps, so references are checked once at a step's end. */
function migrate(db: Db, known: readonly Migration[], code: Readonly<Record<number, (db: Db) => void>>, beforeMigration: (db: Db) => void): void {
  const from = versionOf(db)
  const steps = known.filter((migration) => migration.version > from)
  if (steps.length === 0) return
  if (from > 0) beforeMigration(db)
  db.pragma('foreign_keys = OFF')
  for (const { version, name, sql } of steps) {
    db.transaction(() => {
      db.exec(sql)
      code[version]?.(db)
      const [broken] = db.pragma('foreign_key_check') as { table: string }[]
      if (broken) throw new Error(`${name}: a row of "${broken.table}" points at nothing`)
      db.pragma(`user_version = ${version}`)
    }).immediate()
  }
}

/** Brings an older database in memory forward, as an older copy is read. */
export function migrateFrom(version: number, fill: (db: Db) => void): Db {
  const known = migrations(FOLDER)
  const db = new Database(':memory:')
  db.pragma('foreign_keys = OFF')
  for (const migration of known.filter((each) => each.version <= version)) db.exec(migration.sql)
  db.pragma(`user_version = ${version}`)
  fill(db)
  migrate(db, known, WITH_CODE, () => undefined)
  db.pragma('foreign_keys = ON')
  keepStatements(db)
  return db
}

/** So many different statements are kept; ours are far fewer, texts made up at run time are not all kept for good. */
const MOST_STATEMENTS = 400

/**
 * A statement is compiled once and used again: compiling costs more than most of our queries take. Kept ones are shared,
 * so nobody changes how one answers (`raw`, `pluck`) but who is alone with its text (`recordsOf`).
 */
function keepStatements(db: Db): void {
  const compile = db.prepare.bind(db)
  const kept = new Map<string, Database.Statement>()
  db.prepare = ((sql: string) => {
    let statement = kept.get(sql)
    if (statement) kept.delete(sql)
    else statement = compile(sql)
    kept.set(sql, statement)
    if (kept.size > MOST_STATEMENTS) kept.delete(kept.keys().next().value ?? '')
    return statement
  }) as typeof db.prepare
}

const versionOf = (db: Db): number => Number(db.pragma('user_version', { simple: true }))

/** A newer book is told as such, before anything else is asked of it. */
function refuseUnreadable(file: string, newest: number): void {
  try {
    refuseNewer(file, newest)
  } catch (error) {
    if (error instanceof NewerDatabaseError) throw error
    // No database at all: said below.
  }
  lookBeforeOpening(file)
}

function refuseNewer(file: string, newest: number): void {
  const probe = new Database(file, { readonly: true })
  try {
    const found = versionOf(probe)
    if (found > newest) {
      throw new NewerDatabaseError(
        `${file} was written by a newer Merry Tailor (version ${found}, this one knows ${newest}). Nothing was changed. Start the newer one, or move the file away.`,
      )
    }
  } finally {
    probe.close()
  }
}
