import type { RouteObject } from 'react-router'
import { lazyRoom } from '../../state/lazy-room'

/** Crates by their clearances, a puppy's divider, the air box, and whether it goes into the car. */
export const crate: RouteObject[] = [{ path: 'crate', lazy: lazyRoom(() => import('./CrateRoom'), 'CrateRoom') }]
