import { resources, type NewSetUp, type SetUp } from '@merry-tailor/core'
import { addFact } from './facts.ts'
import { requireDog } from './dogs.ts'
import type { Db } from './open.ts'
import { requirePiece } from './pieces.ts'
import { requireReference } from './references.ts'
import { requireRig } from './rigs.ts'
import { requireItem, requireOpenTicket } from './tickets.ts'

/** Keeps what an item’s harness draws. */
export const addSetUp = (db: Db, ticketId: string, id: string, setUp: NewSetUp): SetUp =>
  addFact(db, resources.setUps, { ...setUp, id }, { ticketId }, () => {
    requireOpenTicket(db, ticketId)
    requireReference(() => requireItem(db, ticketId, setUp.itemId), 'itemId')
    requireReference(() => requireRig(db, setUp.rigId), 'rigId')
    const { pieceId, pair } = setUp
    if (pair) requireReference(() => requireDog(db, pair.dogId), 'pair.dogId')
    if (pieceId !== null) requireReference(() => requirePiece(db, pieceId), 'pieceId')
  })
