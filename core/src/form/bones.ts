import type { Flat } from './hull.ts'
import { shoulderPoint } from './places.ts'
import { shapeOf, type Shape } from './shape.ts'
import type { Form } from './form-type.ts'

/** Joints in the side plane, back lengths. */
export interface Bones {
  hip: Flat
  stifle: Flat
  hock: Flat
  hindFoot: Flat
  buttock: Flat
  point: Flat
  elbow: Flat
  wrist: Flat
  foreFoot: Flat
  /** Thickness of the forearm seen from the side. */
  thick: number
  pawHeight: number
  forePaw: number
  hindPaw: number
}

/** Height of the hock to the withers' height. Source: from memory, unverified. */
const HOCK = 0.255
/** Height of the stifle to the withers' height. Ours. */
const STIFLE = 0.475

/** Where the joints stand: heights from the proportions, the stifle's reach from the shin's length. */
export function bonesOf(shape: Shape): Bones {
  const { k, stations: s } = shape
  const H = s.withers.tz
  const W = k.depth * k.width
  const thick = Math.max(0.055, 1.02 * k.forearm * W * (0.9 + 0.1 / Math.max(0.5, k.width)))
  const shin = k.shin * (0.25 * k.depth + 0.42 * k.elbow)
  const hock: Flat = [-1.04, HOCK * H]
  const rise = Math.min(STIFLE * H - hock[1], shin * 0.82)
  const reach = Math.min(0.33, Math.sqrt(Math.max(0.01, shin * shin - rise * rise)))
  const forePaw = k.paw * k.forearm * W * k.pawLong
  const point = shoulderPoint(shape)
  return {
    hip: [-0.895, H - 0.3 * k.depth],
    stifle: [hock[0] + reach, hock[1] + rise],
    hock,
    hindFoot: [-1.022, 0.03],
    buttock: [-1.03, H - 0.32 * k.depth - k.croup * 0.6],
    point: [point[0], point[2]],
    elbow: [-k.elbowBack, k.elbow],
    wrist: [-k.elbowBack + 0.55 * thick, k.wrist * k.elbow],
    foreFoot: [-k.elbowBack + 0.66 * thick, 0.03],
    thick,
    pawHeight: Math.min(0.55 * forePaw, 0.13 * H, k.wrist * k.elbow * 0.62),
    forePaw: forePaw * 1.12,
    hindPaw: forePaw * 1.06,
  }
}

/** The joints of a hind leg, mm: x forward of the withers, z above the floor. */
export interface HindLeg {
  hip: Flat
  stifle: Flat
  hock: Flat
  paw: Flat
}

/** A form's hind leg as it stands. */
export function hindLegOf(form: Pick<Form, 'parameters' | 'ears' | 'sex'>): HindLeg {
  const shape = shapeOf(form.parameters, form)
  const { hip, stifle, hock, hindFoot } = bonesOf(shape)
  const inMm = ([x, z]: Flat): Flat => [x * shape.k.back, z * shape.k.back]
  return { hip: inMm(hip), stifle: inMm(stifle), hock: inMm(hock), paw: inMm(hindFoot) }
}
