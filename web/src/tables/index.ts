import type { RouteObject } from 'react-router'
import { lazyRoom } from '../state/lazy-room'

/** Size tables: looked at, pasted, edited. */
export const tables: RouteObject[] = [
  { path: '/sizes', lazy: lazyRoom(() => import('./SizesPage'), 'SizesPage') },
  { path: '/sizes/paste', lazy: lazyRoom(() => import('./PastePage'), 'PastePage') },
  { path: '/sizes/new', lazy: lazyRoom(() => import('./TableEditor'), 'TableEditor') },
  { path: '/sizes/:tableId/edit', lazy: lazyRoom(() => import('./TableEditor'), 'TableEditor') },
]
