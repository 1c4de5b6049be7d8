import type { SizeTable } from '../model/index.ts'

/** The newest version of each table, in the order in which they first come. */
export function newestTables<T extends Pick<SizeTable, 'id' | 'version'>>(tables: readonly T[]): T[] {
  const newest = new Map<string, T>()
  for (const table of tables) if ((newest.get(table.id)?.version ?? 0) < table.version) newest.set(table.id, table)
  return [...newest.values()]
}

/** The newest version of each table that is still offered: none whose newest version was put away. */
export function offeredTables<T extends Pick<SizeTable, 'id' | 'version' | 'retired'>>(tables: readonly T[]): T[] {
  return newestTables(tables).filter((table) => table.retired === undefined)
}
