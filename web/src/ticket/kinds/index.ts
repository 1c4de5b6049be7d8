import type { RouteObject } from 'react-router'
import { lazyRoom } from '../../state/lazy-room'

/** Which kind of gear suits. */
export const kinds: RouteObject[] = [{ path: 'kinds', lazy: lazyRoom(() => import('./KindsRoom'), 'KindsRoom') }]
