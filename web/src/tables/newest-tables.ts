import type { SizeTable } from '@merry-tailor/core'

/** The newest version of each table: what new work is judged by. */
export function newestTables(tables: readonly SizeTable[]): SizeTable[] {
  const newest = new Map<string, SizeTable>()
  for (const table of tables) {
    const known = newest.get(table.id)
    if (!known || known.version < table.version) newest.set(table.id, table)
  }
  return [...newest.values()]
}
