import { addressOf, type Act, type Change } from '@merry-tailor/core'
import type { WriteRequest } from './kept'

export const put = (url: string, body: unknown): WriteRequest => ({ url, method: 'PUT', body })
export const patch = (url: string, changes: readonly Change[]): WriteRequest => ({ url, method: 'PATCH', body: { changes } })

/** Where an act on a ticket is sent. */
export function requestOf(ticketId: string, act: Act): WriteRequest {
  const { method, path, body } = addressOf(ticketId, act)
  return { url: path, method, body }
}
