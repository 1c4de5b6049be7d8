import type { Flat } from '../hull.ts'
import { elbowPoint, SHEATH_X } from '../places.ts'
import type { Shape } from '../shape.ts'
import { cutAbove } from './above.ts'
import { bonesOf } from '../bones.ts'
import { curve } from './curve.ts'
import type { Plate, PlateTraits } from './plate.ts'

const oval = (x: number, y: number, a: number, b: number): Flat[] =>
  Array.from({ length: 20 }, (_, i): Flat => [x + a * Math.cos((i / 20) * 2 * Math.PI), y + b * Math.sin((i / 20) * 2 * Math.PI)])

/** The dog from below, facing right: trunk, paws, keel and the edge of the rib cage. Back lengths. */
export function cutBelow(shape: Shape, traits: PlateTraits): { plates: Plate[]; seams: Flat[][]; nose: Flat[] } {
  const { k, stations: s } = shape
  const { plates, nose } = cutAbove(shape, traits)
  const bones = bonesOf(shape)
  const y = (k.stance * k.depth * k.width) / 2
  const t = bones.thick
  const trunk = plates.filter(({ name }) => !name.includes('blade') && !name.includes('ear') && name !== 'ribs')
  const legs = [1, -1].flatMap((side): Plate[] => [
    { name: 'fore leg', points: oval(-k.elbowBack + 0.55 * t, side * y, 0.85 * t, 0.55 * t) },
    { name: 'hind leg', points: oval(-0.87, side * s.hip.w * 0.72, 0.13, 0.42 * s.hip.w) },
    { name: 'fore paw', points: oval(bones.foreFoot[0] + 0.2 * bones.forePaw, side * y, 0.5 * bones.forePaw, 0.42 * bones.forePaw) },
    { name: 'hind paw', points: oval(bones.hindFoot[0] + 0.3 * bones.hindPaw, side * s.hip.w * 0.7, 0.46 * bones.hindPaw, 0.38 * bones.hindPaw) },
  ])
  const [end, elbow] = [s.sternumEnd.ux, elbowPoint(shape)]
  const arch = (side: 1 | -1): Flat[] =>
    curve(
      [
        [end, 0],
        [end - 0.5 * k.rib, side * s.sternumEnd.w * 0.5],
        [end - k.rib, side * s.lastRib.w * 0.9],
      ],
      false,
    )
  return {
    plates: [...trunk, ...legs],
    seams: [arch(1), arch(-1), [[s.withers.ux, 0], [end, 0]], ...(shape.sex === 'male' ? [oval(SHEATH_X - 0.05, 0, 0.055, 0.02 + 0 * elbow[0])] : [])], // prettier-ignore
    nose,
  }
}
