import { z } from 'zod'
import { Id, Moment, line } from './ids.schema.ts'
import { Strike } from './reading.schema.ts'

/** A load on a rig: what it weighs, and where its middle lies, ahead of the axle and above the ground. */
export const SetUpLoad = z.object({
  name: line(60).min(1),
  massKg: z.number().min(0).max(500),
  aheadMm: z.number().min(-4000).max(4000),
  heightMm: z.number().min(0).max(3000),
})
export type SetUpLoad = z.infer<typeof SetUpLoad>

/** One stretch of a way. */
export const WayStretch = z.object({ lengthM: z.number().min(1).max(100_000), surface: line(30).min(1), gradePercent: z.number().min(-30).max(30) })

/** Two dogs before one rig, behind an evener and under a yoke, mm. The other dog’s own harness is set up on its own ticket. */
export const PairSetUp = z.object({
  dogId: Id,
  /** The side of the dog of this ticket. */
  side: z.enum(['left', 'right']),
  armsMm: z.object({ left: z.number().min(50).max(2000), right: z.number().min(50).max(2000) }),
  pinMm: z.number().min(-200).max(200),
  leadMm: z.number().min(-1000).max(1000),
  yokeMm: z.object({ left: z.number().min(50).max(2000), right: z.number().min(50).max(2000) }),
  poleKg: z.number().min(0).max(100),
})
export type PairSetUp = z.infer<typeof PairSetUp>

/** How an item’s harness was set to draw a rig: a record of the ticket, the newest of an item counts. Its straps are settings. */
export const NewSetUp = z.object({
  itemId: Id,
  pieceId: Id.nullable(),
  rigId: Id,
  loads: z.array(SetUpLoad).max(12),
  surface: line(30).min(1),
  gradePercent: z.number().min(-30).max(30),
  lasts: z.enum(['long', 'short']),
  /** How high this dog carries the loops; `null`: as its form had it. */
  loopMm: z.number().min(50).max(2000).nullable(),
  /** How high the bar’s pivot was set; `null`: as the rig has it. */
  hitchMm: z.number().min(0).max(3000).nullable(),
  /** The rear traces, how much longer than their start. */
  rearMm: z.object({ left: z.number().min(-3000).max(3000), right: z.number().min(-3000).max(3000) }),
  /** The way it is planned for, stretch by stretch. */
  route: z.array(WayStretch).max(12),
  pair: PairSetUp.nullable(),
  /** What each step of setting took. */
  minutes: z.record(line(40).min(1), z.number().min(0).max(1440)),
  at: Moment,
  by: line(60),
})
export type NewSetUp = z.infer<typeof NewSetUp>
/** Copies of before knew no way and no pair. */
export const SetUp = NewSetUp.extend({
  route: NewSetUp.shape.route.default([]),
  pair: NewSetUp.shape.pair.default(null),
  hitchMm: NewSetUp.shape.hitchMm.default(null),
  id: Id,
  struck: Strike.optional(),
})
export type SetUp = z.infer<typeof SetUp>
