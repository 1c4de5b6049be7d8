import { createBrowserRouter, Navigate } from 'react-router'
import { dogs } from '../dogs'
import { gear } from '../gear'
import { yard } from '../yard'
import { settings } from '../settings'
import { tables } from '../tables'
import { lazyRoom } from '../state/lazy-room'
import { ticket } from '../ticket'
import { today } from '../today'
import { Root } from './Root'
import { RouteProblem } from './RouteProblem'

/** Today and the tape come with the first load; every other room when its door is opened. */
export const router = createBrowserRouter([
  { path: '/pair', lazy: lazyRoom(() => import('../frame/PairRoom'), 'PairRoom'), HydrateFallback: () => null },
  {
    element: <Root />,
    errorElement: <RouteProblem />,
    HydrateFallback: () => null,
    children: [...today, ...dogs, ...tables, ...gear, ...settings, ...yard, ...ticket, { path: '*', element: <Navigate to="/" replace /> }],
  },
])
