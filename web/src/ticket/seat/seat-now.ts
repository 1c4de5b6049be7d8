import {
  beltReach,
  cutAt,
  crashRide,
  seatPlaces,
  seatReach,
  STIFFNESSES,
  type BeltReach,
  type CarSeat,
  type Form,
  type NamedPulse,
  type SeatReach,
} from '@merry-tailor/core'

export type Posture = 'lying' | 'sitting' | 'standing'

/** A middling rear seat where no car is known. Ours, unverified. */
export const USUAL_SEAT: CarSeat = {
  name: 'A middling rear seat',
  row: 'rear',
  outlet: { aheadMm: -90, leftMm: 260, upMm: 620 },
  buckle: { aheadMm: 40, leftMm: -230, upMm: 40 },
  frontSeatMm: 780,
  cushionMm: 500,
  airBag: 'none',
}

/** Room between a dog and the backrest it sits against. Ours. */
const BEHIND_MM = 40
/** Lying, its back is so high above the cushion, share of its height standing. Ours. */
const LYING = 0.45

/** Belt, loop and dog in one place of a car, mm: ahead of the seat’s fold, to the left of its middle, above the cushion. */
export interface SeatNow {
  posture: Posture
  loop: { aheadMm: number; upMm: number }
  nose: { aheadMm: number; upMm: number }
  /** The dog’s drawing goes so far ahead: its form’s x, and this. */
  shiftMm: number
  belt: BeltReach
  reach: SeatReach
  /** Peaks by stiffness, then by slack. */
  rides: { stiffnessNpm: number; peakN: number[] }[]
  slacks: readonly number[]
  /** From loop to the front seat. */
  clearMm: number
}

const OTHER_SLACKS = [0, 120, 200] as const

/** Slacks of the table: taut, the one there is, and what belts are left with. */
export const slacksOf = (slackMm: number): number[] => [...new Set([...OTHER_SLACKS, Math.round(slackMm)])].sort((a, b) => a - b)

/** Everything said of a dog in a seat, in one go. */
export function seatNow({
  form,
  seat,
  posture,
  slackMm,
  massKg,
  pulse,
}: {
  form: Form
  seat: CarSeat
  posture: Posture
  slackMm: number
  massKg: number
  pulse: NamedPulse
}): SeatNow {
  const places = seatPlaces(form)
  const { withers, tail } = form.sections
  const half = Math.max(60, ...(cutAt(form, (withers.tx + tail.tx) / 2)?.half.map(([y]) => y) ?? []))
  // Sitting the rump is at the backrest; standing the tail base is; lying across, half its width.
  const rump = posture === 'sitting' ? places.sitting[0] - 0.62 * (withers.tx - tail.tx) : tail.tx - 60
  const shiftMm = posture === 'lying' ? BEHIND_MM + half : BEHIND_MM - rump
  const loop =
    posture === 'lying'
      ? { aheadMm: shiftMm, upMm: LYING * withers.tz }
      : posture === 'sitting'
        ? { aheadMm: places.sitting[0] + shiftMm, upMm: places.sitting[1] }
        : { aheadMm: places.standing[0] + shiftMm, upMm: places.standing[1] }
  const nose =
    posture === 'lying'
      ? { aheadMm: shiftMm, upMm: loop.upMm }
      : posture === 'sitting'
        ? { aheadMm: places.nose[0] + shiftMm, upMm: places.nose[1] }
        : { aheadMm: places.toNoseMm * 0.75 + places.standing[0] + shiftMm, upMm: withers.tz * 1.1 }
  const belt = beltReach({
    outlet: [seat.outlet.aheadMm, seat.outlet.leftMm, seat.outlet.upMm],
    buckle: [seat.buckle.aheadMm, seat.buckle.leftMm, seat.buckle.upMm],
    loop: [loop.aheadMm, 0, loop.upMm],
    slackMm,
    toward: [1, 0, 0],
  })
  const slacks = slacksOf(slackMm)
  const rides = STIFFNESSES.map((stiffnessNpm) => ({
    stiffnessNpm,
    peakN: slacks.map((each) => crashRide({ massKg, pulse, slackMm: each, stiffnessNpm }).peakN),
  }))
  const { travelMm } = crashRide({ massKg, pulse, slackMm, stiffnessNpm: STIFFNESSES[1] })
  const clearMm = Math.max(0, seat.frontSeatMm - loop.aheadMm)
  return {
    posture,
    loop,
    nose,
    shiftMm,
    belt,
    reach: seatReach({ headMm: places.toNoseMm, halfWidthMm: half, forwardMm: belt.forwardMm, travelMm, frontSeatMm: clearMm }),
    rides,
    slacks,
    clearMm,
  }
}
