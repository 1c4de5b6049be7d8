import { bonesOf } from '../bones.ts'
import type { Flat } from '../hull.ts'
import type { Shape } from '../shape.ts'
import { curve } from './curve.ts'
import type { Face } from './face.ts'
import type { Plate, PlateTraits } from './plate.ts'
import { cutSide } from './side.ts'

/** Plates of the trunk and the head: they come down as they stand. */
const LOWERED = new Set(['neck', 'loin', 'ribs', 'haunch', 'head', 'ear', 'arm', 'shoulder blade'])

/** The same dog lying on its breastbone, forelegs before it and hind legs folded: how high its head still is. Drawn; no tape is read on it. */
export function cutLying(shape: Shape, traits: PlateTraits): { plates: Plate[]; face: Face } {
  const side = cutSide(shape, traits)
  const { elbow, thick: t, stifle, hindPaw, forePaw } = bonesOf(shape)
  const { shoulder, girth, sternumEnd } = shape.stations
  const down = Math.min(shoulder.uz, girth.uz, sternumEnd.uz) - shape.k.coat
  const lowered = ([x, z]: Flat): Flat => [x, z - down]
  const bar = (from: number, to: number, high: number): Flat[] => [
    [from, 0.2 * high],
    [from + 0.1 * (to - from), 0],
    [to - 0.06, 0],
    [to, 0.3 * high],
    [to - 0.05, 0.85 * high],
    [from + 0.5 * (to - from), 0.8 * high],
    [from + 0.08 * (to - from), high],
  ]
  const forearm = bar(elbow[0] - 0.3 * t, elbow[0] + shape.k.elbow * 0.86 + forePaw * 0.5, 1.05 * t)
  const shank = bar(stifle[0] - 0.14, stifle[0] + 0.2 + hindPaw * 0.6, 0.95 * t)
  const tail = [[-0.95, 0.16 * shape.k.depth], [-1.02, 0.05], [-1.02 - 0.4 * shape.k.tail, 0.03], [-1.02 - 0.7 * shape.k.tail, 0.012], [-1.0 - 0.4 * shape.k.tail, 0.0], [-0.97, 0.008]] as const // prettier-ignore
  const trunk = side.plates.filter(({ name }) => LOWERED.has(name)).map((plate): Plate => ({ ...plate, points: plate.points.map(lowered) }))
  const { face } = side
  return {
    plates: [
      { name: 'tail', points: curve(tail.map(([x, z]): Flat => [x, z]), true) },
      { name: 'far forearm', points: curve(forearm.map(([x, z]): Flat => [x + 0.05, z]), true), far: true },
      ...trunk,
      { name: 'hind foot', points: curve(shank, true) },
      { name: 'forearm', points: curve(forearm, true) },
    ],
    face: { ...face, eye: lowered(face.eye), nose: face.nose.map(lowered), smile: face.smile.map(lowered) },
  }
} // prettier-ignore
