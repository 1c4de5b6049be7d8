import type { RouteObject } from 'react-router'
import { lazyRoom } from '../state/lazy-room'

/** What the shop has agreed on. */
export const settings: RouteObject[] = [{ path: '/shop', lazy: lazyRoom(() => import('./SettingsPage'), 'SettingsPage') }]
