import { z } from 'zod'
import { Id, Moment, line } from './ids.schema.ts'
import { PAW_PLACES } from './lists.ts'

const Mm = z.number().min(-400).max(400)
/** How the sheet was seen in the photograph. */
const View = z.object({ h: z.array(z.number()).length(9), lens: z.number(), middle: z.tuple([z.number(), z.number()]), half: z.number().positive() })

/** One paw drawn round on paper: its outline in the sheet's millimetres, y down, and what is known of the drawing. */
export const NewTracing = z.object({
  paw: z.enum(PAW_PLACES),
  points: z
    .array(z.tuple([Mm, Mm]))
    .min(3)
    .max(2000),
  /** Where the toes point, radians; upwards on the sheet. */
  toesRad: z.number().min(-10).max(10),
  /** Gaps closed in the line, mm in all. */
  closedMm: z.number().min(0).max(500),
  /** How far outside the paw the line runs, a side; `null` where nobody measured it. */
  pencilMm: z.number().min(0).max(10).nullable(),
  /** The printed 100 mm line was measured. */
  lineRead: z.boolean(),
  /** What was left between marks and sheet; `null` of an outline laid out by hand. */
  rmsMm: z.number().min(0).max(100).nullable(),
  view: View.nullable(),
  /** The flattened picture among the dog's. */
  photoId: Id.nullable(),
  /** The nails, as they stood when it was drawn. */
  nails: z.enum(['short', 'long']).nullable().default(null),
  /** A hand moved the outline. */
  edited: z.boolean(),
  at: Moment,
  by: line(60),
})
export type NewTracing = z.infer<typeof NewTracing>
export const Tracing = NewTracing.extend({ id: Id, removed: z.boolean() })
export type Tracing = z.infer<typeof Tracing>
/** A tracing can only be taken off, and put back. */
export const TracingFields = z.object({ removed: z.boolean() })
