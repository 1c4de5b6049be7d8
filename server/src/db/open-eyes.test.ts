import Database from 'better-sqlite3'
import { copyFileSync, mkdirSync, mkdtempSync, readFileSync, rmSync, truncateSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { Copies } from '../copies/copies.ts'
import { openDatabase } from './open.ts'
import { UnreadableBookError } from './open-eyes.ts'
import { changeShop } from './shop.ts'

let folder: string
let file: string
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'merry-'))
  file = join(folder, 'shop.sqlite')
})
afterEach(() => rmSync(folder, { recursive: true, force: true }))

/** A book with some dogs in it, whole on the disk, and a copy in the drawer. */
function aBook(): void {
  const db = openDatabase(file)
  const add = db.prepare("INSERT INTO owners (id, name, contact, notes, created_at) VALUES (?, ?, '', '', '2026-10-05T09:00:00Z')")
  db.transaction(() => {
    for (let i = 0; i < 400; i++) add.run(`0190-${i}`, `Owner ${i} ${'x'.repeat(60)}`)
  })()
  db.pragma('wal_checkpoint(TRUNCATE)')
  db.close()
  mkdirSync(join(folder, 'copies'), { recursive: true })
  copyFileSync(file, join(folder, 'copies', 'book-2026-10-04.sqlite'))
}
const refused = (): UnreadableBookError => {
  const before = readFileSync(file)
  try {
    openDatabase(file).close()
  } catch (error) {
    expect(error).toBeInstanceOf(UnreadableBookError)
    expect(readFileSync(file).equals(before)).toBe(true)
    return error as UnreadableBookError
  }
  throw new Error('it was opened')
}
/** The first page of a table or an index is changed on the disk. */
function changed(name: string, by: (page: Buffer) => unknown): void {
  const db = new Database(file)
  const { rootpage } = db.prepare<[string], { rootpage: number }>('SELECT rootpage FROM sqlite_schema WHERE name = ?').get(name) ?? { rootpage: 0 }
  const size = db.pragma('page_size', { simple: true }) as number
  db.close()
  const bytes = readFileSync(file)
  by(bytes.subarray((rootpage - 1) * size, rootpage * size))
  writeFileSync(file, bytes)
}
/** It is overwritten with nothing. */
const zeroed = (name: string): void => changed(name, (page) => page.fill(0))

describe('A14 a book’s file is opened with open eyes', () => {
  it('a whole one is signed, and opened again', () => {
    aBook()
    const db = openDatabase(file)
    expect(db.pragma('application_id', { simple: true })).toBe(0x4d544c52)
    db.close()
  })

  it('a damaged one is refused by its path, with the newest checked copy and the way back', () => {
    aBook()
    zeroed('owners')
    const error = refused()
    expect(error.message).toContain(file)
    expect(error.message).toContain('damaged')
    expect(error.copy).toBe(join(folder, 'copies', 'book-2026-10-04.sqlite'))
    expect(error.message).toContain('start again')
  })

  it('the copy is found in the folder the shop named elsewhere, too, and one that is gone is not named', () => {
    aBook()
    rmSync(join(folder, 'copies'), { recursive: true })
    const drive = join(folder, 'other-drive')
    const db = openDatabase(file)
    changeShop(db, [{ field: 'copyFolder', from: '', to: drive }])
    const { name } = new Copies(db, file, () => '2026-10-05T21:00:00Z').make('night')
    db.pragma('wal_checkpoint(TRUNCATE)')
    db.close()
    truncateSync(file, 0)
    const error = refused()
    expect(error.copy).toBe(join(drive, name))
    expect(error.message).toContain(`The newest checked copy is ${join(drive, name)}`)
    rmSync(drive, { recursive: true })
    writeFileSync(file, 'no book')
    expect(refused()).toMatchObject({ copy: null })
  })

  it('one whose index alone is damaged is mended: the records are whole', () => {
    aBook()
    const db = new Database(file)
    db.exec('CREATE INDEX owners_by_contact_name ON owners (contact, name)')
    db.close()
    zeroed('owners_by_contact_name')
    const mended = openDatabase(file)
    expect(mended.pragma('quick_check', { simple: true })).toBe('ok')
    expect(mended.prepare("SELECT count(*) AS n FROM owners WHERE contact = '' AND name LIKE 'Owner%'").get()).toEqual({ n: 400 })
    mended.close()
  })

  it('one that is open is looked through at night: an index that lies is said, though the copy of the records is whole', () => {
    aBook()
    const db = new Database(file)
    db.exec("CREATE INDEX two_owners ON owners (name) WHERE id IN ('0190-1', '0190-2')")
    db.close()
    changed('two_owners', (page) => page.write('Owner 9 ', page.indexOf('Owner 1 ')))
    const open = new Database(file)
    const copies = new Copies(open, file, () => '2026-10-06T02:00:00Z')
    expect(copies.make('night').records).toBeGreaterThan(0)
    expect([copies.damage, copies.failure]).toEqual([expect.stringContaining('two_owners'), null])
    open.close()
    changed('two_owners', (page) => page.write('Owner 1 ', page.indexOf('Owner 9 ')))
    const mended = openDatabase(file)
    const after = new Copies(mended, file, () => '2026-10-07T02:00:00Z')
    after.look()
    expect(after.damage).toBeNull()
    mended.close()
  })

  it('one that is open and can’t be copied any more says both', () => {
    aBook()
    zeroed('owners')
    const open = new Database(file)
    const copies = new Copies(open, file, () => '2026-10-06T02:00:00Z')
    expect(() => copies.make('night')).toThrow('No copy could be made')
    expect([copies.damage, copies.failure]).toEqual([expect.any(String), expect.any(String)])
    open.close()
  })

  it('one that was emptied is refused where a shop was; a fresh one is begun where none was', () => {
    aBook()
    truncateSync(file, 0)
    expect(refused().message).toContain('is empty, and there was a shop in it')
    rmSync(join(folder, 'copies'), { recursive: true })
    openDatabase(file).close()
  })

  it('what is no database, and another program’s, is left alone', () => {
    writeFileSync(file, 'a letter to somebody, longer than sixteen bytes')
    expect(refused().message).toContain('is no book of Merry Tailor')
    rmSync(file)
    const other = new Database(file)
    other.exec('CREATE TABLE invoices (x)')
    other.close()
    expect(refused().message).toContain('belongs to another program')
    const signed = new Database(file)
    signed.pragma('application_id = 77')
    signed.close()
    expect(refused().message).toContain('belongs to another program')
  })
})
