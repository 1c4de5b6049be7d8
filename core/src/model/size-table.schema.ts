import { z } from 'zod'
import { Day, FamilyId, MeasureId, line } from './ids.schema.ts'
import { CAR_BUILDS, TABLE_WAYS } from './lists.ts'
import { School } from './school.schema.ts'

/** The three ways to get a piece. */
export const TableWay = z.enum(TABLE_WAYS)
export type TableWay = z.infer<typeof TableWay>

const Weeks = z.number().min(0).max(104)
const spanInOrder = { message: 'the shorter time comes first' }

/** `[fromMm, toMm]`, both ends belonging to the size. */
export const Band = z
  .tuple([z.number().positive().max(3001), z.number().positive().max(3001)])
  .refine(([from, to]) => from <= to, { message: 'a band runs from the smaller to the larger length' })
export type Band = z.infer<typeof Band>

export const SizeRow = z.object({
  label: line(40).min(1),
  bands: z.partialRecord(MeasureId, Band),
  /** Strap lengths by the maker's names, from shortest to longest setting, where the maker gives them. */
  straps: z.record(line(40).min(1), Band).optional(),
  /** Heaviest dog the size was tested for, kg, where the maker says so. */
  testedKg: z.number().positive().max(150).optional(),
})
export type SizeRow = z.infer<typeof SizeRow>

export const Lead = z
  .object({
    minWeeks: Weeks,
    maxWeeks: Weeks,
    peak: z
      .object({ months: z.array(z.int().min(1).max(12)).min(1), minWeeks: Weeks, maxWeeks: Weeks })
      .refine((peak) => peak.minWeeks <= peak.maxWeeks, spanInOrder)
      .optional(),
  })
  .refine((lead) => lead.minWeeks <= lead.maxWeeks, spanInOrder)
export type Lead = z.infer<typeof Lead>

/** A maker's own words on fit; what is not here the maker does not say. They go before the family's defaults. */
export const MakerRules = z.object({
  /** Fingers flat under a strap, from and to. */
  fingers: z.tuple([z.number().min(0).max(8), z.number().min(0).max(8)]).optional(),
  /** How the maker cuts beside the printed sizes. */
  cut: z.enum(['roomy', 'true', 'snug']).optional(),
})
export type MakerRules = z.infer<typeof MakerRules>

/** What a piece costs, in the shop's own currency. */
export const Price = z
  .tuple([z.number().min(0).max(100_000), z.number().min(0).max(100_000)])
  .refine(([from, to]) => from <= to, { message: 'the lower price comes first' })

/** A maker's size table: one versioned document. Lengths are millimetres; `unit` is the maker's own, for showing. */
export const SizeTable = z
  .object({
    id: line(60).regex(/^[a-z0-9]+(?:-[a-z0-9]+)*$/, 'small letters, digits and single dashes'),
    version: z.int().min(1),
    name: line(80).min(1),
    maker: line(80).min(1),
    family: FamilyId,
    way: TableWay,
    school: School.optional(),
    unit: z.enum(['in', 'cm', 'mm']),
    /** The maker's own word on a dog between two sizes; `null` when the maker says nothing. */
    between: z.enum(['down', 'up']).nullable(),
    sizes: z.array(SizeRow).min(1, 'a size table has at least one size').max(60, 'a size table has at most 60 sizes'),
    lead: Lead,
    rules: MakerRules.optional(),
    price: Price.optional(),
    /** How a car harness is built; left out where it is none, or nobody said. */
    build: z.enum(CAR_BUILDS).optional(),
    /** What the maker says a car harness holds, in the maker’s words. */
    claim: line(300).optional(),
    /** The maker's names of straps, each tied to the strap of the family it is; `null`: to none, so it is shown and not laid. */
    strapWords: z.record(line(40).min(1), line(20).min(1).nullable()).optional(),
    /** Columns of the maker's table that stand for no measure of ours: nothing is judged by them. */
    unjudged: z.array(line(80).min(1)).max(40).optional(),
    /** Put away from this day on: no longer offered, while records keep the version they were judged by. */
    retired: Day.optional(),
  })
  .refine((table) => new Set(table.sizes.map((size) => size.label)).size === table.sizes.length, {
    message: 'two sizes have the same name',
    path: ['sizes'],
  })
export type SizeTable = z.infer<typeof SizeTable>
