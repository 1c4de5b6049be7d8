import type { VentedWall } from '@merry-tailor/core'

/** One side of an air box: its opening, wide and high, mm, and whether a third or more of it lies in the upper half. */
export interface AirWall {
  wideMm: number
  highMm: number
  upper: boolean
}

export const AIR_SIDES = ['front', 'right', 'back', 'left'] as const

/** What was said of a flight, kept on this device until it is done with. */
export interface AirState {
  carrier: string
  animals: number
  bedMm: number
  day: string
  /** Front, right, back, left; none while nobody measured them. */
  walls: readonly AirWall[]
}

export const COMMON = 'common'
export const noFlight = (day: string): AirState => ({ carrier: COMMON, animals: 1, bedMm: 20, day, walls: [] })
export const isAirState = (kept: unknown): kept is AirState =>
  typeof kept === 'object' && kept !== null && 'carrier' in kept && 'walls' in kept && Array.isArray(kept.walls) && 'day' in kept

/** Walls of a box of these inner sizes with their openings, as `ventilation` asks for them. */
export function ventedWalls(walls: readonly AirWall[], box: { length: number; width: number; height: number }): VentedWall[] {
  return walls.map(({ wideMm, highMm, upper }, i) => {
    const across = i % 2 === 0 ? box.width : box.length
    const wallMm2 = across * box.height
    const openMm2 = Math.min(wallMm2, wideMm * highMm)
    return { wallMm2, openMm2, upperMm2: upper ? openMm2 / 2 : 0 }
  })
}
