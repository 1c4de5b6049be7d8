import type { RouteObject } from 'react-router'
import { lazyRoom } from '../../state/lazy-room'

/** Finish: the docket, and the ticket closed. */
export const finish: RouteObject[] = [
  { path: 'finish', lazy: lazyRoom(() => import('./FinishStage'), 'FinishStage') },
  { path: 'docket', lazy: lazyRoom(() => import('./Docket'), 'Docket') },
]
