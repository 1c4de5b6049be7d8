import type { RouteObject } from 'react-router'
import { TodayPage } from './TodayPage'

/** Today comes with the first load. */
export const today: RouteObject[] = [{ path: '/', Component: TodayPage }]
