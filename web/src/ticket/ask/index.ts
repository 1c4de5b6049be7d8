import type { RouteObject } from 'react-router'
import { lazyRoom } from '../../state/lazy-room'

/** Ask: the dog, its people, its work. */
export const ask: RouteObject[] = [{ path: 'ask', lazy: lazyRoom(() => import('./AskStage'), 'AskStage') }]
