import type { Flat } from '../hull.ts'
import type { Point3 } from '../point-on.ts'
import type { LandmarkId } from '../../measures/index.ts'
import { pathOn } from '../path-on.ts'
import type { Form } from '../form-type.ts'
import { shapeOf } from '../shape.ts'
import { cutAbove } from './above.ts'
import { cutBelow } from './below.ts'
import { bonesOf } from '../bones.ts'
import { cutFront } from './front.ts'
import type { Plate } from './plate.ts'
import { cutSide } from './side.ts'
import { cutLying } from './lying.ts'
import { BACK_RING, cutSitting } from './sitting.ts'
import { unfolded } from './unfold.ts'

export type View = 'side' | 'above' | 'front' | 'below' | 'sitting' | 'lying'

/** One view of a dog cut into flat plates, mm: the first number across the page to the right, the second up. */
export interface PlateSet {
  view: View
  /** Closed outlines in the order they are laid. */
  plates: Plate[]
  /** Thin dashed lines: spine, keel, edge of the ribs. */
  seams: Flat[][]
  rivets: Flat[]
  eyes: Flat[]
  /** Radius of a button eye. */
  button: number
  nose: Flat[]
  smile: Flat[]
  landmarks: Partial<Record<LandmarkId, Flat>>
  /** Smallest and largest across and up over all plates; the floor is at 0 in the side and front views. */
  box: { left: number; right: number; bottom: number; top: number }
}

/** How a point of the body falls on a view's page. From below the far side is nearer the page's foot. */
export const project = ([x, y, z]: Point3, view: View): Flat =>
  view === 'side' || view === 'sitting' || view === 'lying' ? [x, z] : view === 'above' ? [x, -y] : view === 'below' ? [x, y] : [-y, z]

function cut(form: Form, view: View): Omit<PlateSet, 'box' | 'landmarks' | 'view'> {
  const shape = shapeOf(form.parameters, form)
  const nothing = { seams: [], rivets: [], eyes: [], smile: [], button: 0 }
  if (view === 'above') {
    const { plates, spine, nose } = cutAbove(shape, form)
    return { ...nothing, plates, seams: [spine], nose }
  }
  if (view === 'below') {
    const { plates, seams, nose } = cutBelow(shape, form)
    return { ...nothing, plates, seams, nose }
  }
  if (view === 'front') {
    const { plates, eyes, nose, smile, button } = cutFront(shape, form)
    return { ...nothing, plates, eyes, nose, smile, button }
  }
  if (view === 'sitting') {
    const { plates, face } = cutSitting(shape, form)
    return { ...nothing, plates, eyes: [face.eye], nose: face.nose, smile: face.smile, button: face.button }
  }
  if (view === 'lying') {
    const { plates, face } = cutLying(shape, form)
    return { ...nothing, plates, eyes: [face.eye], nose: face.nose, smile: face.smile, button: face.button }
  }
  const { plates, rivets, face } = cutSide(shape, form)
  return { ...nothing, plates, rivets, eyes: [face.eye], nose: face.nose, smile: face.smile, button: face.button }
}

/** Cuts one view of a solved form: closed outlines per plate, landmarks where they fall. */
export function plates(form: Form, view: View): PlateSet {
  const by = shapeOf(form.parameters, form).k.back
  const mm = (points: readonly Flat[]): Flat[] => points.map(([x, z]): Flat => [x * by, z * by])
  const raw = cut(form, view)
  const onFloor = view !== 'above' && view !== 'below'
  const cutPlates = raw.plates.map((plate): Plate => ({
    ...plate,
    points: unfolded(mm(onFloor ? plate.points.map(([x, z]): Flat => [x, Math.max(0, z)]) : plate.points)),
  }))
  const all = cutPlates.flatMap(({ points }) => points)
  const [xs, zs] = [all.map(([x]) => x), all.map(([, z]) => z)]
  return {
    view,
    plates: cutPlates,
    seams: raw.seams.map(mm),
    rivets: mm(raw.rivets),
    eyes: mm(raw.eyes),
    button: raw.button * by,
    nose: mm(raw.nose),
    smile: mm(raw.smile),
    // Sitting or lying, only the floor and the head are where they are needed.
    landmarks:
      view === 'sitting' || view === 'lying' ? {} : Object.fromEntries(Object.entries(form.landmarks).map(([id, point]) => [id, project(point, view)])),
    box: { left: Math.min(...xs), right: Math.max(...xs), bottom: Math.min(...zs), top: Math.max(...zs) },
  }
}

