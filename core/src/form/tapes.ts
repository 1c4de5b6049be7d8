import type { Sex } from '../model/index.ts'
import { kilograms } from './bulk.ts'
import { heightShare, layString, lengthAlong, pointOn, stringPoints, type Lay, type Point3 } from './diagonal.ts'
import { tautLength, type Flat } from './hull.ts'
import { proportionsOf, type ParameterName, type Proportions } from './parameters.ts'
import { cutOf, trunkCuts } from './skin.ts'
import { between, cutStations, ribArch, type Station, type Stations } from './stations.ts'
import { quarterArc, ring } from './superellipse.ts'

/** Everything a path needs of one dog, in back lengths. */
export interface Shape {
  k: Proportions
  stations: Stations
  /** Cuts over the trunk, neck base first. */
  cuts: Station[]
  ears: 'erect' | 'drop'
  sex: Sex | null
}

/** What of a dog decides shape beside the numbers. */
export interface Traits {
  ears: 'erect' | 'drop'
  sex: Sex | null
}

export function shapeOf(x: ArrayLike<number>, traits: Traits): Shape {
  const k = proportionsOf(x)
  const stations = cutStations(k)
  return { k, stations, cuts: trunkCuts(stations), ...traits }
}

/**
 * Strings solved once and kept while the parameters move a little: by the envelope theorem a shortest path's length
 * changes to first order as if its angles stood still.
 */
export interface Lays {
  under?: Lay
  over?: Lay
}

const QUARTER = Math.PI / 2

/** Between the forelegs the tape stays inside them, at the shoulder and just behind the elbow. */
const corridor = (shape: Shape) => {
  const W = shape.k.depth * shape.k.width
  const half = Math.max(0.01, (shape.k.stance - shape.k.forearm * 0.9) * W * 0.5)
  const [shoulder, girth] = [cutOf('shoulder'), cutOf('girth')]
  return (cut: number): number => (cut <= shoulder ? half : cut === girth ? half * 1.25 : Infinity)
}

/** The under-route: breastbone, between the forelegs, diagonally up over the ribs to the tail base. */
export const layUnder = (shape: Shape, start?: Lay): Lay => layString(shape.cuts, -QUARTER, QUARTER, corridor(shape), start)

export const underPoints = (shape: Shape, lay: Lay): Point3[] => stringPoints(shape.cuts, lay).points

/** Where the under-route crosses the rib arch: its points up to there, and from there on. */
export function splitAtRib(shape: Shape, lay: Lay): [upTo: Point3[], onward: Point3[]] {
  const { points, kept } = stringPoints(shape.cuts, lay)
  const past = (i: number): number => {
    const at = points[i] as Point3
    return at[0] - ribArch(shape.k, heightShare(shape.cuts[kept[i] ?? 0] as Station, at))
  }
  const first = cutOf('girth')
  for (let i = 1; i < points.length; i++) {
    if ((kept[i] ?? 0) <= first) continue
    const [before, here] = [past(i - 1), past(i)]
    if (here > 0) continue
    const [a, b] = [points[i - 1] as Point3, points[i] as Point3]
    const t = before <= 0 ? 0.5 : before / (before - here)
    const cross: Point3 = [a[0] + (b[0] - a[0]) * t, a[1] + (b[1] - a[1]) * t, a[2] + (b[2] - a[2]) * t]
    return [
      [...points.slice(0, i), cross],
      [cross, ...points.slice(i)],
    ]
  }
  const last = points.at(-1) as Point3
  return [points, [last, last]]
}

/** The cuts of the over-route: from the withers upright back to the rib arch half-way up. */
function overCuts(shape: Shape): Station[] {
  const { stations } = shape
  const [girth, sternumEnd, lastRib] = [stations.girth, stations.sternumEnd, stations.lastRib]
  const upright: Station = { ...stations.shoulder, tx: 0, ux: 0, tz: stations.withers.tz }
  return [upright, girth, between(girth, sternumEnd, 0.5), sternumEnd, between(sternumEnd, lastRib, 0.5), lastRib]
}

const layOver = (shape: Shape, start?: Lay): Lay => layString(overCuts(shape), QUARTER, 0, undefined, start)

export const overPoints = (shape: Shape, lay: Lay = layOver(shape)): Point3[] => stringPoints(overCuts(shape), lay).points

