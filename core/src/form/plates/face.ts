import type { Flat } from '../hull.ts'
import { NOD } from '../stations.ts'
import type { Shape } from '../shape.ts'
import { curve } from './curve.ts'
import type { Plate, PlateTraits } from './plate.ts'

export interface Face {
  plates: Plate[]
  eye: Flat
  /** Closed. */
  nose: Flat[]
  /** Open. */
  smile: Flat[]
  rivet: Flat
  /** Size of a button eye, back lengths. */
  button: number
}

/** Head and ear in the side plane: skull, stop and muzzle from the form, with the head's own axis. */
export function cutFace(shape: Shape, traits: PlateTraits): Face {
  const { k, stations: s } = shape
  const L = k.head
  const d = k.skullWidth * k.skullDepth * L
  const m = k.muzzleDepth * d
  const stop = 1 - k.muzzle
  // Along the head's axis in head lengths, above it in skull depths.
  const [ca, sa] = [Math.cos(NOD), Math.sin(NOD)]
  const origin: Flat = [s.throat.tx + 0.02 * L, s.throat.tz - 0.04 * L]
  const at = (u: number, n: number): Flat => [origin[0] + u * L * ca + n * d * sa, origin[1] - u * L * sa + n * d * ca]
  const md = m / d
  const bridge = -(0.42 - 0.2 * md)
  const flat = traits.flatFace || k.muzzle < 0.28
  const nose = bridge + (flat ? 0.14 : 0.02)
  /** Underside of the muzzle; lips never hang below the jaw's own depth by much. */
  const chin = Math.max(nose - (flat ? 1.12 : 1.02) * md, -0.99)
  const head: Flat[] = [
    at(-0.04, -0.3),
    at(-0.015, -0.08),
    at(0.1, 0.04),
    at(stop * 0.52, 0.07),
    at(stop * 0.82, 0.01),
    at(stop * 1.0, flat ? -0.12 : -0.1 + 0.35 * bridge),
    ...(flat ? [] : [at(stop + 0.22 * k.muzzle, bridge * 0.93)]),
    at(stop + 0.6 * k.muzzle, bridge + (flat ? 0.1 : 0.0)),
    at(0.965, nose + 0.015),
    at(1.01, nose - 0.1 * md),
    at(1.0, nose - 0.36 * md),
    at(0.975, nose + 0.42 * (chin - nose) - 0.1 * md),
    at(flat ? 0.965 : 0.95, chin + 0.26 * md),
    at(flat ? 0.9 : 0.9, chin + 0.06 * md),
    at(stop + 0.3 * k.muzzle, chin - 0.01),
    at(stop * 0.86, Math.min(-0.86, chin - 0.02)),
    at(stop * 0.5, -0.985),
    at(0.12, -0.86),
    at(0.0, -0.6),
  ]
  const erect = traits.ears === 'erect'
  const e = (k.ear * L) / d
  const ear: Flat[] = erect
    ? [at(0.02, -0.16), at(0.03, 0.12 + 0.3 * e), at(0.1, 0.1 + 0.7 * e), at(0.17, 0.06 + 0.98 * e), at(0.235, 0.08 + 0.72 * e), at(0.3, 0.06 + 0.3 * e), at(0.31, -0.06), at(0.17, -0.2)]
    : [at(0.06, -0.0), at(0.15, 0.04), at(0.26, -0.06), at(0.3, -0.2 - 0.25 * e), at(0.27, -0.12 - 0.72 * e), at(0.19, -0.08 - 0.99 * e), at(0.1, -0.1 - 0.86 * e), at(0.045, -0.12 - 0.45 * e)] // prettier-ignore
  const noseAt: Flat[] = [at(0.945, nose + 0.035), at(1.0, nose + 0.01), at(1.022, nose - 0.14 * md), at(1.0, nose - 0.3 * md), at(0.962, nose - 0.2 * md)]
  return {
    plates: [
      { name: 'head', points: curve(head, true), part: 'head' },
      { name: 'ear', points: curve(ear, true) },
    ],
    eye: at(flat ? stop * 0.8 : stop * 0.93, -0.22 + 0.1 * bridge),
    nose: curve(noseAt, true, 3),
    smile: curve([at(0.965, nose - 0.66 * md), at(stop + 0.6 * k.muzzle, nose - 0.74 * md), at(stop + 0.28 * k.muzzle, nose - 0.62 * md)], false, 4),
    rivet: at(0.2, -0.52),
    button: 0.1 * d,
  }
}
