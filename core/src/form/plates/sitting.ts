import type { Flat } from '../hull.ts'
import type { Shape } from '../shape.ts'
import { curve } from './curve.ts'
import type { Face } from './face.ts'
import type { Plate, PlateTraits } from './plate.ts'
import { sittingPose, turnedAbout } from '../sitting-pose.ts'
import { cutSide } from './side.ts'

/** Where a car harness’s ring lies behind the withers, back lengths. Ours. */
export const BACK_RING = 0.1

const turned = (points: readonly Flat[], about: Flat, by: number): Flat[] => points.map((point) => turnedAbout(point, about, by))
const moved = (points: readonly Flat[], dx: number, dz: number): Flat[] => points.map(([x, z]): Flat => [x + dx, z + dz])

/** The same dog sitting: the trunk tipped about the elbow until the hips are near the floor, the hind legs folded. */
export function cutSitting(shape: Shape, traits: PlateTraits): { plates: Plate[]; face: Face; top: Flat; back: Flat } {
  const side = cutSide(shape, traits)
  const { pivot, tip, neckTip, seat, withers, throat, top } = sittingPose(shape)
  const {
    throat: standing,
    withers: { tz: H },
  } = shape.stations
  // The neck ends where the head is carried: what `sit` lifts is spread along it.
  const straight = turnedAbout([standing.tx, standing.tz], [0, H], neckTip)[1] + withers[1] - H
  const lift = (throat[1] - straight) / Math.max(0.05, straight - withers[1])
  const carried = (points: readonly Flat[]): Flat[] =>
    moved(turned(points, [0, H], neckTip), withers[0], withers[1] - H).map(([x, z]): Flat => [x, z + lift * Math.max(0, z - withers[1])])
  const head = (points: readonly Flat[]): Flat[] => moved(points, throat[0] - standing.tx, throat[1] - standing.tz)
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
  return {
    plates,
    face: { ...face, eye: head([face.eye])[0] as Flat, nose: head(face.nose), smile: head(face.smile) },
    top: [throat[0] + shape.k.head * 0.3, top],
    back: turned([[-BACK_RING, H - 0.01]], pivot, tip)[0] as Flat,
  }
}
