import { json, resource } from './resource.ts'
import type { SizeTable } from './size-table.schema.ts'

export type { Band, Lead, MakerRules, Price, SizeRow, SizeTable, TableWay } from './size-table.schema.ts'

/** One version of one table, as it was stored: it never changes. */
export interface StoredTable {
  id: string
  version: number
  document: SizeTable
  storedAt: string
}

export const sizeTables = resource<StoredTable>({
  name: 'size-table',
  table: 'size_tables',
  key: ['id', 'version'],
  address: '/size-tables',
  tags: ['SizeTables', 'Supply'],
  columns: { id: 'id', version: 'version', document: json('document'), storedAt: 'stored_at' },
})
