import type { Column, ColumnKind, Resource } from '@merry-tailor/core'
import type { Db } from './open.ts'

export type Cell = string | number | null | Buffer
export type Row = Record<string, Cell>

/** A field's column, and how it lives there. */
export const columnOf = (spec: string | Column): Column => (typeof spec === 'string' ? { column: spec, as: 'plain' } : spec)

/** A value as its column keeps it. */
export function cellOf(as: ColumnKind, value: unknown): Cell {
  if (value === undefined || value === null) return null
  switch (as) {
    case 'plain':
      return value as Cell
    case 'flag':
      return value === true ? 1 : 0
    case 'json':
      return JSON.stringify(value)
    case 'bytes':
      return typeof value === 'string' ? Buffer.from(value, 'base64') : Buffer.from(value as Uint8Array)
  }
}

/** A cell as the record says it. */
function valueOf(as: ColumnKind, cell: Cell): unknown {
  if (cell === null) return null
  switch (as) {
    case 'plain':
      return cell
    case 'flag':
      return cell === 1
    case 'json':
      return JSON.parse(cell as string)
    case 'bytes':
      return (cell as Buffer).toString('base64')
  }
}

/** Fields with their columns, listed once a resource. */
const fields = new WeakMap<object, readonly (readonly [field: string, column: Column])[]>()
function fieldsOf<T extends object>(resource: Resource<T>): readonly (readonly [field: string, column: Column])[] {
  let list = fields.get(resource)
  if (!list) {
    list = Object.entries(resource.columns as Record<string, string | Column>).map(([field, spec]) => [field, columnOf(spec)] as const)
    fields.set(resource, list)
  }
  return list
}

/** Readers made once a resource: a list of thousands is read at every question. */
const readers = new WeakMap<object, (row: Row) => object>()

/** A row as the record it keeps. */
export function recordOf<T extends object>(resource: Resource<T>, row: Row): T {
  let reader = readers.get(resource)
  if (!reader) {
    const read = fieldsOf(resource).filter(([, { as }]) => as !== 'bytes')
    reader = (from) => {
      const record: Record<string, unknown> = {}
      for (const [field, { column, as }] of read) record[field] = valueOf(as, from[column] ?? null)
      return record
    }
    readers.set(resource, reader)
  }
  return reader(row) as T
}

/** A resource's own columns, in the order of its fields: texts made once. */
const lists = new WeakMap<object, string>()
function columnList<T extends object>(resource: Resource<T>): string {
  let list = lists.get(resource)
  if (list === undefined) {
    list = quoted(
      fieldsOf(resource)
        .filter(([, { as }]) => as !== 'bytes')
        .map(([, { column }]) => column),
    )
    lists.set(resource, list)
  }
  return list
}

/**
 * Records of a resource, read by place: thousands of rows by name take five times as long.
 *
 * @param where what follows `FROM table`, with `?` for what is asked
 */
export function recordsOf<T extends object>(db: Db, resource: Resource<T>, where: string, ...asked: readonly Cell[]): T[] {
  const read = fieldsOf(resource).filter(([, { as }]) => as !== 'bytes')
  const rows = db
    .prepare<Cell[], Cell[]>(`SELECT ${columnList(resource)} FROM ${resource.table} ${where}`)
    .raw()
    .all(...asked)
  return rows.map((row) => {
    const record: Record<string, unknown> = {}
    for (let at = 0; at < read.length; at++) {
      const [field, { as }] = read[at] as (typeof read)[number]
      record[field] = valueOf(as, row[at] ?? null)
    }
    return record as T
  })
}

/** The columns of a row and what stands in them. */
export function rowOf<T extends object>(resource: Resource<T>, record: T, within: Readonly<Record<string, string>> = {}): Row {
  const row: Row = {}
  for (const [field, column] of Object.entries(resource.within)) row[column] = within[field] ?? null
  for (const [field, { column, as }] of fieldsOf(resource)) row[column] = cellOf(as, (record as Record<string, unknown>)[field])
  return row
}

const quoted = (names: readonly string[]): string => names.map((name) => `"${name}"`).join(', ')

/** INSERT of a record; a row under the same id stays as it is. */
export const insertText = ({ table, columns, within, key }: Resource<never> | Resource<object>): string => {
  const names = [...Object.values(within), ...Object.values(columns as Record<string, string | Column>).map((spec) => columnOf(spec).column)]
  return `INSERT INTO ${table} (${quoted(names)}) VALUES (${names.map((name) => `@${name}`).join(', ')}) ON CONFLICT (${key.join(', ')}) DO NOTHING`
}

/** Texts made once a resource. */
const texts = new WeakMap<object, string>()

/**
 * Keeps a record; one under the same id stays.
 *
 * @returns whether it is new
 */
export function insert<T extends object>(db: Db, resource: Resource<T>, record: T, within: Readonly<Record<string, string>> = {}): boolean {
  let text = texts.get(resource)
  if (text === undefined) texts.set(resource, (text = insertText(resource)))
  return db.prepare(text).run(rowOf(resource, record, within)).changes > 0
}
