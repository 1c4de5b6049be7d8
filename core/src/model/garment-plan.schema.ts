import { z } from 'zod'
import { Id, line } from './ids.schema.ts'
import { CLOTHS, CUTS, FASTENINGS, HEMS } from './lists.ts'

const Ease = z.number().min(-300).max(600)
const Allowance = z.number().min(0).max(100)

/** A washed and dried swatch, and what its stitch pattern repeats. */
export const Swatch = z.object({
  stitches: z.number().positive().max(1000),
  widthMm: z.number().positive().max(2000),
  rows: z.number().positive().max(1000),
  heightMm: z.number().positive().max(2000),
  grams: z.number().positive().max(5000).nullable(),
  multiple: z.int().min(1).max(200),
  edge: z.int().min(0).max(200),
})
export type Swatch = z.infer<typeof Swatch>

/** An edge moved by hand, or pinned at a trial, outward plus, mm, most at a share of its length. */
export const GarmentMove = z.object({
  piece: line(40).min(1),
  edge: line(40).min(1),
  mm: z.number().min(-500).max(500),
  at: z.number().min(0).max(1).optional(),
  /** The try-on it was pinned in; a move at the table has none. */
  round: Id.optional(),
})

/** How a garment is wished: everything may be left to the family's own. Lengths in mm. */
export const GarmentPlan = z
  .object({
    ease: z.object({ girthMm: Ease, neckMm: Ease, headMm: Ease, lengthMm: Ease }).partial(),
    /** How far chest and back lap at the band. */
    overlapMm: z.number().min(0).max(400),
    allowancesMm: z.object({ seam: Allowance, hem: Allowance }).partial(),
    cloth: z.enum(CLOTHS),
    cut: z.enum(CUTS),
    growing: z.boolean(),
    darts: z.boolean(),
    hem: z.enum(HEMS),
    fastening: z.enum(FASTENINGS),
    moves: z.array(GarmentMove).max(60),
    /** What the cloth is wide, for the lay. */
    clothWidthMm: z.number().min(100).max(5000),
    /** Its nap or print runs one way: no piece is turned end for end. */
    oneWay: z.boolean(),
    /** What is left between two pieces on the cloth. */
    gapMm: z.number().min(0).max(100),
    swatch: Swatch.nullable(),
    /** Rows already knitted, by piece. */
    knitted: z.record(line(40).min(1), z.int().min(0).max(4000)),
    /** Slack of a loop and length of a tail. */
    cords: z.object({ slackMm: z.number().min(0).max(300), tailMm: z.number().min(0).max(500) }),
  })
  .partial()
export type GarmentPlan = z.infer<typeof GarmentPlan>
