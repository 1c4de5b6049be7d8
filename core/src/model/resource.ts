import type { Change } from './changes.schema.ts'

/** How a field lives in its column: as it is, as 0 and 1, as JSON text, as bytes. */
export type ColumnKind = 'plain' | 'flag' | 'json' | 'bytes'
export interface Column {
  column: string
  as: ColumnKind
}
export const flag = (column: string): Column => ({ column, as: 'flag' })
export const json = (column: string): Column => ({ column, as: 'json' })
export const bytes = (column: string): Column => ({ column, as: 'bytes' })

/**
 * One kind of record, once: its name, where it is kept and asked for, its columns and what a new one says of itself when
 * nothing was said. Rows, INSERT texts, field changes, the copy of the book and the web's writes follow from it; its
 * schemas stand beside it in `<name>.schema.ts`.
 */
export interface Resource<T extends object> {
  name: string
  table: string
  /** Address of all of them, and of one: `/dogs`, `/dogs/:id`. */
  address: string
  /** Columns that name one record. */
  key: readonly string[]
  /** Fields of the record, in the order of the table. */
  columns: { readonly [K in keyof T & string]?: string | Column }
  /** Where it hangs, beside its own fields: the ticket of a reading. */
  within: Readonly<Record<string, string>>
  /** What nobody said. */
  defaults: Partial<T>
  /** The field that takes the moment it was made. */
  made: string | null
  /** Appended and struck by marks, never changed. */
  fact: boolean
  /** Questions whose answers change with it. */
  tags: readonly Tag[]
}

/** The questions a page asks, by what they are about. */
export const TAGS = [
  'Tickets',
  'Dogs',
  'Owners',
  'SizeTables',
  'Found',
  'Shop',
  'Fitters',
  'Reminders',
  'Pieces',
  'Bookings',
  'Rigs',
  'Cars',
  'Supply',
  'Copies',
] as const
export type Tag = (typeof TAGS)[number]

type Given<T extends object> = Pick<Resource<T>, 'name' | 'table' | 'address' | 'columns'> & Partial<Resource<T>>

/** Describes a resource. */
export const resource = <T extends object>(given: Given<T>): Resource<T> => ({
  key: ['id'],
  within: {},
  defaults: {},
  made: null,
  fact: false,
  tags: [],
  ...given,
})

/** A new record as it will read: defaults, what was said, its id, and the moment it was made. */
export function freshOf<T extends object>({ defaults, made }: Resource<T>, id: string, body: object): T {
  const { at, ...said } = body as { at?: string }
  const record: Record<string, unknown> = { ...defaults, ...said, id }
  if (at !== undefined) record[made ?? 'at'] = at
  return record as unknown as T
}

/** Puts changed fields into a record, in place. */
export function assign(target: object, changes: readonly Change[]): void {
  for (const { field, to } of changes) (target as Record<string, unknown>)[field] = to
}

/** Appends a record unless its id is there: facts never change, and a write sent again is one. */
export function keepOne<T extends { id: string }>(list: T[], made: T): void {
  if (!list.some((each) => each.id === made.id)) list.push(made)
}
