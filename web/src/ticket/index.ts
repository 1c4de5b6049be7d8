import type { RouteObject } from 'react-router'
import { lazyRoom } from '../state/lazy-room'
import { STAGE_ROOMS } from './stage-rooms'

/** A ticket: its frame, and every stage's rooms inside it. */
export const ticket: RouteObject[] = [
  {
    path: '/tickets/:ticketId',
    lazy: lazyRoom(() => import('./TicketFrame'), 'TicketFrame'),
    children: [{ index: true, lazy: lazyRoom(() => import('./TicketFrame'), 'TicketStart') }, ...Object.values(STAGE_ROOMS).flat()],
  },
]
