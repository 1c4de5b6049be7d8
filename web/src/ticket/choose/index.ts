import type { RouteObject } from 'react-router'
import { lazyRoom } from '../../state/lazy-room'

/** Choose: what each item is settled on. */
export const choose: RouteObject[] = [{ path: 'choose', lazy: lazyRoom(() => import('./ChooseStage'), 'ChooseStage') }]