const height = (s: Station): number => Math.sqrt((s.tx - s.ux) ** 2 + (s.tz - s.uz) ** 2)

/** Ring of a section over the coat. */
export function ringOf(shape: Shape, s: Station): number {
  const h = height(s)
  return ring(s.w, h * (1 - s.v), h * s.v, s.p) + 2 * Math.PI * shape.k.coat
}

const top = (s: Station): Flat => [s.tx, s.tz]
const under = (s: Station): Flat => [s.ux, s.uz]

/** Sections among which the largest girth is sought. */
function girths(shape: Shape): Station[] {
  const { girth, sternumEnd, lastRib } = shape.stations
  return [girth, between(girth, sternumEnd, 0.5), sternumEnd, between(sternumEnd, lastRib, 0.5), lastRib]
}

export function largestGirth(shape: Shape): Station {
  let [best, most] = [shape.stations.girth, 0]
  for (const section of girths(shape)) {
    const around = ringOf(shape, section)
    if (around > most) [best, most] = [section, around]
  }
  return best
}

/** Where a belly band ends: well ahead of a male's sheath, further back on a female (handbook M21, V38). */
export const bandOf = (shape: Shape): Station => between(shape.stations.lastRib, shape.stations.waist, shape.sex === 'female' ? 0.75 : 0.5)
/** Front of the sheath, back lengths behind the withers; hem of a sweater by sex (handbook M24, V35). Ours. */
export const SHEATH_X = -0.72
export const bellyHem = (sex: Sex | null): number => (sex === 'female' ? -0.8 : -0.655)

const backLine = (shape: Shape): Flat[] => {
  const s = shape.stations
  return [top(s.withers), top(s.girth), top(s.sternumEnd), top(s.lastRib), top(s.waist), top(s.hip), top(s.rump), top(s.tail)]
}

const keel = (shape: Shape): Flat[] => {
  const s = shape.stations
  return [under(s.withers), under(s.shoulder), under(s.girth), under(s.sternumEnd)]
}

/** The underline at a place behind the withers. */
export function underlineAt(shape: Shape, x: number): Flat {
  const row = shape.cuts
  for (let i = 1; i < row.length; i++) {
    const [a, b] = [row[i - 1] as Station, row[i] as Station]
    if (b.ux <= x && a.ux >= x) {
      const t = (a.ux - x) / (a.ux - b.ux || 1e-9)
      return [x, a.uz + (b.uz - a.uz) * t]
    }
  }
  return under(row.at(-1) as Station)
}

const skullTop = (shape: Shape): number => Math.max(shape.stations.skull.tz, shape.stations.throat.tz)

/** Height of the ear's tip over the skull, back lengths; drop ears add nothing. */
export const earRise = (shape: Shape): number => (shape.ears === 'erect' ? shape.k.ear * shape.k.head * 0.92 : 0)

/** The root of the ear's rear edge: behind and below the top of the skull. */
export function earBase(shape: Shape): Point3 {
  const { skull, throat } = shape.stations
  const s = between(throat, skull, 0.45)
  const down = 0.3
  return [s.tx + (s.ux - s.tx) * down, s.w * 0.85, s.tz + (s.uz - s.tz) * down]
}

export const shoulderPoint = (shape: Shape): Point3 => {
  const { k, stations } = shape
  return [k.ahead * 0.82, k.shoulder * k.depth * k.width * 0.42, stations.withers.uz - 0.02 * k.depth]
}
export const elbowPoint = (shape: Shape): Point3 => {
  const { k } = shape
  const W = k.depth * k.width
  return [-k.elbowBack, Math.max(W / 2, (k.stance * W) / 2 + 0.4 * k.forearm * W), k.elbow]
}
/** Front of body, breed standards' way: point of shoulder to point of buttock. */
export const bodyLength = (shape: Shape): number => shoulderPoint(shape)[0] + 0.02 + 1.025

/** Both parts of the under-route, measured once per shape. */
interface UnderLengths {
  upTo: number
  onward: number
}

function underLengths(shape: Shape, lays: Lays): UnderLengths {
  const [upTo, onward] = splitAtRib(shape, lays.under as Lay)
  return { upTo: lengthAlong(upTo), onward: lengthAlong(onward) }
}

