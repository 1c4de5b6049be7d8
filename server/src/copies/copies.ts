import { dayIn } from '@merry-tailor/core'
import Database from 'better-sqlite3'
import { existsSync, mkdirSync, readdirSync, renameSync, rmSync, statSync } from 'node:fs'
import { join } from 'node:path'
import { BOOK } from '../db/book-tables.ts'
import type { Db } from '../db/open.ts'
import { readShop } from '../db/shop.ts'
import { ProblemError } from '../problems.ts'
import { drawerOf, noteDrawer } from './drawers.ts'
import { whichStay } from './which-stay.ts'

/** One copy in the drawer. */
export interface Copy {
  name: string
  /** When it was made, ISO 8601. */
  at: string
  records: number
  bytes: number
}

/** Why a copy was made: every night, or before something that changes all. */
export type CopyReason = 'night' | 'by-hand' | 'before-bringing-back' | 'before-a-new-version'

const NAME = /^book-(\d{4}-\d{2}-\d{2})(?:-[a-z-]+(?:-\d{6})?)?\.sqlite$/

/** The records a copy holds, and that it is whole; throws where it is not. */
function checked(file: string): number {
  const copy = new Database(file, { readonly: true })
  try {
    const whole = copy.pragma('quick_check', { simple: true })
    if (whole !== 'ok') throw new Error(`the copy is damaged: ${String(whole)}`)
    const tables = new Set(
      copy
        .prepare<[], { name: string }>("SELECT name FROM sqlite_master WHERE type = 'table'")
        .all()
        .map(({ name }) => name),
    )
    return BOOK.reduce(
      (sum, { resource: { table } }) =>
        sum + (tables.has(table) && table !== 'writes' ? (copy.prepare<[], { n: number }>(`SELECT count(*) AS n FROM ${table}`).get()?.n ?? 0) : 0),
      0,
    )
  } finally {
    copy.close()
  }
}

/** Makes one copy of an open book and checks it. A half-made one never stands under a copy's name. */
export function makeCopy(db: Db, folder: string, name: string): Copy {
  mkdirSync(folder, { recursive: true })
  const file = join(folder, name)
  const half = `${file}.half`
  rmSync(half, { force: true })
  db.prepare('VACUUM INTO ?').run(half)
  const records = checked(half)
  renameSync(half, file)
  const { mtime, size } = statSync(file)
  return { name, at: mtime.toISOString(), records, bytes: size }
}

/** The drawer of one book's copies. */
export class Copies {
  readonly #db: Db
  readonly #file: string
  readonly #now: () => string
  /** Records by copy, counted once. */
  readonly #counted = new Map<string, number>()
  /** Why the last copy could not be made; `null` when it could. */
  failure: string | null = null
  /** What is wrong with the file of the open book, in words; `null` when nothing was found. */
  damage: string | null = null

  constructor(db: Db, file: string, now: () => string) {
    this.#db = db
    this.#file = file
    this.#now = now
  }

  get folder(): string {
    return drawerOf(this.#file, readShop(this.#db).copyFolder)
  }

  /** A book in memory has no drawer. */
  get canCopy(): boolean {
    return this.#file !== ':memory:'
  }

  /** Looks through the open book itself: a copy is made of its records and says nothing of its indexes. */
  look(): void {
    let found: string
    try {
      found = String(this.#db.pragma('integrity_check(1)', { simple: true }))
    } catch (error) {
      found = error instanceof Error ? error.message : String(error)
    }
    this.damage = found === 'ok' ? null : found
  }

  /** Makes a copy now and lets go of those that need not stay. */
  make(reason: CopyReason): Copy {
    if (!this.canCopy) throw new ProblemError('cannot-keep-now', 'A book in memory has no copies.')
    if (reason === 'night' || reason === 'by-hand') this.look()
    const at = this.#now()
    const day = dayIn(readShop(this.#db).timeZone, at)
    const name = reason === 'night' || reason === 'by-hand' ? `book-${day}.sqlite` : `book-${day}-${reason}-${at.slice(11, 19).replaceAll(':', '')}.sqlite`
    try {
      const copy = makeCopy(this.#db, this.folder, name)
      noteDrawer(this.#file, this.folder)
      this.#counted.set(`${copy.name} ${copy.at}`, copy.records)
      this.failure = null
      this.#letGo()
      return copy
    } catch (error) {
      this.failure = error instanceof Error ? error.message : String(error)
      throw new ProblemError('cannot-keep-now', `No copy could be made in ${this.folder}: ${this.failure}`)
    }
  }

  /** Every copy in the drawer, newest first. */
  list(): Copy[] {
    if (!this.canCopy || !existsSync(this.folder)) return []
    return readdirSync(this.folder)
      .filter((name) => NAME.test(name))
      .map((name): Copy => {
        const { mtime, size } = statSync(join(this.folder, name))
        const at = mtime.toISOString()
        return { name, at, records: this.#countOf(name, at), bytes: size }
      })
      .sort((a, b) => (a.at < b.at ? 1 : -1))
  }

  /** The file of a copy. */
  fileOf(name: string): string {
    const file = join(this.folder, name)
    if (!NAME.test(name) || !existsSync(file)) throw new ProblemError('not-found', 'There is no such copy in the drawer.')
    return file
  }

  #countOf(name: string, at: string): number {
    const key = `${name} ${at}`
    let records = this.#counted.get(key)
    if (records === undefined) {
      try {
        records = checked(join(this.folder, name))
      } catch {
        records = -1
      }
      this.#counted.set(key, records)
    }
    return records
  }

  #letGo(): void {
    const names = readdirSync(this.folder).filter((name) => NAME.test(name))
    const dayOf = (name: string): string => NAME.exec(name)?.[1] ?? ''
    const stay = new Set(whichStay(names.map(dayOf)))
    for (const name of names) if (!stay.has(dayOf(name))) rmSync(join(this.folder, name), { force: true })
  }
}
