import type { RouteObject } from 'react-router'
import { lazyRoom } from '../state/lazy-room'

/** One tape down a line of dogs. */
export const yard: RouteObject[] = [
  { path: '/round', lazy: lazyRoom(() => import('./YardPage'), 'YardPage') },
  { path: '/round/sheet', lazy: lazyRoom(() => import('./YardSheet'), 'YardSheet') },
  { path: '/round/entry', lazy: lazyRoom(() => import('./YardEntry'), 'YardEntry') },
]
