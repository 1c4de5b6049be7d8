import type { RouteObject } from 'react-router'
import { lazyRoom } from '../../state/lazy-room'

/** The same tapes by paper. */
export const paper: RouteObject[] = [
  { path: 'form', lazy: lazyRoom(() => import('./MeasuringSheet'), 'MeasuringSheet') },
  { path: 'quick', lazy: lazyRoom(() => import('./QuickEntry'), 'QuickEntry') },
  { path: 'ask-back', lazy: lazyRoom(() => import('./AskBack'), 'AskBack') },
]

/** The order to a maker, by paper. */
export const order: RouteObject[] = [{ path: 'order', lazy: lazyRoom(() => import('./OrderSheet'), 'OrderSheet') }]

/** How what was chosen goes on, to take home. */
export const cards: RouteObject[] = [{ path: 'cards', lazy: lazyRoom(() => import('./DressingCards'), 'DressingCards') }]
