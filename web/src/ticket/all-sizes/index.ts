import type { RouteObject } from 'react-router'
import { lazyRoom } from '../../state/lazy-room'

/** Every size of every maker. */
export const allSizes: RouteObject[] = [{ path: 'all-sizes', lazy: lazyRoom(() => import('./AllSizesRoom'), 'AllSizesRoom') }]
