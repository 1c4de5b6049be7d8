import { askNumbers } from '../units/index.ts'

/** Room a loop needs round its shaft, and must leave under the stop, mm across. Ours, unverified. */
const OVER_SHAFT_MM = 2
const UNDER_STOP_MM = 4

export interface ShaftLoop {
  /** Inside length of the loop, round. */
  leastMm: number
  mostMm: number
  startMm: number
  /** A loop can pass the shaft and not the stop. */
  ok: boolean
}

/**
 * The loop that slides over the shaft and not over its stop (handbook 7.2, S41).
 *
 * @throws RangeError for a number that is none, or no thickness
 */
export function shaftLoop({ shaftMm, stopMm }: { shaftMm: number; stopMm: number }): ShaftLoop {
  askNumbers({ shaftMm, stopMm }, 1)
  const [leastMm, mostMm] = [Math.PI * (shaftMm + OVER_SHAFT_MM), Math.PI * (stopMm - UNDER_STOP_MM)]
  const ok = leastMm < mostMm
  return { leastMm, mostMm, startMm: ok ? (leastMm + mostMm) / 2 : leastMm, ok }
}
