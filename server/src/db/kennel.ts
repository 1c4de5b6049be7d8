import { bodyOf } from '@merry-tailor/core'
import { kennelListToCsv, type KennelImport } from '@merry-tailor/core/formats'
import { ProblemError } from '../problems.ts'
import { addDog, listDogs } from './dogs.ts'
import { marksOfTicket, newestMarks, withMark } from './marks.ts'
import type { Db } from './open.ts'
import { addOwner, listOwners, ownerNamed } from './owners.ts'
import { addReading, readingsOfTicket } from './readings.ts'
import { readShop } from './shop.ts'
import { addTicket, changeTicket, ticketsOfDog } from './tickets.ts'

/**
 * Stores a kennel list: dogs, their owners by name, and a ticket with the readings of each dog that has any. Runs
 * inside the caller's transaction: all of it or nothing; the same list again changes nothing.
 */
export function takeKennelList(db: Db, { at, by, dogs }: KennelImport): { dogs: number; readings: number } {
  let readings = 0
  for (const [i, row] of dogs.entries()) {
    const known = row.owner === '' ? undefined : ownerNamed(db, row.owner)
    if (row.owner !== '' && !known && row.ownerId === null) throw new ProblemError('bad-document', `Row ${i + 1}: the owner "${row.owner}" needs an id.`)
    const owner = row.owner === '' ? null : (known ?? addOwner(db, row.ownerId ?? '', { name: row.owner, at }).id)
    addDog(db, row.id, { ...row.dog, ownerId: owner, at })
    if (row.readings.length === 0) continue
    // What a list brings is a visit of its own day, not work that waits: its ticket is closed at once.
    const taken = row.readings.map((reading) => reading.takenAt).sort()[0] ?? at
    const ticket = addTicket(db, row.ticketId, { dogId: row.id, ownerId: owner, kind: 'real', at: taken, by })
    row.readings.forEach((reading, r) => {
      const id = row.readingIds[r]
      if (id === undefined) throw new ProblemError('bad-document', `Row ${i + 1}: a reading has no id.`)
      addReading(db, row.ticketId, id, reading)
      readings += 1
    })
    if (ticket.state === 'open') changeTicket(db, row.ticketId, [{ field: 'state', from: 'open', to: 'closed' }], at)
  }
  return { dogs: dogs.length, readings }
}

/** Every dog of the book as a kennel list, with each measure's newest agreed value. */
export function kennelList(db: Db): string {
  const rules = readShop(db)
  const owners = new Map(listOwners(db).map((owner) => [owner.id, owner.name]))
  return kennelListToCsv(
    listDogs(db).map((dog) => {
      const values: Record<string, number> = {}
      // Oldest ticket first, so that the newest value stays.
      for (const ticket of ticketsOfDog(db, dog.id).reverse()) {
        const newest = newestMarks(marksOfTicket(db, ticket.id))
        const body = bodyOf(
          readingsOfTicket(db, ticket.id).map((reading) => withMark(reading, newest)),
          rules,
        )
        for (const [id, agreed] of Object.entries(body)) if (agreed.mm !== null && !id.includes('/')) values[id] = agreed.mm
      }
      return { dog, owner: owners.get(dog.ownerId ?? '') ?? '', values }
    }),
  )
}
