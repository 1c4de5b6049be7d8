import type { RouteObject } from 'react-router'
import { lazyRoom } from '../../state/lazy-room'

/** Paws and boots: each paw traced and sized, its strap, and what a season uses up. */
export const paws: RouteObject[] = [{ path: 'paws', lazy: lazyRoom(() => import('./PawsRoom'), 'PawsRoom') }]
