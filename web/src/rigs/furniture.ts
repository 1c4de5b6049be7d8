import type { CarSeat } from '@merry-tailor/core'
import type { Point } from '../ui/plates/geometry'

/** Half a place of a seat, and how the backrest leans. Ours. */
export const HALF_SEAT_MM = 290
export const LEAN = 0.22

type Placed = (x: number, z: number) => Point

/**
 * Backrest, cushion and what stands ahead, from the side, as closed outlines.
 *
 * @param nearestMm how high what stands ahead is nearest
 */
export const seatFromSide = ({ cushionMm, frontSeatMm: f }: CarSeat, nearestMm: number, at: Placed): Point[][] => [
  [at(0, -6), at(-LEAN * 640, 640), at(-LEAN * 640 - 110, 640), at(-120, -80), at(30, -80)],
  [at(-30, 0), at(cushionMm - 20, 0), at(cushionMm, -30), at(cushionMm - 30, -120), at(0, -120)],
  [at(f + 70, -120), at(f, nearestMm), at(f + 30, 640), at(f + 130, 640), at(f + 180, -120)],
]

/** Backrest and cushion, the fold between them, and what stands ahead with its headrest, from above. */
export const seatFromAbove = ({ cushionMm, frontSeatMm: f }: CarSeat, at: Placed): Point[][] => [
  [at(-150, HALF_SEAT_MM), at(cushionMm, HALF_SEAT_MM), at(cushionMm, -HALF_SEAT_MM), at(-150, -HALF_SEAT_MM)],
  [at(0, HALF_SEAT_MM), at(0, -HALF_SEAT_MM)],
  [at(f, HALF_SEAT_MM - 40), at(f + 200, HALF_SEAT_MM - 40), at(f + 200, -HALF_SEAT_MM + 40), at(f, -HALF_SEAT_MM + 40)],
  [at(f - 20, 110), at(f + 110, 110), at(f + 110, -110), at(f - 20, -110)],
]