type Reader = (shape: Shape, lays: Lays, under: () => UnderLengths) => number

/** Half the over-the-shoulders path: down the girth's side and out to the elbow. */
function halfDrop(shape: Shape): number {
  const s = shape.stations.girth
  const elbow = elbowPoint(shape)
  const flat: Flat[] = [[0, s.tz]]
  for (let i = 1; i <= 6; i++) {
    const at = pointOn(s, QUARTER * (1 - i / 6))
    flat.push([-at[1], at[2]])
  }
  flat.push([-elbow[1], elbow[2]])
  return tautLength(flat, 1) + (QUARTER / 2) * shape.k.coat
}

const skullRing = (shape: Shape, s: Station): number => {
  const h = height(s)
  return ring(s.w, h * (1 - s.v), h * s.v, s.p) + 2 * Math.PI * Math.min(shape.k.coat, 0.012)
}

/**
 * Every measure of the catalogue as a function of the form, in back lengths (M00: kg). M09 has no settled route, M47 to
 * M49 are not the dog's; M30 is a male's only.
 */
const readers: Readonly<Record<string, Reader>> = {
  M00: ({ k, stations }) => kilograms(k, stations),
  M01: (shape) => ringOf(shape, shape.stations.withers),
  M02: (shape) => ringOf(shape, shape.stations.collar),
  M03: (shape) => ringOf(shape, shape.stations.neckBase),
  M04: (shape) => Math.max(skullRing(shape, shape.stations.skull), skullRing(shape, between(shape.stations.skull, shape.stations.throat, 0.4))),
  M05: (shape) => {
    const ear = earBase(shape)
    const from = shape.stations.neckBase
    return Math.hypot(ear[0] - from.tx, ear[1] * 0.7, ear[2] - from.tz)
  },
  M06: (shape) => tautLength(keel(shape), -1),
  M07: (shape) => ringOf(shape, largestGirth(shape)),
  M08: (shape) => ringOf(shape, shape.stations.sternumEnd),
  M10: (_shape, _lays, under) => under().upTo,
  M11: (shape, lays) => lengthAlong(overPoints(shape, lays.over)),
  M12: (_shape, _lays, under) => under().onward,
  M13: (_shape, _lays, under) => under().upTo + under().onward,
  M14: (shape) => tautLength(backLine(shape), 1),
  M15: (shape) => tautLength([top(shape.stations.collar), top(shape.stations.neckBase), ...backLine(shape)], 1) + 0.02,
  M16: (shape) => tautLength([top(shape.stations.neckBase), ...backLine(shape)], 1) + 0.01,
  M17: (shape) => 2 * halfDrop(shape),
  // A half drop is read one side and counts doubled, as in the agreed body (handbook 3.1).
  M18: (shape) => 2 * halfDrop(shape),
  M19: (shape) => {
    const s = shape.stations.withers
    return 2 * quarterArc(s.w, height(s) * s.v, s.p) + Math.PI * shape.k.coat
  },
  M20: ({ k }) => k.stance * k.depth * k.width,
  M21: (shape) => ringOf(shape, bandOf(shape)),
  M22: (shape) => ringOf(shape, shape.stations.waist),
  M23: (shape) => tautLength([...keel(shape), under(bandOf(shape))], -1),
  M24: (shape) => {
    const [from, end] = [underlineAt(shape, 0.02 - shape.k.elbowBack), underlineAt(shape, bellyHem(shape.sex))]
    return Math.hypot(end[0] - from[0], end[1] - from[1])
  },
  M25: ({ k }) => k.elbow,
  M26: ({ k }) => k.elbow * (1 - k.wrist),
  M27: ({ k }) => k.shin * (0.25 * k.depth + 0.42 * k.elbow),
  M28: ({ k }) => k.elbow * (1 - k.wrist) * 1.03,
  M29: (shape) => ringOf(shape, shape.stations.lastRib),
  M30: (shape) => {
    const [from, end] = [under(shape.stations.sternumEnd), underlineAt(shape, SHEATH_X)]
    return Math.hypot(end[0] - from[0], end[1] - from[1])
  },
  M31: ({ k }) => Math.PI * (1.6 * k.forearm * k.depth * k.width + 2 * k.coat),
  M32: ({ k }) => pawWidth(k),
  M33: ({ k }) => pawWidth(k) * k.pawLong,
  M34: ({ k }) => pawWidth(k) * k.pawHind,
  M35: ({ k }) => pawWidth(k) * k.pawHind * k.pawLong * 1.03,
  M36: ({ k }) => Math.PI * 0.78 * k.forearm * k.depth * k.width,
  M37: ({ k }) => 0.62 * k.wrist * k.elbow,
  M38: ({ k }) => k.wrist * k.elbow,
  M39: skullTop,
  M40: (shape) => skullTop(shape) + earRise(shape),
  M41: ({ k }) => k.sit * (0.72 + 0.72 * k.neckLength + 0.5 * k.head),
  M42: (shape) => shape.stations.nose.tx - shape.stations.tail.tx,
  M43: ({ k }) => k.elbow,
  M44: ({ k, stations }) => 2 * Math.max(stations.girth.w, stations.lastRib.w, stations.shoulder.w) + 2 * k.coat,
  M45: (shape) => shape.stations.withers.tz,
  M46: (shape) => shoulderPoint(shape)[2],
}

