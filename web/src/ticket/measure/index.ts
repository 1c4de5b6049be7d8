import type { RouteObject } from 'react-router'
import { lazyRoom } from '../../state/lazy-room'

/** Measure: the tape. */
export const measure: RouteObject[] = [{ path: 'measure', lazy: lazyRoom(() => import('./MeasureStage'), 'MeasureStage') }]
