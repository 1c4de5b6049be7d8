import Database from 'better-sqlite3'
import { existsSync, mkdirSync, readFileSync, readdirSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'

export type Db = Database.Database

/** The database was written by a newer Merry Tailor; it was left as it is. */
export class NewerDatabaseError extends Error {
  override name = 'NewerDatabaseError'
}

const FOLDER = join(dirname(fileURLToPath(import.meta.url)), 'migrations')

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
 * @throws NewerDatabaseError when the file's version is beyond the newest migration; the file is not touched
 */
export function openDatabase(file: string, folder: string = FOLDER): Db {
  const known = migrations(folder)
  const newest = known.at(-1)?.version ?? 0
  if (file !== ':memory:') {
    mkdirSync(dirname(file), { recursive: true })
    if (existsSync(file)) refuseNewer(file, newest)
  }
  const db = new Database(file)
  db.pragma('journal_mode = WAL')
  db.pragma('synchronous = FULL')
  db.pragma('foreign_keys = ON')
  db.pragma('busy_timeout = 4000')
  keepStatements(db)
  for (const migration of known) {
    if (migration.version <= versionOf(db)) continue
    db.transaction(() => {
      db.exec(migration.sql)
      db.pragma(`user_version = ${migration.version}`)
    })()
  }
  return db
}

/** A statement is compiled once and used again: compiling costs more than most of our queries take. */
function keepStatements(db: Db): void {
  const compile = db.prepare.bind(db)
  const kept = new Map<string, Database.Statement>()
  db.prepare = ((sql: string) => {
    let statement = kept.get(sql)
    if (!statement) {
      statement = compile(sql)
      kept.set(sql, statement)
    }
    return statement
  }) as typeof db.prepare
}

const versionOf = (db: Db): number => Number(db.pragma('user_version', { simple: true }))

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