const pawWidth = (k: Proportions): number => k.paw * k.forearm * k.depth * k.width

/** The measures a form defines, in the catalogue's order. */
export const FORM_MEASURES: readonly string[] = Object.keys(readers)

/** Is the measure a function of this dog's form? M30 only of a male, or of one whose sex is not known. */
export const defines = (id: string, sex: Sex | null): boolean => id in readers && !(id === 'M30' && sex === 'female')

const NEEDS_UNDER = new Set(['M10', 'M12', 'M13'])

/** Solves the strings the wanted measures need, from where they lay before. */
export function laysFor(shape: Shape, ids: readonly string[], before: Lays = {}): Lays {
  return {
    ...(ids.some((id) => NEEDS_UNDER.has(id)) ? { under: layUnder(shape, before.under) } : {}),
    ...(ids.includes('M11') ? { over: layOver(shape, before.over) } : {}),
  }
}

/** Measures of a shape, mm (M00: kg), in the order asked. Unknown measures throw a RangeError. */
export function readTapes(shape: Shape, ids: readonly string[], lays: Lays): Float64Array {
  let known: UnderLengths | undefined
  const under = (): UnderLengths => (known ??= underLengths(shape, lays))
  return Float64Array.from(ids, (id) => {
    const reader = readers[id]
    if (!reader) throw new RangeError(`the form does not define ${id}`)
    const value = reader(shape, lays, under)
    return id === 'M00' ? value : value * shape.k.back
  })
}

/** Logarithms of measures: what the solver compares with the logarithms of the readings. */
export const logTapes = (x: ArrayLike<number>, traits: Traits, ids: readonly string[], lays: Lays): Float64Array =>
  readTapes(shapeOf(x, traits), ids, lays).map((value) => Math.log(Math.max(1e-3, value)))

const HEAD = ['M00', 'M04', 'M05', 'M39', 'M40', 'M41', 'M42']
const NECK = ['M00', 'M02', 'M03', 'M04', 'M05', 'M15', 'M16', 'M39', 'M40', 'M41', 'M42']
const LEG = ['M00', 'M17', 'M18', 'M20', 'M31', 'M32', 'M33', 'M34', 'M35', 'M36']

/** Measures a parameter can move, where they are few; all others may move everything. The back length scales all. */
const REACH: Partial<Record<ParameterName, readonly string[]>> = {
  neckLength: NECK,
  neckAngle: NECK,
  collarDepth: NECK,
  collarWidth: NECK,
  head: HEAD,
  skullWidth: HEAD,
  skullDepth: HEAD,
  muzzle: HEAD,
  muzzleDepth: HEAD,
  stance: LEG,
  forearm: LEG,
  density: ['M00'],
  ear: ['M40'],
  tail: [],
  wrist: ['M26', 'M28', 'M37', 'M38'],
  shin: ['M27'],
  sit: ['M41'],
  paw: ['M32', 'M33', 'M34', 'M35'],
  pawHind: ['M34', 'M35'],
  pawLong: ['M33', 'M35'],
}

/** Those of the measures that a parameter can move. */
export function reachOf(name: ParameterName, ids: readonly string[]): readonly string[] {
  const reach = REACH[name]
  return reach ? ids.filter((id) => reach.includes(id)) : ids
}
