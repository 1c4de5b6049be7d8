import type { RouteObject } from 'react-router'
import { MeasureStage } from './MeasureStage'

/** Measure: the tape comes with the first load. */
export const measure: RouteObject[] = [{ path: 'measure', Component: MeasureStage }]
