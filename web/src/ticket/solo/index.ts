import type { RouteObject } from 'react-router'
import { lazyRoom } from '../../state/lazy-room'

/** The same tapes taken alone. */
export const solo: RouteObject[] = [{ path: 'solo', lazy: lazyRoom(() => import('./SoloBench'), 'SoloBench') }]