/** How far a ring's near side is drawn back, share of its nearness. */
const BOW = 0.22

export interface PathPart {
  points: Flat[]
  /** Behind the body or a foreleg in this view. */
  hidden: boolean
  /** On the side the side plate shows; a doubled tape is taken there. */
  near: boolean
}

/** A measure's tape in a view, cut where it goes out of sight. */
export function pathParts(form: Form, measureId: string, view: View): PathPart[] {
  const shape = shapeOf(form.parameters, form)
  const by = shape.k.back
  if (view === 'sitting') {
    const [x, z] = cutSitting(shape, form).top
    return measureId === 'M41' ? [{ points: [[x * by, 0], [x * by, z * by]], hidden: false, near: true }] : [] // prettier-ignore
  }
  if (view === 'lying') return []
  const path = pathOn(form, measureId)
  if (!path) return []
  const bones = bonesOf(shape)
  const { k, stations } = shape
  const middle = (x: number): number => stations.withers.tz - (x > 0 ? 0.3 : 0.48) * k.depth
  const leg = { from: bones.elbow[0] - 0.1 * bones.thick, to: bones.elbow[0] + 1.15 * bones.thick, y: (k.stance * k.depth * k.width) / 2 }
  const skin = path.points.length > 2
  const hides = (p: Point3): boolean => {
    const [x, y, z] = [p[0] / by, p[1] / by, p[2] / by]
    if (view === 'side') return (skin && y < -1e-6) || (skin && Math.abs(y) < leg.y * 0.95 && z < bones.elbow[1] + 0.02 && x > leg.from && x < leg.to)
    if (view === 'above') return skin && z < middle(x)
    if (view === 'below') return skin && z > middle(x)
    return skin && x < -0.04 && z < stations.withers.tz - 0.04 && z > stations.girth.uz + 0.02
  }
  // A ring cut edge-on is drawn bowed, as round the barrel: the nearer, the further back.
  const onPage = (p: Point3): Flat => (view === 'side' && path.closed ? [p[0] - BOW * p[1], p[2]] : project(p, view))
  const parts: PathPart[] = []
  for (let i = 1; i < path.points.length; i++) {
    const [a, b] = [path.points[i - 1] as Point3, path.points[i] as Point3]
    const hidden = hides([(a[0] + b[0]) / 2, (a[1] + b[1]) / 2, (a[2] + b[2]) / 2])
    const last = parts.at(-1)
    const near = a[1] + b[1] > -1e-6
    if (last && last.hidden === hidden && last.near === near) last.points.push(onPage(b))
    else parts.push({ points: [onPage(a), onPage(b)], hidden, near })
  }
  return parts
}

/** Where the ring on a dog’s back is, standing and sitting, the nose sitting, and how far it is from ring to nose with the neck stretched, mm. */
export interface SeatPlaces {
  standing: Flat
  sitting: Flat
  nose: Flat
  toNoseMm: number
}

/** Places of a dog in a car: x forward of the withers standing, z above what it sits on. */
export function seatPlaces(form: Form): SeatPlaces {
  const shape = shapeOf(form.parameters, form)
  const { k, stations } = shape
  const mm = ([x, z]: Flat): Flat => [x * k.back, z * k.back]
  const { back, face } = cutSitting(shape, form)
  const nose = face.nose.reduce<Flat>((far, point) => (point[0] > far[0] ? point : far), face.nose[0] ?? back)
  return {
    standing: mm([-BACK_RING, stations.withers.tz]),
    sitting: mm(back),
    nose: mm(nose),
    toNoseMm: k.back * (BACK_RING + k.neckLength + k.head),
  }
}
