import { json, resource } from './resource.ts'
import type { SupplyAnswer } from './supply.schema.ts'

export type { Supply, SupplyAnswer } from './supply.schema.ts'

/** A supplier's last word on each table, kept for when it cannot be reached. */
export const supplies = resource<{ tableId: string; answer: SupplyAnswer; heardAt: string }>({
  name: 'supply',
  table: 'supply',
  key: ['table_id'],
  address: '/supply',
  tags: ['Supply'],
  columns: { tableId: 'table_id', answer: json('answer'), heardAt: 'heard_at' },
})
