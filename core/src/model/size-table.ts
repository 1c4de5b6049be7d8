import { z } from 'zod'
import { FamilyId, MeasureId, line } from './ids.ts'
import { School } from './school.ts'

/** The three ways to get a piece. */
export const TableWay = z.enum(['stock', 'quick-ship', 'made'])
export type TableWay = z.infer<typeof TableWay>

const Weeks = z.number().min(0).max(104)
const spanInOrder = { message: 'the shorter time comes first' }

/** `[fromMm, toMm]`, both ends belonging to the size. */
export const Band = z
  .tuple([z.number().positive().max(3001), z.number().positive().max(3001)])
  .refine(([from, to]) => from <= to, { message: 'a band runs from the smaller to the larger length' })
export type Band = z.infer<typeof Band>

export const SizeRow = z.object({ label: line(40).min(1), bands: z.record(MeasureId, Band) })
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
    sizes: z.array(SizeRow).min(1).max(60),
    lead: Lead,
  })
  .refine((table) => new Set(table.sizes.map((size) => size.label)).size === table.sizes.length, {
    message: 'two sizes have the same name',
    path: ['sizes'],
  })
export type SizeTable = z.infer<typeof SizeTable>
