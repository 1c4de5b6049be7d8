import { z } from 'zod'
import { FamilyId, Id, Moment, line } from './ids.schema.ts'
import { HITCH_PLACES } from './lists.ts'
import { Strike } from './reading.schema.ts'

export const HitchPlace = z.enum(HITCH_PLACES)
export type HitchPlace = z.infer<typeof HitchPlace>

/** Where the other end of the line is: a record of the ticket, no reading of the dog. The newest of a family counts. */
export const NewHitch = z.object({
  where: HitchPlace,
  /** Above the floor, and the taut line from snap to hitch. */
  heightMm: z.number().min(0).max(3001),
  lineMm: z.number().positive().max(20_000),
  /** The gear it was looked at for; `null`: the line alone. */
  family: FamilyId.nullable(),
  at: Moment,
  by: line(60),
})
export type NewHitch = z.infer<typeof NewHitch>
export const Hitch = NewHitch.extend({ id: Id, struck: Strike.optional() })
export type Hitch = z.infer<typeof Hitch>
