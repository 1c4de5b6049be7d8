import type { Method } from '@merry-tailor/core'
import { keptDraft } from '../state/use-kept-draft'

/** A filled form as far as it is typed: boxes, methods, half or whole, and who measured. */
export interface TypedTapes {
  cells: Readonly<Record<string, string>>
  methods: Readonly<Record<string, Method>>
  halves: Readonly<Record<string, boolean>>
  /** `''` while nobody was named. */
  by: string
}

export const NOTHING_TYPED: TypedTapes = { cells: {}, methods: {}, halves: {}, by: '' }
export const isTypedTapes = (kept: unknown): kept is TypedTapes =>
  typeof kept === 'object' && kept !== null && ['cells', 'methods', 'halves', 'by'].every((field) => field in kept)
export const typedKey = (ticketId: string): string => `typed-${ticketId}`

/** How many numbers were typed for a ticket on this device and are not pinned yet. */
export function notPinned(ticketId: string): number {
  const cells = keptDraft(typedKey(ticketId), isTypedTapes)?.cells ?? {}
  return Object.values(cells).filter((typed) => typed.trim() !== '').length
}
