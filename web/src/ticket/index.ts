import type { RouteObject } from 'react-router'
import { STAGE_ROOMS } from './stage-rooms'
import { TicketFrame, TicketStart } from './TicketFrame'

/** A ticket: its frame, and every stage's rooms inside it. */
export const ticket: RouteObject[] = [
  { path: '/tickets/:ticketId', Component: TicketFrame, children: [{ index: true, Component: TicketStart }, ...Object.values(STAGE_ROOMS).flat()] },
]
