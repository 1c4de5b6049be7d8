import Database from 'better-sqlite3'
import { createHash } from 'node:crypto'
import type { BookTop } from './book-tables.ts'
import { BOOK } from './book-tables.ts'
import { lastNumber, readHead } from './head.ts'
import type { Db } from './open.ts'
import { recordOf, type Row } from './rows.ts'
import { readShop } from './shop.ts'

/** Rows read before others are let through. */
const AT_ONCE = 200
const letOthersThrough = (): Promise<void> => new Promise((resolve) => setImmediate(resolve))

/** Every record of the book as one line, table by table. */
function* lines(db: Db): Generator<string> {
  for (const { resource } of BOOK) {
    const bytes = resource.table === 'photos'
    for (const row of db.prepare<[], Row>(`SELECT * FROM ${resource.table} ORDER BY rowid`).iterate()) {
      const within = Object.fromEntries(Object.entries(resource.within).map(([field, column]) => [field, row[column]]))
      const picture = bytes ? { picture: (row['picture'] as Buffer).toString('base64') } : {}
      yield JSON.stringify([resource.table, { ...recordOf(resource, row), ...picture, ...within }])
    }
  }
}

/**
 * The whole book as a stream of lines: a head with whose it is, of when, its counts and the fingerprint of what follows,
 * then one record a line, photographs among them. Read through a connection of its own in one transaction, so that
 * nobody waits for it and it is of one moment; never held as a whole.
 *
 * @param file the book's file; `:memory:` is read at once
 */
export async function* copyOut(db: Db, file: string, at: string): AsyncGenerator<string> {
  if (file === ':memory:') {
    const all = [...lines(db)]
    yield `${JSON.stringify(top(db, at, all))}\n`
    for (const each of all) yield `${each}\n`
    return
  }
  const own = new Database(file, { readonly: true })
  try {
    own.exec('BEGIN')
    const counts: Record<string, number> = {}
    const hash = createHash('sha256')
    let n = 0
    for (const line of lines(own)) {
      hash.update(line).update('\n')
      const table = line.slice(2, line.indexOf('"', 2))
      counts[table] = (counts[table] ?? 0) + 1
      if ((n += 1) % AT_ONCE === 0) await letOthersThrough()
    }
    yield `${JSON.stringify(headOf(own, at, counts, hash.digest('hex')))}\n`
    for (const line of lines(own)) {
      yield `${line}\n`
      if ((n += 1) % AT_ONCE === 0) await letOthersThrough()
    }
  } finally {
    own.close()
  }
}

const headOf = (db: Db, at: string, counts: Record<string, number>, sha256: string): BookTop => {
  const { book, epoch } = readHead(db)
  return { format: 'merry-tailor/book', version: 4, book, epoch, lastNumber: lastNumber(db), shop: readShop(db).name, at, counts, sha256 }
}

function top(db: Db, at: string, all: readonly string[]): BookTop {
  const hash = createHash('sha256')
  const counts: Record<string, number> = {}
  for (const line of all) {
    hash.update(line).update('\n')
    const table = line.slice(2, line.indexOf('"', 2))
    counts[table] = (counts[table] ?? 0) + 1
  }
  return headOf(db, at, counts, hash.digest('hex'))
}
