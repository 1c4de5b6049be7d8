import type { HindLeg } from '../form/index.ts'

/** Stance is so long, shares of the hip’s height, so much of it behind the hip; the leg is never stretched further. From memory, unverified. */
const STANCE = 1.08
const BEHIND = 0.55
const STRETCHED = 0.96
/** The swing first runs on backwards, and lifts so high, shares of the hip’s height. From memory, unverified. */
const RUNS_ON = 0.02
const LIFT = 0.16
const STEPS = 24

type Flat = readonly [x: number, z: number]

export interface HindStride {
  /** Where the paw leaves the floor, and how far back paw and hock come at all; places in the leg’s own axes, mm. */
  toeOffMm: number
  pawRearMm: number
  hockRearMm: number
  pawPath: Flat[]
  hockPath: Flat[]
}

const apart = (a: Flat, b: Flat): number => Math.hypot(a[0] - b[0], a[1] - b[1])

/** The hock of a leg whose paw is here: thigh beside hock segment, so a chain of two, its stifle forward. */
function hockAt(hip: Flat, paw: Flat, long: { thigh: number; shin: number; hock: number }): Flat {
  const [r1, r2] = [long.thigh + long.hock, long.shin]
  const d = Math.min(r1 + r2 - 1e-6, Math.max(Math.abs(r1 - r2) + 1e-6, apart(hip, paw)))
  const towards = Math.atan2(paw[1] - hip[1], paw[0] - hip[0])
  const bend = Math.acos((r1 * r1 + d * d - r2 * r2) / (2 * r1 * d))
  // Turned forward from straight down, the stifle lies ahead; the hock segment is laid beside the thigh.
  const at = towards + bend
  return [paw[0] - long.hock * Math.cos(at), paw[1] - long.hock * Math.sin(at)]
}

/**
 * How far a hind leg reaches back in a trot: three segments, the thigh beside the hock segment (a pantograph), a stance and
 * a swing. A prediction; a stride seen on the dog goes before it.
 *
 * @throws RangeError for a joint that is no place, or a leg too short for its hip
 */
export function hindStride(leg: HindLeg): HindStride {
  const { hip, stifle, hock, paw } = leg
  for (const [name, p] of Object.entries({ hip, stifle, hock, paw })) if (!p.every(Number.isFinite)) throw new RangeError(`${name}: no place`)
  const long = { thigh: apart(hip, stifle), shin: apart(stifle, hock), hock: apart(hock, paw) }
  const whole = long.thigh + long.shin + long.hock
  const h = hip[1] - paw[1]
  if (!(h > 0) || STRETCHED * whole <= h) throw new RangeError('leg: its segments do not reach from hip to floor with any bend')
  const most = Math.sqrt((STRETCHED * whole) ** 2 - h * h)
  const toeOff = Math.min(BEHIND * STANCE * h, most)
  const touch = Math.min((1 - BEHIND) * STANCE * h, most)
  const back = toeOff + RUNS_ON * h
  const pawPath: Flat[] = []
  for (let i = 0; i <= STEPS; i++) pawPath.push([hip[0] + touch - ((touch + toeOff) * i) / STEPS, paw[1]])
  for (let i = 1; i < STEPS; i++) {
    const t = i / STEPS
    // Runs on backwards for the first fifth, then swings forward; highest half-way.
    const x =
      t < 0.2 ? -toeOff - (back - toeOff) * Math.sin((t / 0.2) * (Math.PI / 2)) : -back + (back + touch) * ((1 - Math.cos(((t - 0.2) / 0.8) * Math.PI)) / 2)
    pawPath.push([hip[0] + x, paw[1] + LIFT * h * Math.sin(Math.PI * t)])
  }
  const hockPath = pawPath.map((p) => hockAt(hip, p, long))
  return {
    toeOffMm: hip[0] - toeOff,
    pawRearMm: Math.min(...pawPath.map(([x]) => x)),
    hockRearMm: Math.min(...hockPath.map(([x]) => x)),
    pawPath,
    hockPath,
  }
}
