import type { Change, FieldConflict } from '@merry-tailor/core'
import { isDeepStrictEqual } from 'node:util'
import type { z } from 'zod'
import { ProblemError } from '../problems.ts'
import type { Db } from './open.ts'

type Cell = string | number | null

/** Which column a field of the model lives in, and how it is written there. */
export interface Columns {
  table: 'dogs' | 'owners' | 'tickets' | 'items'
  fields: Readonly<Record<string, { column: string; write: (value: unknown) => Cell }>>
}

export const plain = (column: string) => ({ column, write: (value: unknown) => value as Cell })
export const flag = (column: string) => ({ column, write: (value: unknown) => (value === null ? null : value === true ? 1 : 0) })
export const json = (column: string) => ({ column, write: (value: unknown) => JSON.stringify(value) })

/**
 * Applies single-field changes, each against the value its editor saw. A field that already reads the wished value is
 * left; one that reads a third value makes the whole request a 409 with both values, and nothing is changed.
 *
 * @param now the row as it reads now, in model shape
 */
export function applyChanges(
  db: Db,
  { table, fields }: Columns,
  id: string,
  now: Readonly<Record<string, unknown>>,
  shape: Readonly<Record<string, z.ZodType>>,
  changes: readonly Change[],
): void {
  const conflicts: FieldConflict[] = []
  for (const { field, from, to } of changes) {
    const target = fields[field]
    const schema = shape[field]
    if (!target || !schema) throw new ProblemError('unknown-field', `${table} have no field "${field}"`)
    const wished = schema.safeParse(to)
    if (!wished.success) {
      const message = wished.error.issues[0]?.message ?? 'cannot be read'
      throw new ProblemError('bad-request', `"${field}" ${message}`, { fields: [{ path: field, message }] })
    }
    const current = now[field]
    if (isDeepStrictEqual(current, wished.data)) continue
    if (!isDeepStrictEqual(current, from)) {
      conflicts.push({ field, yours: wished.data, theirs: current })
      continue
    }
    db.prepare(`UPDATE ${table} SET ${target.column} = ? WHERE id = ?`).run(target.write(wished.data), id)
  }
  if (conflicts.length > 0) throw new ProblemError('stale-edit', 'The same field was changed meanwhile; both values are given.', { conflicts })
}
