import type { RouteObject } from 'react-router'
import { lazyRoom } from '../../state/lazy-room'

/** Line, hitch and load. */
export const hitch: RouteObject[] = [{ path: 'hitch', lazy: lazyRoom(() => import('./HitchRoom'), 'HitchRoom') }]
