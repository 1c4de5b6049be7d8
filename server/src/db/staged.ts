import { stripPhoto } from '@merry-tailor/core/formats'
import { createHash, randomUUID } from 'node:crypto'
import { rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { ProblemError } from '../problems.ts'
import { BOOK, BookTop, type BookTable } from './book-tables.ts'
import { isSoundJson } from './nesting.ts'
import { openDatabase, type Db } from './open.ts'
import { insert } from './rows.ts'

const bad = (detail: string): ProblemError => new ProblemError('bad-document', detail)
const byTable = new Map<string, BookTable>(BOOK.map((each) => [each.resource.table, each]))

/** One line holds at most a photograph. */
const LONGEST_LINE = 4 * 1024 * 1024
/** Records kept in one step before others are let through. */
const AT_ONCE = 500

/** A book as it comes in, beside the one that is open: nothing of it counts until it is whole. */
export interface Staged {
  file: string
  top: BookTop
  rows: number
  /** Takes it away. */
  drop: () => void
}

/** Splits a stream into lines. */
async function* linesOf(stream: AsyncIterable<Uint8Array>): AsyncGenerator<Buffer> {
  let rest = Buffer.alloc(0)
  for await (const chunk of stream) {
    rest = rest.length === 0 ? Buffer.from(chunk) : Buffer.concat([rest, chunk])
    let from = 0
    for (let at = rest.indexOf(10); at >= 0; at = rest.indexOf(10, from)) {
      yield rest.subarray(from, at)
      from = at + 1
    }
    rest = rest.subarray(from)
    if (rest.length > LONGEST_LINE) throw bad('A line of the copy is longer than any record can be.')
  }
  if (rest.length > 0) throw bad('This file ends in the middle.')
}

const parse = (line: Buffer, i: number): unknown => {
  if (!isSoundJson(line, 16)) throw bad(`Line ${i}: nested deeper than any record of ours.`)
  try {
    return JSON.parse(line.toString('utf8')) as unknown
  } catch {
    throw bad(`Line ${i} cannot be read.`)
  }
}

/** Reads the head of a copy; says plainly what it is when it is not one of ours. */
export function readTop(data: unknown): BookTop {
  const given = (data ?? {}) as { format?: unknown; version?: unknown }
  if (given.format !== 'merry-tailor/book') throw bad('This is no copy of a Merry Tailor book.')
  if (typeof given.version === 'number' && given.version > 4) throw bad('This copy was made by a newer Merry Tailor. Bring it back with that one.')
  const read = BookTop.safeParse(data)
  if (!read.success) throw bad(`The head of the copy: ${read.error.issues[0]?.path.join('.') ?? ''} ${read.error.issues[0]?.message ?? 'cannot be read'}.`)
  return read.data
}

/** A record of a table, read through its schema; a photograph's type is that of its bytes, and its place and camera are out. */
function recordFor({ resource, schema }: BookTable, given: unknown, where: string): { record: object; within: Record<string, string> } {
  const read = schema.safeParse(given)
  if (!read.success) {
    const [issue] = read.error.issues
    throw bad(`${where}: ${issue && issue.path.length > 0 ? `"${issue.path.join('.')}" ` : ''}${issue?.message ?? 'cannot be read'}.`)
  }
  const record = read.data as Record<string, unknown>
  if (resource.table === 'photos') {
    const stripped = stripPhoto(Buffer.from(String(record['picture']), 'base64'))
    if (!stripped.ok) throw bad(`${where}: this is no photograph.`)
    record['type'] = stripped.type
    record['picture'] = Buffer.from(stripped.bytes).toString('base64')
  }
  const within = Object.fromEntries(Object.keys(resource.within).map((field) => [field, String(record[field])]))
  return { record, within }
}

/**
 * Takes a copy in line by line into a database of its own, every record read through its schema; counts, fingerprint and
 * references are checked at its end. What does not fit is refused whole, with what is wrong.
 */
export async function stage(stream: AsyncIterable<Uint8Array>): Promise<Staged> {
  const file = join(tmpdir(), `merry-tailor-${randomUUID()}.sqlite`)
  const drop = (): void => {
    for (const end of ['', '-wal', '-shm']) rmSync(`${file}${end}`, { force: true })
  }
  const db = openDatabase(file)
  try {
    db.pragma('synchronous = OFF')
    db.pragma('foreign_keys = OFF')
    const { top, rows } = await fill(db, stream)
    const [broken] = db.pragma('foreign_key_check') as { table: string }[]
    if (broken) throw bad(`A record of "${broken.table}" points at something the copy has not.`)
    db.prepare('DELETE FROM book').run()
    db.prepare('INSERT INTO book (one, id, epoch, last_number) VALUES (1, ?, ?, ?)').run(top.book, top.epoch, top.lastNumber)
    db.pragma('wal_checkpoint(TRUNCATE)')
    db.close()
    return { file, top, rows, drop }
  } catch (error) {
    db.close()
    drop()
    throw error
  }
}

async function fill(db: Db, stream: AsyncIterable<Uint8Array>): Promise<{ top: BookTop; rows: number }> {
  let top: BookTop | null = null
  let rows = 0
  const counts: Record<string, number> = {}
  const hash = createHash('sha256')
  let waiting: (() => void)[] = []
  const keep = (): void => {
    const now = waiting
    waiting = []
    db.transaction(() => {
      for (const each of now) each()
    })()
  }
  for await (const line of linesOf(stream)) {
    if (top === null) {
      top = readTop(parse(line, 1))
      continue
    }
    rows += 1
    const where = `Line ${rows + 1}`
    hash.update(line).update('\n')
    const [name, given] = (parse(line, rows + 1) ?? []) as [unknown, unknown]
    const table = typeof name === 'string' ? byTable.get(name) : undefined
    if (!table) throw bad(`${where}: "${String(name)}" is no table of a book.`)
    const { record, within } = recordFor(table, given, `${where}, ${table.resource.table}`)
    counts[table.resource.table] = (counts[table.resource.table] ?? 0) + 1
    waiting.push(() => {
      try {
        if (!insert(db, table.resource, record, within)) throw bad(`${where}, ${table.resource.table}: this record is there twice.`)
      } catch (error) {
        throw error instanceof ProblemError ? error : bad(`${where}, ${table.resource.table}: ${error instanceof Error ? error.message : 'does not fit'}.`)
      }
    })
    if (waiting.length >= AT_ONCE) keep()
  }
  keep()
  if (top === null) throw bad('This file is empty.')
  const odd = [...new Set([...Object.keys(top.counts), ...Object.keys(counts)])].find((table) => (top.counts[table] ?? 0) !== (counts[table] ?? 0))
  if (odd !== undefined)
    throw bad(`The copy says it has ${top.counts[odd] ?? 0} of "${odd}" and has ${counts[odd] ?? 0}: this file ends in the middle, or was changed.`)
  if (hash.digest('hex') !== top.sha256) throw bad('The fingerprint does not match: the file was damaged or changed since it was copied out.')
  return { top, rows }
}
