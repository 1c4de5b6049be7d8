import { z } from 'zod'
import { Id, Moment, line } from './ids.schema.ts'

/** Two records of one dog put together: everything of the other goes to the one that stays. */
export const NewDogJoin = z.object({ otherId: Id, at: Moment, by: line(60) })
export type NewDogJoin = z.infer<typeof NewDogJoin>

/** What went over, so that it can be taken back: ids by table, and the fields of the record that were empty. */
export const DogJoin = NewDogJoin.extend({
  id: Id,
  moved: z.record(z.string(), z.array(z.string())),
  filled: z.record(z.string(), z.union([z.string(), z.number(), z.boolean()])),
  /** The moment it was taken apart again. */
  undone: Moment.nullable(),
})
export type DogJoin = z.infer<typeof DogJoin>
/** A join can only be taken apart. */
export const DogJoinFields = z.object({ undone: Moment.nullable() })
