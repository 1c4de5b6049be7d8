import type { Change, FieldConflict } from '@merry-tailor/core'
import { isDeepStrictEqual } from 'node:util'
import type { z } from 'zod'
import { ProblemError } from '../problems.ts'
import type { Db } from './open.ts'

type Cell = string | number | null

/** Which column a field of the model lives in, and how it is written there. */
export interface Columns {
  table: 'dogs' | 'owners' | 'tickets' | 'items' | 'fitters' | 'dog_notes' | 'pieces'
  fields: Readonly<Record<string, { column: string; write: (value: unknown) => Cell }>>
}

export const plain = (column: string) => ({ column, write: (value: unknown) => value as Cell })
export const flag = (column: string) => ({ column, write: (value: unknown) => (value === null ? null : value === true ? 1 : 0) })
export const json = (column: string) => ({ column, write: (value: unknown) => (value === null ? null : JSON.stringify(value)) })

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

/** Applies single-field changes to a row; nothing is changed when one of them is stale or wrong. */
export function applyChanges(
  db: Db,
  { table, fields }: Columns,
  id: string,
  now: object,
  shape: Readonly<Record<string, z.ZodType>>,
  changes: readonly Change[],
): void {
  const next = checkedChanges(now, shape, changes, `${table} have`) as Record<string, unknown>
  for (const field of new Set(changes.map((change) => change.field))) {
    const target = fields[field]
    if (!target) throw new ProblemError('unknown-field', `${table} have no field "${field}"`)
    if (next[field] === (now as Record<string, unknown>)[field]) continue
    db.prepare(`UPDATE ${table} SET ${target.column} = ? WHERE id = ?`).run(target.write(next[field]), id)
  }
}
