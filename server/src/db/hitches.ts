import { resources, type Hitch, type NewHitch } from '@merry-tailor/core'
import { addFact } from './facts.ts'
import type { Db } from './open.ts'
import { requireOpenTicket } from './tickets.ts'

/** Keeps where the other end of the line is. */
export const addHitch = (db: Db, ticketId: string, id: string, hitch: NewHitch): Hitch =>
  addFact(db, resources.hitches, { ...hitch, id }, { ticketId }, () => {
    requireOpenTicket(db, ticketId)
  })
