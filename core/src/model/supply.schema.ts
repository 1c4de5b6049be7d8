import { z } from 'zod'
import { Moment, line } from './ids.schema.ts'
import { Lead } from './size-table.schema.ts'

/** What a supplier says of one table: pieces on its shelf by size, and its weeks now. */
export const SupplyAnswer = z.object({
  tableId: line(60).min(1),
  /** By size label. */
  count: z.record(line(40), z.int().min(0).max(100_000)),
  lead: Lead,
  /** The moment the supplier counted, in its own words; it may be old. */
  countedAt: Moment,
})
export type SupplyAnswer = z.infer<typeof SupplyAnswer>

/** A supplier's last known answer, with the moment it came and whether the supplier was reached just now. */
export interface Supply extends SupplyAnswer {
  heardAt: string
  reached: boolean
}
