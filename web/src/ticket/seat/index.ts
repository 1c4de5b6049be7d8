import type { RouteObject } from 'react-router'
import { lazyRoom } from '../../state/lazy-room'

/** The dog in its seat: what its belt and harness take, and what must not drive off. */
export const seat: RouteObject[] = [
  { path: 'seat', lazy: lazyRoom(() => import('./SeatRoom'), 'SeatRoom') },
  { path: 'car-card', lazy: lazyRoom(() => import('./CarCard'), 'CarCard') },
]
