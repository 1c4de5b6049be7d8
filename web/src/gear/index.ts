import type { RouteObject } from 'react-router'
import { lazyRoom } from '../state/lazy-room'

/** Pieces the shop owns. */
export const gear: RouteObject[] = [{ path: '/gear', lazy: lazyRoom(() => import('./GearPage'), 'GearPage') }]
