import type { RouteObject } from 'react-router'
import { lazyRoom } from '../../state/lazy-room'

/** Try on: what is seen on the dressed dog. */
export const tryOn: RouteObject[] = [{ path: 'try-on', lazy: lazyRoom(() => import('./TryOnStage'), 'TryOnStage') }]
