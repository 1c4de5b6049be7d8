import { z } from 'zod'
import { Day, Id, MeasureId, Moment, line } from './ids.schema.ts'
import { COAT_STATES, DEWCLAWS, METHODS, PLACES, SIDES, UNITS } from './lists.ts'
import { School } from './school.schema.ts'

export const Side = z.enum(SIDES)

/** How a length was got off the dog; it changes the error to expect (handbook 4.5). */
export const Method = z.enum(METHODS)
export type Method = z.infer<typeof Method>

/** State of the coat while it was measured (handbook 4.1). */
export const CoatState = z.enum(COAT_STATES)
export type CoatState = z.infer<typeof CoatState>

export const Place = z.enum(PLACES)
export type Place = z.infer<typeof Place>

/** Dewclaws of one leg (M37): none there, one, two. */
export const Dewclaw = z.enum(DEWCLAWS)
export type Dewclaw = z.infer<typeof Dewclaw>

/** What is known about how a reading was taken, so that it still means something in three years (handbook 4.7). */
const circumstances = {
  place: Place.nullable(),
  /** Version of the measure's definition in the catalogue. */
  definition: z.int().min(1).max(99),
  school: School.nullable(),
  method: Method,
  coat: CoatState.nullable(),
  /** What was doubtful about the stance; `''` when nothing was. */
  postureDoubt: line(120),
  /** Read on one straight tape through one chalk mark at the last rib (M10, M12, M13). */
  chalkMark: z.boolean(),
  /** The dewclaws of this leg, with M37 only. */
  dewclaw: Dewclaw.nullable(),
  /** The hem chosen (M15), the maker's route (M09), anything else the number needs to be understood. */
  remark: line(200),
  heldBy: line(60),
  /** The traced paw it was read from. */
  tracingId: Id.nullable().default(null),
}

export type Circumstances = { [K in keyof typeof circumstances]: z.infer<(typeof circumstances)[K]> }

/**
 * One laying-on of the tape. Appended, struck out and restored by marks, never changed.
 *
 * `mm` is as taken, in millimetres: one side is not yet doubled. M00 alone is no length: there `unit` is `kg` or `lb`
 * and the number is kilograms. 0 is a number only for M37 without a dewclaw.
 */
export const NewReading = z
  .object({
    measure: MeasureId,
    mm: z.number().min(0).max(3001),
    side: Side,
    asTyped: line(40).min(1),
    unit: z.enum(UNITS),
    takenAt: Moment,
    by: line(60),
    ...circumstances,
    /** The shop's own day; the server says it where the device did not. */
    on: Day.optional(),
  })
  .partial({
    place: true,
    definition: true,
    school: true,
    coat: true,
    postureDoubt: true,
    chalkMark: true,
    dewclaw: true,
    remark: true,
    heldBy: true,
    tracingId: true,
  })
  .refine((reading) => reading.mm > 0 || (reading.measure === 'M37' && reading.dewclaw === 'none'), {
    message: 'a tape reads more than nothing',
    path: ['mm'],
  })
  .refine((reading) => (reading.measure === 'M00') === (reading.unit === 'kg' || reading.unit === 'lb'), {
    message: 'a weight is in kg or lb, a length is not',
    path: ['unit'],
  })
export type NewReading = z.infer<typeof NewReading>

/** Why, when and by whom something was struck out. */
export const Strike = z.object({ why: line(200).min(1), at: Moment, by: line(60) })
export type Strike = z.infer<typeof Strike>

export const Reading = z.object({
  id: Id,
  measure: MeasureId,
  mm: z.number(),
  side: Side,
  asTyped: z.string(),
  unit: z.enum(UNITS),
  takenAt: Moment,
  /** The shop's own day. */
  on: Day.optional(),
  by: z.string(),
  ...circumstances,
  /** There while the newest mark on the reading strikes it out. */
  struck: Strike.optional(),
})
export type Reading = z.infer<typeof Reading>
