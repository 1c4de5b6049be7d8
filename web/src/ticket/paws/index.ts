import type { RouteObject } from 'react-router'
import { lazyRoom } from '../../state/lazy-room'

/** Paws and boots: each paw traced and sized, its strap, what a season uses up; boots and outlines on paper. */
export const paws: RouteObject[] = [
  { path: 'paws', lazy: lazyRoom(() => import('./PawsRoom'), 'PawsRoom') },
  { path: 'paws/list', lazy: lazyRoom(() => import('./BootList'), 'BootList') },
  { path: 'paws/outlines', lazy: lazyRoom(() => import('./OutlineSheet'), 'OutlineSheet') },
]
