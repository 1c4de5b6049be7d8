import { resources, type NewSetting, type Setting } from '@merry-tailor/core'
import { requireDog } from './dogs.ts'
import { addFact } from './facts.ts'
import type { Db } from './open.ts'
import { requirePiece } from './pieces.ts'
import { requireReference } from './references.ts'
import { requireItem, requireOpenTicket } from './tickets.ts'

/** Keeps where one strap stands on one dog. */
export const addSetting = (db: Db, ticketId: string, id: string, setting: NewSetting): Setting =>
  addFact(db, resources.settings, { ...setting, id }, { ticketId }, () => {
    requireOpenTicket(db, ticketId)
    const { of, dogId } = setting
    if ('itemId' in of) requireReference(() => requireItem(db, ticketId, of.itemId), 'of.itemId')
    else requireReference(() => requirePiece(db, of.pieceId), 'of.pieceId')
    if (dogId !== null) requireReference(() => requireDog(db, dogId), 'dogId')
  })
