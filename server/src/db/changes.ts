import type { Change, Column, FieldConflict, Resource } from '@merry-tailor/core'
import { isDeepStrictEqual } from 'node:util'
import type { z } from 'zod'
import { ProblemError } from '../problems.ts'
import type { Db } from './open.ts'
import { cellOf, columnOf } from './rows.ts'

/**
 * Checks single-field changes, each against the value its editor saw, and gives the whole as it reads afterwards. A
 * field that already reads the wished value is left; one that reads a third value makes the whole request a 409 with
 * both values.
 *
 * @param now the whole as it reads now, in model shape
 * @param owner how the refusal of an unknown field begins: `dogs have`
 */
export function checkedChanges<T extends object>(now: T, shape: Readonly<Record<string, z.ZodType>>, changes: readonly Change[], owner: string): T {
  const next = { ...now } as Record<string, unknown>
  const conflicts: FieldConflict[] = []
  for (const { field, from, to } of changes) {
    const schema = Object.hasOwn(shape, field) ? shape[field] : undefined
    if (!schema) throw new ProblemError('unknown-field', `${owner} no field "${field}"`)
    const wished = schema.safeParse(to)
    if (!wished.success) {
      const message = wished.error.issues[0]?.message ?? 'cannot be read'
      throw new ProblemError('bad-request', `"${field}" ${message}`, { fields: [{ path: field, message }] })
    }
    const current = next[field]
    if (isDeepStrictEqual(current, wished.data)) continue
    if (!isDeepStrictEqual(current, from)) conflicts.push({ field, yours: wished.data, theirs: current })
    else next[field] = wished.data
  }
  if (conflicts.length > 0) throw new ProblemError('stale-edit', 'The same field was changed meanwhile; both values are given.', { conflicts })
  return next as T
}

/**
 * Applies single-field changes to a row; nothing is changed when one of them is stale or wrong.
 *
 * @returns the record as it reads afterwards
 */
export function applyChanges<T extends { id: string }>(
  db: Db,
  resource: Resource<T>,
  now: T,
  shape: Readonly<Record<string, z.ZodType>>,
  changes: readonly Change[],
): T {
  const next = checkedChanges(now, shape, changes, `${resource.table} have`)
  writeFields(db, resource, now, next)
  return next
}

/** Writes the fields in which two readings of one record differ. */
export function writeFields<T extends { id: string }>(db: Db, { table, columns }: Resource<T>, now: T, next: T): void {
  for (const [field, spec] of Object.entries(columns as Record<string, string | Column>)) {
    const [before, after] = [now, next].map((record) => (record as Record<string, unknown>)[field])
    if (before === after) continue
    const { column, as } = columnOf(spec)
    db.prepare(`UPDATE ${table} SET ${column} = ? WHERE id = ?`).run(cellOf(as, after), now.id)
  }
}
