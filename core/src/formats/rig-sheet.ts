import type { RigFields } from '../model/index.ts'
import { isSoundRig, RigFields as RigFieldsSchema } from '../model/schemas.ts'
import type { ReadDocument } from './read-document.ts'

const FORMAT = 'merry-tailor/rig'
const VERSION = 1

/** A rig as JSON text (docs/formats.md), lengths in mm, masses in kg, ahead of the axle towards the dog. */
export const rigToJson = (rig: RigFields): string => `${JSON.stringify({ format: FORMAT, version: VERSION, rig: RigFieldsSchema.parse(rig) }, null, 2)}\n`

/** Reads a rig from JSON text; every bad field is named by its path, a newer version says so. Never throws. */
export function rigFromJson(text: string): ReadDocument<RigFields> {
  const refuse = (at: string, message: string): ReadDocument<RigFields> => ({ ok: false, problems: [{ at, message }] })
  let data: unknown
  try {
    data = JSON.parse(text)
  } catch {
    return refuse('file', 'this is not JSON')
  }
  if (typeof data !== 'object' || data === null || (data as { format?: unknown }).format !== FORMAT) return refuse('format', 'this is no rig')
  const { version, rig } = data as { version?: unknown; rig?: unknown }
  if (typeof version === 'number' && version > VERSION) return refuse('version', 'this rig comes from a newer Merry Tailor: bring this one up to date first')
  if (version !== VERSION) return refuse('version', 'it says no version that is known')
  const read = RigFieldsSchema.safeParse(rig)
  if (!read.success) return { ok: false, problems: read.error.issues.map((issue) => ({ at: issue.path.join('.') || 'rig', message: issue.message })) }
  return isSoundRig(read.data) ? { ok: true, value: read.data } : refuse('rig', 'a bed goes from behind to ahead, and a stop is thicker than its shaft')
}
