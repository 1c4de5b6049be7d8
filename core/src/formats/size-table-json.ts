import { SizeTable } from '../model/schemas.ts'
import type { ReadDocument } from './read-document.ts'

/** A size table as JSON text, lengths in mm, keys in schema order, newline at the end. */
export const sizeTableToJson = (table: SizeTable): string => `${JSON.stringify(SizeTable.parse(table), null, 2)}\n`

/** Reads a size table from JSON text; every bad field is named by its path. Never throws. */
export function sizeTableFromJson(text: string): ReadDocument<SizeTable> {
  let data: unknown
  try {
    data = JSON.parse(text)
  } catch {
    return { ok: false, problems: [{ at: 'file', message: 'this is not JSON' }] }
  }
  const read = SizeTable.safeParse(data)
  if (read.success) return { ok: true, value: read.data }
  return { ok: false, problems: read.error.issues.map((issue) => ({ at: issue.path.join('.') || 'file', message: issue.message })) }
}
