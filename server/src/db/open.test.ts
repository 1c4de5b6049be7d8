import Database from 'better-sqlite3'
import { mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterEach, beforeEach, expect, it } from 'vitest'
import { NewerDatabaseError, openDatabase } from './open.ts'
import { indexIfEmpty } from './search.ts'

let folder: string
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'merry-'))
})
afterEach(() => rmSync(folder, { recursive: true, force: true }))

it('is durable and strict', () => {
  const db = openDatabase(join(folder, 'a.sqlite'))
  expect(db.pragma('journal_mode', { simple: true })).toBe('wal')
  expect(db.pragma('synchronous', { simple: true })).toBe(2)
  expect(db.pragma('foreign_keys', { simple: true })).toBe(1)
  expect(db.prepare("SELECT count(*) AS n FROM sqlite_schema WHERE type = 'table' AND sql NOT LIKE '%STRICT%'").get()).toEqual({ n: 0 })
  db.close()
})

it('refuses a database from a newer version and leaves every byte of it', () => {
  const file = join(folder, 'newer.sqlite')
  const newer = new Database(file)
  newer.exec('CREATE TABLE later (x)')
  newer.pragma('user_version = 999')
  newer.close()
  const before = readFileSync(file)
  expect(() => openDatabase(file)).toThrow(NewerDatabaseError)
  expect(readFileSync(file).equals(before)).toBe(true)
})

it('keeps a failed migration from leaving half of itself', () => {
  const file = join(folder, 'half.sqlite')
  const steps = join(folder, 'steps')
  mkdirSync(steps)
  writeFileSync(join(steps, '0001-good.sql'), 'CREATE TABLE kept (x INTEGER) STRICT;')
  writeFileSync(join(steps, '0002-bad.sql'), 'CREATE TABLE half (x INTEGER) STRICT; INSERT INTO nowhere VALUES (1);')
  expect(() => openDatabase(file, steps)).toThrow(/nowhere/)
  const db = new Database(file)
  expect(db.pragma('user_version', { simple: true })).toBe(1)
  expect(db.prepare("SELECT name FROM sqlite_schema WHERE type = 'table'").all()).toEqual([{ name: 'kept' }])
  db.close()
})

it('keeps readings from being changed or deleted, whoever asks', () => {
  const db = openDatabase(join(folder, 'b.sqlite'))
  db.exec(`INSERT INTO tickets (id, number, kind, created_at, on_day) VALUES ('t', 1, 'counter', 'now', 'today');
    INSERT INTO readings (id, ticket_id, measure, mm, side, as_typed, unit, method, taken_at, on_day, by_whom)
      VALUES ('r', 't', 'M01', 300, 'one', '30 cm', 'cm', 'tape', 'now', 'today', '');
    INSERT INTO marks (id, ticket_id, what, about, kind, why, at, by_whom) VALUES ('m', 't', 'reading', 'r', 'struck', 'x', 'now', '')`)
  expect(() => db.exec('UPDATE readings SET mm = 1')).toThrow(/never updated/)
  expect(() => db.exec('DELETE FROM readings')).toThrow(/never deleted/)
  expect(() => db.exec("UPDATE marks SET why = 'y'")).toThrow(/never updated/)
  expect(() => db.exec('DELETE FROM marks')).toThrow(/never deleted/)
  db.close()
})

it('brings a book of the first version forward with its strikes as marks', () => {
  const file = join(folder, 'old.sqlite')
  const first = join(folder, 'first')
  mkdirSync(first)
  const migrations = join(import.meta.dirname, 'migrations')
  writeFileSync(join(first, '0001-first-bench.sql'), readFileSync(join(migrations, '0001-first-bench.sql')))
  const old = openDatabase(file, first)
  old.exec(`INSERT INTO dogs (id, name, created_at) VALUES ('d', 'Tern', 'now');
    INSERT INTO tickets (id, number, counter, created_at, dog_id) VALUES ('t', 1, 1, 'now', 'd');
    INSERT INTO readings VALUES ('01900000-0000-7000-8000-000000000010', 't', 'M01', 300, 'one', '30 cm', 'cm', 'tape', 'now', 'Ylva');
    INSERT INTO strikes VALUES ('01900000-0000-7000-8000-000000000010', 'dog turned', 'later', 'Orrin')`)
  old.close()
  const db = openDatabase(file)
  expect(db.prepare('SELECT about, kind, why, by_whom FROM marks').all()).toEqual([
    { about: '01900000-0000-7000-8000-000000000010', kind: 'struck', why: 'dog turned', by_whom: 'Orrin' },
  ])
  expect(db.prepare('SELECT measure, definition, held_by FROM readings').all()).toEqual([{ measure: 'M01', definition: 1, held_by: '' }])
  indexIfEmpty(db)
  expect(db.prepare("SELECT title FROM search_words WHERE kind = 'dog' AND word = 'tern'").all()).toEqual([{ title: 'Tern' }])
  db.close()
})
