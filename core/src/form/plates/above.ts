import type { Flat } from '../hull.ts'
import type { Station } from '../stations.ts'
import type { Shape } from '../shape.ts'
import { curve, strip } from './curve.ts'
import type { Plate, PlateTraits } from './plate.ts'

/** Middle and half width of a station seen from above. */
const seen = (s: Station): { x: number; w: number } => ({ x: s.tx + (s.ux - s.tx) * 0.42, w: s.w })

/** Both edges of a row of places, as one closed outline. */
export function mirrored(row: readonly { x: number; w: number }[], blunt: readonly [number, number] = [0, 0]): Flat[] {
  const first = row[0] as { x: number; w: number }
  const last = row.at(-1) as { x: number; w: number }
  const near = row.map(({ x, w }): Flat => [x, -w])
  const far = row.map(({ x, w }): Flat => [x, w]).reverse()
  return curve([...(blunt[0] ? ([[first.x + blunt[0], 0]] as Flat[]) : []), ...near, ...(blunt[1] ? ([[last.x + blunt[1], 0]] as Flat[]) : []), ...far], true)
}

/**
 * The dog from above (or from below), facing right: x forward, the second number up the page away from the side the
 * side plate shows. Back lengths.
 */
export function cutAbove(shape: Shape, traits: PlateTraits): { plates: Plate[]; spine: Flat[]; nose: Flat[] } {
  const { k, stations: s } = shape
  const trunk = [s.tail, s.rump, s.hip, s.waist, s.lastRib, s.sternumEnd, s.girth].map(seen)
  const shoulder = { x: 0.02, w: s.shoulder.w * 1.02 }
  const withers = { x: 0.11, w: s.withers.w * 0.98 }
  const body = mirrored(
    [{ x: trunk[0]?.x ?? -1, w: (trunk[0]?.w ?? 0.05) * 1.3 }, ...trunk.slice(1), shoulder, withers, { x: 0.2, w: s.withers.w * 0.72 }],
    [-0.03, 0.03],
  )
  const ribs = mirrored(
    [
      { x: (seen(s.lastRib).x + seen(s.waist).x) / 2 + 0.04, w: (s.lastRib.w + s.waist.w) / 2 - 0.004 },
      seen(s.lastRib),
      seen(s.sternumEnd),
      seen(s.girth),
      shoulder,
      withers,
    ],
    [-0.1, 0.06],
  )
  const throat = seen(s.throat)
  const neck = mirrored(
    [
      { x: 0.04, w: s.withers.w * 0.78 },
      { x: 0.04 + (throat.x - 0.04) * 0.5, w: (s.collar.w + s.neckBase.w) / 2 },
      { x: throat.x, w: s.throat.w },
    ],
    [-0.05, 0.03],
  )
  const [skull, stop, muzzle, nose] = [s.skull, s.stop, s.muzzle, s.nose].map(seen) as [Seen, Seen, Seen, Seen]
  const head = mirrored([{ x: skull.x - 0.11 * k.head * 2, w: skull.w * 0.74 }, skull, stop, muzzle, nose], [-0.04, 0.03])
  const ear = (side: 1 | -1): Plate => {
    const L = k.ear * k.head
    const [x, w] = [skull.x - 0.02, skull.w * 0.72 * side]
    const points: Flat[] =
      traits.ears === 'erect'
        ? [[x - 0.06 * k.head, w * 0.7], [x - 0.2 * L, w * 1.22], [x - 0.06 * L, w * 1.5], [x + 0.14 * L, w * 1.2], [x + 0.1 * k.head, w * 0.75]]
        : [[x - 0.1 * k.head, w * 0.95], [x - 0.34 * L, w * 1.4], [x - 0.2 * L, w * 1.72], [x + 0.12 * L, w * 1.6], [x + 0.14 * k.head, w * 1.05]] // prettier-ignore
    return { name: side === 1 ? 'far ear' : 'ear', points: curve(points, true) }
  }
  const tail: Flat[] = [
    [-0.97, 0],
    [-0.97 - 0.3 * k.tail, 0.008],
    [-0.97 - 0.62 * k.tail * (traits.tail === 'curled' ? 0.55 : 1), -0.01],
  ]
  const blade = (side: 1 | -1): Plate => ({
    name: side === 1 ? 'far blade' : 'blade',
    points: curve([[-0.06, side * s.withers.w * 0.2], [0.06, side * s.withers.w * 0.3], [0.14, side * s.shoulder.w * 0.74], [0.1, side * s.shoulder.w * 0.93], [-0.02, side * s.shoulder.w * 0.86]], true), // prettier-ignore
  })
  return {
    plates: [
      { name: 'tail', points: strip(tail, (t) => 0.03 * (1 - 0.7 * t)) },
      { name: 'loin', points: body, part: 'loin' },
      { name: 'ribs', points: ribs, part: 'ribs' },
      { name: 'neck', points: neck, part: 'neck' },
      blade(1),
      blade(-1),
      { name: 'head', points: head, part: 'head' },
      ear(1),
      ear(-1),
    ],
    spine: [
      [-0.95, 0],
      [0, 0],
    ],
    nose: curve([[nose.x - 0.015, nose.w * 0.7], [nose.x + 0.025, nose.w * 0.5], [nose.x + 0.025, -nose.w * 0.5], [nose.x - 0.015, -nose.w * 0.7]], true, 4), // prettier-ignore
  }
}

type Seen = { x: number; w: number }
