import { expect, it } from 'vitest'
import { newestTables, offeredTables } from './newest-tables.ts'

const tables = [
  { id: 'a', version: 1 },
  { id: 'a', version: 2, retired: '2026-11-01' },
  { id: 'b', version: 1, retired: '2026-11-01' },
  { id: 'b', version: 2 },
]

it('X10 a table put away is still a table, but not offered; its next version is', () => {
  expect(newestTables(tables).map(({ id, version }) => `${id}${version}`)).toEqual(['a2', 'b2'])
  expect(offeredTables(tables).map(({ id, version }) => `${id}${version}`)).toEqual(['b2'])
})
