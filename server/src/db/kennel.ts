import type { KennelImport } from '@merry-tailor/core/formats'
import { ProblemError } from '../problems.ts'
import { addDog } from './dogs.ts'
import type { Db } from './open.ts'
import { addOwner } from './owners.ts'
import { addReading } from './readings.ts'
import { addTicket } from './tickets.ts'

/**
 * Stores a kennel list: dogs, their owners by name, and a ticket with the readings of each dog that has any. Runs
 * inside the caller's transaction: all of it or nothing; the same list again changes nothing.
 */
export function takeKennelList(db: Db, { at, by, dogs }: KennelImport): { dogs: number; readings: number } {
  const ownerOf = db.prepare<[string], { id: string }>('SELECT id FROM owners WHERE name = ?')
  let readings = 0
  for (const [i, row] of dogs.entries()) {
    const known = row.owner === '' ? undefined : ownerOf.get(row.owner)?.id
    if (row.owner !== '' && !known && row.ownerId === null) throw new ProblemError('bad-document', `Row ${i + 1}: the owner "${row.owner}" needs an id.`)
    const owner = row.owner === '' ? null : (known ?? addOwner(db, row.ownerId ?? '', { name: row.owner, at }).id)
    addDog(db, row.id, { ...row.dog, ownerId: owner, at })
    if (row.readings.length === 0) continue
    addTicket(db, row.ticketId, { dogId: row.id, ownerId: owner, counter: false, at, by })
    row.readings.forEach((reading, r) => {
      const id = row.readingIds[r]
      if (id === undefined) throw new ProblemError('bad-document', `Row ${i + 1}: a reading has no id.`)
      addReading(db, row.ticketId, id, reading)
      readings += 1
    })
  }
  return { dogs: dogs.length, readings }
}
