import type { CarSeat, NewCar } from '@merry-tailor/core'

/** A middling rear seat on the left. Invented. */
export const FIRST_SEAT: CarSeat = {
  name: 'Rear left',
  row: 'rear',
  outlet: { aheadMm: -90, leftMm: 260, upMm: 620 },
  buckle: { aheadMm: 40, leftMm: -230, upMm: 40 },
  frontSeatMm: 780,
  cushionMm: 500,
  airBag: 'none',
}
/** The same on the other side: the door is to the right. */
export const mirrored = (seat: CarSeat, name: string): CarSeat => ({
  ...seat,
  name,
  outlet: { ...seat.outlet, leftMm: -seat.outlet.leftMm },
  buckle: { ...seat.buckle, leftMm: -seat.buckle.leftMm },
})

/** A middling car to begin with; every place is then set by tape. Invented. */
export const FIRST_CAR: Omit<NewCar, 'name' | 'at'> = { ownerId: null, seats: [FIRST_SEAT, mirrored(FIRST_SEAT, 'Rear right')], notes: '', space: null }
