import { z } from 'zod'
import { Day, FamilyId, Id, MeasureId, Moment, line } from './ids.schema.ts'
import { GarmentPlan } from './garment-plan.schema.ts'
import { GARMENT_FAMILIES, GRADES, PAW_PLACES } from './lists.ts'
import { Strike } from './reading.schema.ts'

const Label = line(40).min(1)
const OfTable = { tableId: line(60).min(1), tableVersion: z.int().min(1) }
const Mm = z.number().min(-10_000).max(10_000)

/** One measure of one size as it was predicted: what `rankSizes` gives. */
export const PredictedFit = z.object({
  measure: MeasureId,
  mm: Mm.nullable(),
  spreadMm: Mm.nullable(),
  fromMm: Mm,
  toMm: Mm,
  byMm: Mm.nullable(),
  grade: z.enum(GRADES),
  chance: z.number().min(0).max(1).nullable(),
  guess: z.boolean(),
  danger: z.object({ check: line(60).nullable(), symptom: line(20) }).nullable(),
})

/** One size as it was predicted when it was chosen; `paw` where a boot of its own was chosen for it. */
export const Predicted = z.object({
  label: line(40),
  paw: z.enum(PAW_PLACES).optional(),
  grade: z.enum(GRADES),
  perMeasure: z.array(PredictedFit).max(40),
})
export type Predicted = z.infer<typeof Predicted>

/** What can be settled on, by kind. */
const kinds = {
  /** One size of a table, or two to try one after the other, the first first. */
  size: { kind: z.literal('size'), ...OfTable, labels: z.array(Label).min(1).max(2) },
  /** A piece the shop can lay a hand on. */
  gear: { kind: z.literal('gear'), pieceId: Id },
  /** A crate of the usual series, with the inside it was judged by: length, width, height, mm. */
  series: { kind: z.literal('series'), family: FamilyId, label: Label, insideMm: z.tuple([Mm, Mm, Mm]) },
  /** A boot for each paw. */
  paws: {
    kind: z.literal('paws'),
    ...OfTable,
    labels: z.partialRecord(z.enum(PAW_PLACES), Label).refine((labels) => Object.keys(labels).length > 0, { message: 'no paw has a boot' }),
  },
  /** Made to measure: the numbers to order by, mm, and what else the maker is told. */
  made: {
    kind: z.literal('made'),
    ...OfTable,
    numbers: z.partialRecord(MeasureId, z.number().positive().max(3001)),
    options: z.record(line(40).min(1), line(200)),
  },
  /** A set-up that was locked: what the item draws. It stands beside what was chosen to wear, and replaces no size. */
  'set-up': { kind: z.literal('set-up'), setUpId: Id },
  /** How a garment is cut or knitted: its pieces are drawn anew from the plan and the body. `was`: the plan its editor saw. */
  pattern: { kind: z.literal('pattern'), family: z.enum(GARMENT_FAMILIES), plan: GarmentPlan, was: Id.nullable() },
} as const

/** Of every choice, whatever its kind. */
const common = {
  itemId: Id,
  /** What was predicted when it was chosen, and the version of the rules that did; `null` on records of before. */
  predicted: z.array(Predicted).max(8),
  rulesVersion: z.int().min(1).nullable(),
  /** What the bench advised when the fitter chose otherwise, and the fitter's reason. */
  overruled: z.object({ advised: line(120).min(1), why: line(300).min(1) }).nullable(),
  at: Moment,
  by: line(60),
}
const sent = { ...common, on: Day.optional() }
const kept = { ...common, on: Day.optional(), id: Id, struck: Strike.optional() }

/** What the fitter settled on for an item. The newest choice counts; older ones are kept. */
export const NewChoice = z.discriminatedUnion('kind', [
  z.object({ ...sent, ...kinds.size }),
  z.object({ ...sent, ...kinds.gear }),
  z.object({ ...sent, ...kinds.series }),
  z.object({ ...sent, ...kinds.paws }),
  z.object({ ...sent, ...kinds.made }),
  z.object({ ...sent, ...kinds['set-up'] }),
  z.object({ ...sent, ...kinds.pattern }),
])
export type NewChoice = z.infer<typeof NewChoice>

export const Choice = z.discriminatedUnion('kind', [
  z.object({ ...kept, ...kinds.size }),
  z.object({ ...kept, ...kinds.gear }),
  z.object({ ...kept, ...kinds.series }),
  z.object({ ...kept, ...kinds.paws }),
  z.object({ ...kept, ...kinds.made }),
  z.object({ ...kept, ...kinds['set-up'] }),
  z.object({ ...kept, ...kinds.pattern }),
])
export type Choice = z.infer<typeof Choice>
