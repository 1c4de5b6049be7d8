import type { Flat } from '../hull.ts'
import { toplineAt, underlineAt } from '../section-through.ts'
import type { Shape } from '../shape.ts'
import { skinOfStations, type Skin } from '../skin.ts'
import { ribArch, type Station, type Stations } from '../stations.ts'
import { curve, mixPoint, strip } from './curve.ts'
import { cutFace, type Face } from './face.ts'
import { bonesOf, type Bones } from '../bones.ts'
import type { Plate, PlateTraits } from './plate.ts'

export interface SideCut {
  plates: Plate[]
  rivets: Flat[]
  face: Face
  bones: Bones
}

const top = (s: Station): Flat => [s.tx, s.tz]
const under = (s: Station): Flat => [s.ux, s.uz]

/** Heights of the skin at a place behind the withers, for seams that don't follow a station. */
const heightsAt = (skin: Skin, x: number): { top: number; under: number } => ({ top: toplineAt(skin, x), under: underlineAt(skin, x) })

/** The rib seam: the arch from the sternum's end up and back to the spine. */
export function archLine(shape: Shape, skin: Skin = shape.skin): Flat[] {
  return Array.from({ length: 9 }, (_, i): Flat => {
    const h = 0.01 + (0.985 * i) / 8
    const x = Math.max(ribArch(shape.k, h), -0.8)
    const cut = heightsAt(skin, x)
    return [x, cut.under + h * (cut.top - cut.under)]
  })
}

/** Skin line points between two places, the underline or the topline, in the order of the walk. */
function skinLine(skin: Skin, from: number, to: number, side: 'top' | 'under', steps = 6): Flat[] {
  return Array.from({ length: steps + 1 }, (_, i): Flat => {
    const x = from + ((to - from) * i) / steps
    return [x, heightsAt(skin, x)[side]]
  })
}

/**
 * The side plates of one dog in back lengths: flat pieces like a jointed paper pattern, cut from its skin and bones.
 * x forward of the withers, z above the floor; in the order they are laid, far limbs first.
 */
