import { resources, type NewOuting, type Outing } from '@merry-tailor/core'
import { OutingFields } from '@merry-tailor/core/schemas'
import { dogParts } from './dog-parts.ts'
import type { Db } from './open.ts'
import { requireReference } from './references.ts'
import { requireRig } from './rigs.ts'

/** Outings of a dog that learns to draw, newest day first, with those taken off the list. */
const parts = dogParts<Outing>(resources.outings, 'on_day DESC, seq DESC', OutingFields.shape, 'There is no such outing of this dog.')

export const outings = {
  ...parts,
  add: (db: Db, dogId: string, id: string, outing: NewOuting): Outing => {
    const { rigId } = outing
    if (rigId !== null) requireReference(() => requireRig(db, rigId), 'rigId')
    return parts.add(db, dogId, id, outing)
  },
}
