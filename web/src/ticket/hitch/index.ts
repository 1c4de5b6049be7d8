import type { RouteObject } from 'react-router'
import { lazyRoom } from '../../state/lazy-room'

/** Line, hitch and load; what a drafting harness draws. */
export const hitch: RouteObject[] = [
  { path: 'hitch', lazy: lazyRoom(() => import('./HitchRoom'), 'HitchRoom') },
  { path: 'draft', lazy: lazyRoom(() => import('./DraftRoom'), 'DraftRoom') },
  { path: 'pair', lazy: lazyRoom(() => import('./PairRoom'), 'PairRoom') },
  { path: 'set-up-card', lazy: lazyRoom(() => import('./SetUpCard'), 'SetUpCard') },
]
