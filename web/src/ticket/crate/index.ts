import type { RouteObject } from 'react-router'
import { lazyRoom } from '../../state/lazy-room'

/** Crates by their clearances, a puppy's divider, the air box, whether it goes into the car; and the three on paper. */
export const crate: RouteObject[] = [
  { path: 'crate', lazy: lazyRoom(() => import('./CrateRoom'), 'CrateRoom') },
  { path: 'crate/divider', lazy: lazyRoom(() => import('./DividerSheet'), 'DividerSheet') },
  { path: 'crate/air', lazy: lazyRoom(() => import('./AirSheet'), 'AirSheet') },
  { path: 'crate/car', lazy: lazyRoom(() => import('./CarSheet'), 'CarSheet') },
]
