import { z } from 'zod'
import { Id, Moment, line, notes } from './ids.schema.ts'
import { RIG_KINDS } from './lists.ts'

/** A cart, a wagon, runners or a drag. */
export const RigKind = z.enum(RIG_KINDS)
export type RigKind = z.infer<typeof RigKind>

const Height = z.number().min(0).max(3000)
const Along = z.number().min(-4000).max(4000)
const Long = z.number().min(1).max(4000)
const Place = z.object({ aheadMm: Along, heightMm: Height })

/** A rig standing level, empty. Ahead of its (front) axle is towards the dog; what lies behind is minus. Lengths mm. */
export const RigFields = z.object({
  name: line(60).min(1),
  kind: RigKind,
  /** Of the empty rig, and where its middle lies. */
  massKg: z.number().min(0.1).max(500),
  massAheadMm: Along,
  massHeightMm: Height,
  axleMm: z.number().min(10).max(800),
  trackMm: Long,
  /** A wagon’s axles apart, and how far its front axle turns. */
  wheelbaseMm: Long.nullable(),
  lockRad: z.number().min(0.05).max(1.5).nullable(),
  /** Where the loops hold the shafts and how high they lie level; how thick they are, their stops, and what a wagon’s weigh.
   * `null`: it has none. */
  shafts: z
    .object({
      aheadMm: Long,
      levelMm: z.number().min(50).max(1500),
      thickMm: z.number().min(5).max(120),
      stopMm: z.number().min(5).max(200),
      massKg: z.number().min(0).max(60).optional(),
    })
    .nullable(),
  /** Pivot of the bar, how wide it is, and whether it swings. */
  hitch: Place,
  bar: z.object({ widthMm: Long, swings: z.boolean() }),
  /** Where loads lie: from behind to ahead, and how high its floor is. */
  bed: z.object({ fromMm: Along, toMm: Along, heightMm: Height }),
  brake: z.boolean(),
  notes: notes(300),
})
export type RigFields = z.infer<typeof RigFields>

/** A bed goes from behind to ahead, and a stop is thicker than its shaft. */
export const isSoundRig = (rig: RigFields): boolean => rig.bed.fromMm < rig.bed.toMm && (rig.shafts === null || rig.shafts.stopMm > rig.shafts.thickMm)
export const NewRig = RigFields.extend({ at: Moment }).refine(isSoundRig, { message: 'a bed goes from behind to ahead, and a stop is thicker than its shaft' })
export type NewRig = z.infer<typeof NewRig>
export const Rig = RigFields.extend({ id: Id, createdAt: Moment })
export type Rig = z.infer<typeof Rig>
