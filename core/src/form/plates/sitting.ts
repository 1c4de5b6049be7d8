import type { Flat } from '../hull.ts'
import type { Shape } from '../shape.ts'
import { curve } from './curve.ts'
import type { Face } from './face.ts'
import type { Plate, PlateTraits } from './plate.ts'
import { cutSide } from './side.ts'

/** Where a car harness’s ring lies behind the withers, back lengths. Ours. */
export const BACK_RING = 0.1

const turned = (points: readonly Flat[], about: Flat, by: number): Flat[] => {
  const [c, s] = [Math.cos(by), Math.sin(by)]
  return points.map(([x, z]): Flat => [about[0] + (x - about[0]) * c - (z - about[1]) * s, about[1] + (x - about[0]) * s + (z - about[1]) * c])
}
const moved = (points: readonly Flat[], dx: number, dz: number): Flat[] => points.map(([x, z]): Flat => [x + dx, z + dz])

/** The same dog sitting: the trunk tipped about the elbow until the hips are near the floor, the hind legs folded. */
export function cutSitting(shape: Shape, traits: PlateTraits): { plates: Plate[]; face: Face; top: Flat; back: Flat } {
  const side = cutSide(shape, traits)
  const { elbow, hip, thick: t } = side.bones
  const H = shape.stations.withers.tz
  const pivot: Flat = [elbow[0] + 0.4 * t, elbow[1] + 0.08]
  const low = 0.24 * Math.min(H, 0.6 + 0.4 * H)
  let tip = 0
  while (tip < 1.1 && (turned([hip], pivot, tip)[0] as Flat)[1] > low) tip += 0.01
  const seat = turned([hip], pivot, tip)[0] as Flat
  const withers = turned([[0, H]], pivot, tip)[0] as Flat
  const neckTip = tip * 0.15
  const carried = (points: readonly Flat[]): Flat[] => moved(turned(points, [0, H], neckTip), withers[0], withers[1] - H)
  const throat = carried([[shape.stations.throat.tx, shape.stations.throat.tz]])[0] as Flat
  const head = (points: readonly Flat[]): Flat[] => moved(points, throat[0] - shape.stations.throat.tx, throat[1] - shape.stations.throat.tz)
  const d = shape.k.depth
  const thigh: Flat[] = [
    [seat[0] - 0.1, seat[1] + 0.06],
    [seat[0] + 0.02, seat[1] + 0.3 * d],
    [seat[0] + 0.2, seat[1] + 0.24 * d],
    [seat[0] + 0.33, seat[1] - 0.02 * d],
    [seat[0] + 0.28, 0.09],
    [seat[0] + 0.1, 0.035],
    [seat[0] - 0.08, 0.06],
    [seat[0] - 0.14, seat[1] - 0.05],
  ]
  const shank: Flat[] = [
    [seat[0] + 0.0, 0.075],
    [seat[0] + 0.2, 0.085],
    [seat[0] + 0.36, 0.08],
    [seat[0] + 0.44, 0.04],
    [seat[0] + 0.42, 0],
    [seat[0] + 0.16, 0],
    [seat[0] - 0.03, 0.012],
    [seat[0] - 0.045, 0.05],
  ]
  const root: Flat = [seat[0] - 0.12, seat[1] - 0.01]
  const tail: Flat[] = [
    [root[0] + 0.02, root[1] + 0.03],
    [root[0] - 0.12 * shape.k.tail, 0.075],
    [root[0] - 0.55 * shape.k.tail, 0.045],
    [root[0] - 0.75 * shape.k.tail, 0.06],
    [root[0] - 0.56 * shape.k.tail, 0.008],
    [root[0] - 0.1, 0.006],
    [root[0] + 0.03, root[1] - 0.06],
  ]
  const legs = ['far forearm', 'far pastern', 'far fore paw', 'forearm', 'pastern', 'fore paw']
  const put = (plate: Plate): Plate | null => {
    if (legs.includes(plate.name)) return plate
    if (['ribs', 'loin', 'arm', 'shoulder blade'].includes(plate.name)) return { ...plate, points: turned(plate.points, pivot, tip) }
    // What of the neck lies over the back standing would stick out behind a tipped trunk.
    if (plate.name === 'neck') return { ...plate, points: carried(plate.points.filter(([x]) => x > -0.03)) }
    if (plate.name === 'head' || plate.name === 'ear') return { ...plate, points: head(plate.points) }
    return null
  }
  const plates = side.plates.flatMap((plate) => put(plate) ?? [])
  const at = plates.findIndex(({ name }) => name === 'head')
  plates.splice(at, 0, { name: 'thigh', points: curve(thigh, true), part: 'haunch' }, { name: 'hind foot', points: curve(shank, true) })
  plates.unshift({ name: 'tail', points: curve(tail, true) })
  const { face } = side
  const skull = Math.max(...plates.filter(({ name }) => name === 'head').flatMap(({ points }) => points.map(([, z]) => z)))
  return {
    plates,
    face: { ...face, eye: head([face.eye])[0] as Flat, nose: head(face.nose), smile: head(face.smile) },
    top: [throat[0] + shape.k.head * 0.3, skull],
    back: turned([[-BACK_RING, H - 0.01]], pivot, tip)[0] as Flat,
  }
}