export function cutSide(shape: Shape, traits: PlateTraits): SideCut {
  const { k } = shape
  const s = dressed(shape.stations, k.coat)
  const skin = skinOfStations(s, shape.skin.betweenLegs ?? 0)
  const at = (x: number) => heightsAt(skin, x)
  const [D, H] = [k.depth, s.withers.tz]
  const bones = bonesOf(shape)
  /** Short legs carry smaller plates. */
  const g = Math.min(1, 0.5 + (0.5 * k.elbow) / 0.56)
  const face = cutFace(shape, traits)
  const breast = under(s.withers)
  const arch = archLine(shape, skin)
  const archTop = arch.at(-1) as Flat
  const closed = (name: string, points: readonly Flat[], more: Partial<Plate> = {}): Plate => ({ name, points: curve(points, true), ...more })

  const ribs: Flat[] = [
    [0.02, H - 0.03],
    [0, H - 0.006],
    ...skinLine(skin, -0.08, archTop[0] + 0.05, 'top', 4),
    [archTop[0] + 0.006, archTop[1] - 0.002],
    ...arch.slice(1, -1).reverse(),
    ...skinLine(skin, (arch[0] as Flat)[0] + 0.01, -k.elbowBack - 0.04, 'under', 4),
    [0.07 - k.elbowBack, s.shoulder.uz - 0.006],
    lower(mixPoint([0.07 - k.elbowBack, s.shoulder.uz], breast, 0.55), 0.02, -0.012),
    breast,
    [breast[0] * 0.93, breast[1] + 0.2 * D],
    [breast[0] * 0.5, H - 0.14 * D],
  ]
  const { hip, stifle, hock } = bones
  const loin: Flat[] = [
    [archTop[0] + 0.2, H - 0.06 * D],
    ...skinLine(skin, archTop[0] + 0.12, -0.86, 'top', 5),
    [-0.9, H - 0.1 * D],
    [-0.93, H - 0.34 * D],
    [stifle[0] - 0.06, Math.min(s.hip.uz + 0.02, at(stifle[0] - 0.06).under + 0.03)],
    ...skinLine(skin, stifle[0] + 0.03, (arch[0] as Flat)[0] + 0.03, 'under', 6),
    [archTop[0] + 0.2, H - 0.5 * D],
  ]
  // The neck: crest, then along the throat down to the breastbone and back along its seam.
  const crest = 0.012 + 0.012 * (k.collarDepth / 0.5)
  const neck: Flat[] = [
    [-0.2, at(-0.2).top - 0.02],
    [-0.15, at(-0.15).top],
    [-0.06, H + 0.002],
    along(mixPoint(top(s.withers), top(s.collar), 0.25), top(s.withers), crest * 0.4),
    along(mixPoint(top(s.withers), top(s.collar), 0.65), top(s.withers), crest),
    along(top(s.collar), top(s.withers), crest),
    mixPoint(top(s.throat), top(s.skull), 0.2),
    mixPoint(under(s.throat), under(s.skull), 0.3),
    under(s.throat),
    under(s.collar),
    mixPoint(under(s.neckBase), under(s.collar), 0.12),
    [breast[0] + 0.008, breast[1] + 0.1 * D],
    [breast[0], breast[1] + 0.005],
    [breast[0] * 0.72, breast[1] + 0.26 * D],
    [breast[0] * 0.34, H - 0.16 * D],
  ]
  const t = bones.thick
  const front = (share: number, out = 0): Flat => lower(mixPoint([-0.775, at(-0.775).top], [stifle[0] + 0.045 * g, stifle[1] + 0.3 * t], share), out, 0)
  const back = (share: number, out = 0): Flat => lower(mixPoint(bones.buttock, [hock[0] + 0.3 * t, hock[1] + 1.1 * t], share), out, 0)
  const haunch: Flat[] = [
    [-0.79, at(-0.79).top - 0.006],
    [-0.87, at(-0.87).top - 0.001],
    [-0.95, s.rump.tz + 0.002],
    [-0.995, s.tail.tz - 0.04],
    bones.buttock,
    back(0.22, -0.012),
    back(0.46, 0.016),
    back(0.66, 0.05 * g),
    [stifle[0] - 0.12 * g, stifle[1] - 0.045 * g],
    [stifle[0] - 0.03 * g, stifle[1] - 0.5 * t],
    [stifle[0] + 0.045 * g, stifle[1] - 0.1 * t],
    [stifle[0] + 0.05 * g, stifle[1] + 0.4 * t],
    front(0.72, 0.012),
    front(0.45, 0.03),
    front(0.2, 0.022),
  ]
  const backOfKnee: Flat = [stifle[0] - 0.15 * g, stifle[1] + 0.01]
  const shin: Flat[] = [
    [stifle[0] + 0.025 * g, stifle[1] + 0.1 * t],
    mixPoint([stifle[0] + 0.02 * g, stifle[1] - 0.6 * t], [hock[0] + 0.5 * t, hock[1] + 0.2 * t], 0.35),
    [hock[0] + 0.66 * t, hock[1] + 0.5 * t],
    [hock[0] + 0.48 * t, hock[1] - 0.25 * t],
    [hock[0] - 0.02 * t, hock[1] - 0.3 * t],
    [hock[0] - 0.4 * t, hock[1] + 0.28 * t],
    mixPoint([hock[0] - 0.26 * t, hock[1] + 0.6 * t], backOfKnee, 0.22),
    mixPoint([hock[0] - 0.08 * t, hock[1] + 0.4 * t], backOfKnee, 0.62),
    lower(backOfKnee, 0.02 * g, 0.03 * g),
    [stifle[0] - 0.07 * g, stifle[1] + 0.06 * g],
  ]
  const foot = bones.hindFoot
  const hockPlate: Flat[] = [
    [hock[0] - 0.4 * t, hock[1] + 0.22 * t],
    [hock[0] + 0.02 * t, hock[1] + 0.36 * t],
    [hock[0] + 0.44 * t, hock[1] + 0.05 * t],
    mixPoint([hock[0] + 0.36 * t, hock[1]], [foot[0] + 0.34 * t, 0.05], 0.45),
    [foot[0] + 0.36 * t, bones.pawHeight * 0.95],
    [foot[0] - 0.3 * t, bones.pawHeight * 0.75],
    mixPoint([hock[0] - 0.32 * t, hock[1]], [foot[0] - 0.32 * t, 0.04], 0.5),
  ]
  const { elbow, wrist, point } = bones
  const forearm: Flat[] = [
    [elbow[0] - 0.06 * t, elbow[1] + 0.34 * t],
    [elbow[0] + 0.55 * t, elbow[1] + 0.55 * t],
    [elbow[0] + 1.16 * t, elbow[1] + 0.2 * t],
    mixPoint([elbow[0] + 1.12 * t, elbow[1]], [wrist[0] + 0.4 * t, wrist[1]], 0.45),
    [wrist[0] + 0.4 * t, wrist[1] + 0.1 * t],
    [wrist[0] + 0.2 * t, wrist[1] - 0.25 * t],
    [wrist[0] - 0.3 * t, wrist[1] - 0.15 * t],
    [wrist[0] - 0.36 * t, wrist[1] + 0.35 * t],
    mixPoint([elbow[0] + 0.1 * t, elbow[1] - 0.3 * t], [wrist[0] - 0.34 * t, wrist[1]], 0.5),
    [elbow[0] - 0.02 * t, elbow[1] - 0.2 * t],
  ]
  const fore = bones.foreFoot
  const pastern: Flat[] = [
    [wrist[0] - 0.34 * t, wrist[1] + 0.1 * t],
    [wrist[0] + 0.05 * t, wrist[1] + 0.25 * t],
    [wrist[0] + 0.4 * t, wrist[1] + 0.06 * t],
    mixPoint([wrist[0] + 0.36 * t, wrist[1]], [fore[0] + 0.36 * t, bones.pawHeight], 0.6),
    [fore[0] + 0.42 * t, bones.pawHeight * 0.95],
    [fore[0] - 0.26 * t, bones.pawHeight * 0.6],
    mixPoint([wrist[0] - 0.3 * t, wrist[1]], [fore[0] - 0.34 * t, bones.pawHeight * 0.7], 0.6),
  ]
  const arm: Flat[] = [
    [point[0] - 0.02, point[1] + 0.1 * D],
    [point[0] + 0.02, point[1] + 0.01 * D],
    mixPoint([point[0] + 0.012, point[1] - 0.05], [elbow[0] + 1.2 * t, elbow[1]], 0.55),
    [elbow[0] + 1.14 * t, elbow[1] + 0.02 * t],
    [elbow[0] + 0.4 * t, elbow[1] - 0.22 * t],
    [elbow[0] - 0.16 * t, elbow[1] - 0.04 * t],
    [elbow[0] - 0.16 * t, elbow[1] + 0.55 * t],
    mixPoint([elbow[0] - 0.02, elbow[1] + 0.6 * t], [point[0] - 0.13, point[1] + 0.02], 0.5),
    [point[0] - 0.13, point[1] + 0.14 * D],
  ]
  const blade: Flat[] = [
    [-0.055, H - 0.05 * D],
    [0.004, H - 0.03 * D],
    [0.05, H - 0.11 * D],
    lower(mixPoint([0.045, H - 0.1 * D], [point[0], point[1] + 0.04 * D], 0.55), 0.016, 0),
    [point[0] + 0.012, point[1] + 0.07 * D],
    [point[0] - 0.03, point[1] - 0.06 * D],
    [point[0] - 0.13, point[1] + 0.01 * D],
    mixPoint([-0.1, H - 0.16 * D], [point[0] - 0.15, point[1] + 0.1 * D], 0.5),
    [-0.1, H - 0.17 * D],
  ]
  const paw = (at: Flat, length: number): Flat[] => {
    const h = bones.pawHeight
    const back = at[0] - 0.3 * t - 0.1 * length
    return [
      [back, 0.32 * h],
      [back + 0.04 * length, 0.004],
      [back + 0.5 * length, 0],
      [back + 0.93 * length, 0],
      [back + 1.02 * length, 0.2 * h],
      [back + 0.94 * length, 0.66 * h],
      [back + 0.66 * length, 0.98 * h],
      [back + 0.34 * length, 1.16 * h],
      [back + 0.1 * length, 0.95 * h],
    ]
  }
  const shift = (points: readonly Flat[], dx: number): Flat[] => points.map(([x, z]) => [x + dx, z])
  const [farFore, farHind] = [-0.1 - 0.01 * k.elbow, 0.115]
  const plates: Plate[] = [
    ...(traits.tail === 'curled' ? [] : [closed('tail', [], {})]),
    closed('far shin', shift(shin, farHind), { far: true }),
    closed('far hock', shift(hockPlate, farHind), { far: true }),
    closed('far hind paw', shift(paw(foot, bones.hindPaw), farHind), { far: true }),
    closed('far forearm', shift(forearm, farFore), { far: true }),
    closed('far pastern', shift(pastern, farFore), { far: true }),
    closed('far fore paw', shift(paw(fore, bones.forePaw), farFore), { far: true }),
    closed('neck', neck, { part: 'neck' }),
    closed('loin', loin, { part: 'loin' }),
    closed('ribs', ribs, { part: 'ribs' }),
    closed('shin', shin),
    closed('hock', hockPlate),
    closed('hind paw', paw(foot, bones.hindPaw)),
    closed('haunch', haunch, { part: 'haunch' }),
    ...face.plates,
    closed('forearm', forearm),
    closed('pastern', pastern),
    closed('fore paw', paw(fore, bones.forePaw)),
    closed('arm', arm),
    closed('shoulder blade', blade, { part: 'chest' }),
  ].filter((plate) => plate.points.length > 2)
  const tail: Plate = { name: 'tail', points: tailPlate(shape, traits) }
  // A curled tail lies over the loin; the others are set on behind it.
  const haunchAt = plates.findIndex((plate) => plate.name === 'haunch')
  if (traits.tail === 'curled') plates.splice(haunchAt + 1, 0, tail)
  else plates.unshift(tail)
  const rivets: Flat[] = [
    mixPoint(hip, stifle, 0.12),
    [stifle[0] - 0.02, stifle[1]],
    hock,
    [point[0] - 0.03, point[1] + 0.01],
    [elbow[0] + 0.4 * t, elbow[1] + 0.22 * t],
    face.rivet,
  ]
  return { plates, rivets, face, bones }
}

