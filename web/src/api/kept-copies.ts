import { UNASKED, USUAL_SHOP, type DogSheet, type ShopFields, type TicketSheet } from '@merry-tailor/core'

const asNow = (sheet: TicketSheet): TicketSheet => ({ ...sheet, ticket: { ...UNASKED, ...sheet.ticket } })

/** An answer kept on this device by an earlier page, with what has come to tickets and the shop since: nothing asked, as usual. */
export function filledUp(path: string, copy: unknown): unknown {
  if (copy === null || copy === undefined) return null
  if (path === '/shop') return { ...USUAL_SHOP, ...(copy as ShopFields) }
  if (path.startsWith('/tickets?')) return (copy as TicketSheet[]).map(asNow)
  if (path.startsWith('/tickets/')) return asNow(copy as TicketSheet)
  if (/^\/dogs\/[0-9a-f-]+$/.test(path)) return { ...(copy as DogSheet), tickets: (copy as DogSheet).tickets.map(asNow) }
  return copy
}
