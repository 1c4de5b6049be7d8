import { z } from 'zod'
import { Id, Moment, line, notes } from './ids.schema.ts'

export const OwnerFields = z.object({ name: line(80).min(1), contact: line(200), notes: notes(1000) })
export type OwnerFields = z.infer<typeof OwnerFields>

export const NewOwner = OwnerFields.partial().required({ name: true }).extend({ at: Moment })
export type NewOwner = z.infer<typeof NewOwner>

export const Owner = OwnerFields.extend({ id: Id, createdAt: Moment })
export type Owner = z.infer<typeof Owner>