/** A point lifted off the line from another, outward. */
function along(at: Flat, from: Flat, by: number): Flat {
  const size = Math.hypot(at[0] - from[0], at[1] - from[1]) || 1
  return [at[0] - ((at[1] - from[1]) / size) * by, at[1] + ((at[0] - from[0]) / size) * by]
}

/** A point moved. */
const lower = (point: Flat, dx: number, dz: number): Flat => [point[0] + dx, point[1] + dz]

/** The skin with its coat on: what the eye sees. */
function dressed(stations: Stations, coat: number): Stations {
  return Object.fromEntries(
    Object.entries(stations).map(([name, station]) => {
      const size = Math.hypot(station.tx - station.ux, station.tz - station.uz) || 1
      const [x, z] = [((station.tx - station.ux) / size) * coat, ((station.tz - station.uz) / size) * coat]
      return [name, { ...station, tx: station.tx + x * 0.6, tz: station.tz + z * 0.6, ux: station.ux - x, uz: station.uz - z, w: station.w + coat }]
    }),
  ) as Stations
}

function tailPlate(shape: Shape, traits: PlateTraits): Flat[] {
  const { k, stations: s } = shape
  const root: Flat = [-0.968, s.tail.tz - 0.022]
  const L = k.tail
  const plume = Math.min(0.04, k.coat * 2)
  const base = (traits.tail === 'up' ? 0.042 : 0.036) + 0.3 * plume
  const lines: Record<PlateTraits['tail'], Flat[]> = {
    low: [root, [root[0] - 0.07, root[1] - 0.08 * L], [root[0] - 0.12, root[1] - 0.38 * L], [root[0] - 0.16, root[1] - 0.68 * L], [root[0] - 0.27, root[1] - 0.88 * L]],
    level: [root, [root[0] - 0.2 * L, root[1] - 0.02], [root[0] - 0.48 * L, root[1] - 0.16 * L], [root[0] - 0.75 * L, root[1] - 0.18 * L], [root[0] - 0.98 * L, root[1] - 0.02 * L]],
    up: [root, [root[0] - 0.06, root[1] + 0.16 * L], [root[0] - 0.09, root[1] + 0.46 * L], [root[0] - 0.07, root[1] + 0.74 * L], [root[0] + 0.0, root[1] + 0.97 * L]],
    curled: [
      root,
      [root[0] - 0.075, root[1] + 0.1 * L],
      [root[0] - 0.035, root[1] + 0.3 * L],
      [root[0] + 0.12, root[1] + 0.36 * L],
      [root[0] + 0.22, root[1] + 0.2 * L],
      [root[0] + 0.2, root[1] + 0.03 * L],
    ],
  } // prettier-ignore
  return strip(
    lines[traits.tail],
    (share) => (base + plume * Math.sin(Math.PI * Math.min(1, share * 1.15))) * (share < 0.12 ? 0.85 + share : Math.max(0.16, 1 - 0.86 * share ** 1.8)),
  )
}
