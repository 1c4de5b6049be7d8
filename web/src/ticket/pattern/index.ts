import type { RouteObject } from 'react-router'
import { lazyRoom } from '../../state/lazy-room'

/** A garment's pieces: cut, knitted, laid on cloth, printed. */
export const pattern: RouteObject[] = [
  { path: 'pattern/:itemId', lazy: lazyRoom(() => import('./PatternRoom'), 'PatternRoom') },
  { path: 'cut-sheet/:itemId', lazy: lazyRoom(() => import('./CutSheet'), 'CutSheet') },
  { path: 'knitting-sheet/:itemId', lazy: lazyRoom(() => import('./KnittingSheet'), 'KnittingSheet') },
]
