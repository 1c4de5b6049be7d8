import { z } from 'zod'
import { FamilyId, Id, Moment, line, notes } from './ids.schema.ts'
import { DISAGREEMENT_IDS } from './lists.ts'

/**
 * The shop's repeat rule for measures whose middle value counts (handbook 4.3): twice with a third on doubt, or three
 * times and averaged.
 */
export const RepeatRule = z.enum(['twice', 'three'])
export type RepeatRule = z.infer<typeof RepeatRule>

/** Questions on which practitioners disagree and the shop may take a side (handbook 13). */
export const DisagreementId = z.enum(DISAGREEMENT_IDS)
export type DisagreementId = z.infer<typeof DisagreementId>

/** The angles at which one kind of harness gives way to the next, degrees above the horizontal from the dog. */
export const LineBands = z
  .object({ wheelBelowDeg: z.number().min(-60).max(0), fullToDeg: z.number().min(-30).max(45), halfToDeg: z.number().min(0).max(80) })
  .refine((bands) => bands.wheelBelowDeg < bands.fullToDeg && bands.fullToDeg < bands.halfToDeg, { message: 'the three angles rise one after the other' })
export type LineBands = z.infer<typeof LineBands>

/** A name the calendar of this machine knows, or nothing. */
function isTimeZone(name: string): boolean {
  if (name === '') return true
  try {
    return new Intl.DateTimeFormat('en', { timeZone: name }).resolvedOptions().timeZone !== ''
  } catch {
    return false
  }
}

const Inner = z.number().min(50).max(3000)
/** A crate of the rack somebody measured inside, mm. */
export const MeasuredCrate = z.object({
  /** Wire, travel or soft: a label is wider in one kind than in another. */
  family: FamilyId,
  label: line(20).min(1),
  lengthMm: Inner,
  widthMm: Inner,
  heightMm: Inner,
  door: z.object({ widthMm: Inner, heightMm: Inner }).nullable(),
})
export type MeasuredCrate = z.infer<typeof MeasuredCrate>

const Sides = z.object({ length: z.number().min(50).max(5000), width: z.number().min(50).max(5000), height: z.number().min(50).max(5000) }).partial()
/** A carrier's own rules for air boxes, as it answered; what it left out is as commonly asked. */
export const CarrierRules = z.object({
  name: line(60).min(1),
  lengthB: z.number().min(0).max(3).nullable(),
  width: z.number().min(1).max(6).nullable(),
  flatFaceShare: z.number().min(0).max(1).nullable(),
  refusesFlatFace: z.boolean(),
  leastMm: Sides,
  mostMm: Sides,
  answered: line(40),
})
export type CarrierRules = z.infer<typeof CarrierRules>

/** Boots on the shop's own shelf, by table and size. */
export const BootsHere = z.object({ tableId: line(60).min(1), label: line(40).min(1), here: z.int().min(0).max(100_000) })
export type BootsHere = z.infer<typeof BootsHere>

/** What the whole shop has agreed on; every device follows. */
export const ShopFields = z.object({
  name: line(80),
  /** Where it is and how it is reached: printed under its name. */
  address: notes(300),
  /** A line of its own for customers, at the foot of what goes out. */
  greeting: line(200),
  unit: z.enum(['in', 'cm']),
  inchStep: z.union([z.literal(0.125), z.literal(0.0625)]),
  cmStep: z.union([z.literal(0.5), z.literal(0.1)]),
  /** The school asked for first on a custom cross-back. */
  school: z.enum(['A', 'B', 'both']),
  repeat: RepeatRule,
  /** For largest rings keep the maximum of several, not the middle. */
  largestCounts: z.boolean(),
  /** For lengths that must not be too long keep the shorter on doubt. */
  shorterOnDoubt: z.boolean(),
  /** Two readings may differ by the larger of these. */
  toleranceMm: z.number().min(1).max(50),
  toleranceShare: z.number().min(0).max(0.1),
  /** Rest between the first round and the second, seconds. */
  restSeconds: z.int().min(0).max(1800),
  paper: z.enum(['A4', 'Letter']),
  letterKeys: z.boolean(),
  /** The shop's side where it takes one; the recommendation holds elsewhere. */
  views: z.partialRecord(DisagreementId, z.enum(['A', 'B'])),
  lineBands: LineBands,
  /** The shop's own time zone, by its name: its days begin and end there. `''`: the server's. */
  timeZone: line(60).refine(isTimeZone, { message: 'no time zone is known by this name' }),
  /** Folder the nightly copies go to, on the server's computer. `''`: beside the book. */
  copyFolder: line(300),
  /** Insides of crates, by label, that somebody measured. */
  crates: z.array(MeasuredCrate).max(60),
  carriers: z.array(CarrierRules).max(60),
  /** Counted, size by size; what is not in it was never counted. */
  boots: z.array(BootsHere).max(600),
})
export type ShopFields = z.infer<typeof ShopFields>

/** A fitter's own fingers (M49), mm: the shop's only gauge at the dog. */
export const FingerGauge = z.object({
  /** Thickness of the flat index finger. */
  indexMm: z.number().min(5).max(40),
  /** Width of two fingers, of four, side by side. */
  twoMm: z.number().min(15).max(80),
  fourMm: z.number().min(40).max(140),
  /** Thickness of the flat hand. */
  handMm: z.number().min(8).max(60),
  at: Moment,
})
export type FingerGauge = z.infer<typeof FingerGauge>

export const FitterFields = z.object({ name: line(60).min(1), gauge: FingerGauge.nullable(), left: z.boolean() })
export type FitterFields = z.infer<typeof FitterFields>
export const NewFitter = z.object({ name: line(60).min(1), at: Moment })
export type NewFitter = z.infer<typeof NewFitter>
export const Fitter = FitterFields.extend({ id: Id, createdAt: Moment })
export type Fitter = z.infer<typeof Fitter>
