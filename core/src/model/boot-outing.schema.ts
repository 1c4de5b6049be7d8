import { z } from 'zod'
import { Day, Id, Moment, line, SymptomId } from './ids.schema.ts'
import { FOOTINGS, PAW_PLACES } from './lists.ts'

/** What an outing in boots did to one of them, and what was seen on its paw. */
export const BootSeen = z.object({ worn: z.boolean(), lost: z.boolean(), seen: z.array(SymptomId).max(8) })
export type BootSeen = z.infer<typeof BootSeen>

/** One outing in boots: how far, on what, and paw by paw what came back. */
export const NewBootOuting = z.object({
  on: Day,
  km: z.number().min(0).max(1000),
  footing: z.enum(FOOTINGS),
  minutes: z.number().min(0).max(1440).nullable(),
  paws: z.partialRecord(z.enum(PAW_PLACES), BootSeen),
  note: line(200),
  at: Moment,
  by: line(60),
})
export type NewBootOuting = z.infer<typeof NewBootOuting>
export const BootOuting = NewBootOuting.extend({ id: Id, removed: z.boolean() })
export type BootOuting = z.infer<typeof BootOuting>
/** An outing can only be taken off its list, and put back. */
export const BootOutingFields = z.object({ removed: z.boolean() })
