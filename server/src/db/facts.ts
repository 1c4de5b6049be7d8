import type { Resource } from '@merry-tailor/core'
import { isDeepStrictEqual } from 'node:util'
import { ProblemError } from '../problems.ts'
import type { Db } from './open.ts'
import { insert, recordOf, recordsOf, rowOf, type Row } from './rows.ts'

interface Within {
  [field: string]: string
}

/** Do two readings of a fact say the same? Whoever sent it may not know the shop's day. */
const same = (a: object, b: object): boolean => isDeepStrictEqual({ ...a, on: undefined }, { ...b, on: undefined })

/**
 * Appends a fact. The same id with the same content changes nothing, even on a ticket closed meanwhile; with another
 * content it is refused, since a fact is never changed.
 *
 * @param allow asks whatever must hold before something new is kept; throws a refusal
 */
export function addFact<T extends { id: string }>(db: Db, resource: Resource<T>, record: T, within: Within, allow: () => void): T {
  try {
    allow()
  } catch (refusal) {
    // One that was kept before is answered as then, whatever holds today.
    const known = keptAs(db, resource, record, within)
    if (!known) throw refusal
    return known
  }
  // The id is looked up only where it is taken: nearly always it is new.
  return insert(db, resource, record, within) ? record : (keptAs(db, resource, record, within) ?? record)
}

/** The fact kept under a record's id; `null` where there is none. Throws where it says something else. */
function keptAs<T extends { id: string }>(db: Db, resource: Resource<T>, record: T, within: Within): T | null {
  const row = db.prepare<[string], Row>(`SELECT * FROM ${resource.table} WHERE id = ?`).get(record.id)
  if (!row) return null
  const known = recordOf(resource, row)
  const here = Object.entries(resource.within).every(([field, column]) => row[column] === within[field])
  // Both through the same columns, so that what is not kept is not compared.
  if (!here || !same(known, recordOf(resource, rowOf(resource, record, within))))
    throw new ProblemError('id-taken', `Another ${resource.name} is kept under this id. It is never changed, only struck.`)
  return known
}

/** The facts of a ticket, in the order in which the server took them. */
export const factsOf = <T extends { id: string }>(db: Db, resource: Resource<T>, ticketId: string): T[] =>
  recordsOf(db, resource, 'WHERE ticket_id = ? ORDER BY seq', ticketId)
