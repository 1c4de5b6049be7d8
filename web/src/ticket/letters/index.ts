import type { RouteObject } from 'react-router'
import { lazyRoom } from '../../state/lazy-room'

/** Numbers that came by mail. */
export const letters: RouteObject[] = [{ path: 'letters', lazy: lazyRoom(() => import('./LettersPage'), 'LettersPage') }]
