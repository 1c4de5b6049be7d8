import type { bodyOf, Progress, TicketSheet } from '@merry-tailor/core'
import { createContext, use } from 'react'

export interface OpenTicket {
  sheet: TicketSheet
  progress: Progress
  body: ReturnType<typeof bodyOf>
  name: string
}

export const TicketContext = createContext<OpenTicket | null>(null)

/** The ticket that is open on this screen. */
export function useOpenTicket(): OpenTicket {
  const open = use(TicketContext)
  if (!open) throw new Error('no ticket is open here')
  return open
}
