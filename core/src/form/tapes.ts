import type { Sex } from '../model/index.ts'
import { kilograms } from './bulk.ts'
import { backLine, bellyFrom, bellyLine, dropLine, keelLine, spineLine } from './lines.ts'
import type { Proportions } from './parameters.ts'
import { bandOf, bellyHem, earBase, earRise, height, largestGirth, ringOf, SHEATH_X, shoulderHeight, skullTop } from './places.ts'
import { lengthAlong } from './point-on.ts'
import { layOver, layUnder, overPoints, splitAtRib, type Lays } from './routes.ts'
import { sittingPose } from './sitting-pose.ts'
import { shapeOf, type Shape, type Traits } from './shape.ts'
import { between, type Station } from './stations.ts'
import { quarterArc, ring } from './superellipse.ts'

/** Both parts of the under-route, measured once per shape. */
interface UnderLengths {
  upTo: number
  onward: number
}

function underLengths(shape: Shape, lays: Lays): UnderLengths {
  const [upTo, onward] = splitAtRib(shape, lays.under ?? layUnder(shape))
  return { upTo: lengthAlong(upTo), onward: lengthAlong(onward) }
}

type Reader = (shape: Shape, lays: Lays, under: () => UnderLengths) => number

/** Half the over-the-shoulders path, the coat under it. */
const halfDrop = (shape: Shape): number => lengthAlong(dropLine(shape)) + (Math.PI / 4) * shape.k.coat

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
  M06: (shape) => lengthAlong(keelLine(shape)),
  M07: (shape) => ringOf(shape, largestGirth(shape)),
  M08: (shape) => ringOf(shape, shape.stations.sternumEnd),
  M10: (_shape, _lays, under) => under().upTo,
  M11: (shape, lays) => lengthAlong(overPoints(shape, lays.over)),
  M12: (_shape, _lays, under) => under().onward,
  M13: (_shape, _lays, under) => under().upTo + under().onward,
  M14: (shape) => lengthAlong(backLine(shape)),
  M15: (shape) => lengthAlong(backLine(shape, shape.stations.collar, shape.stations.neckBase)) + 0.02,
  M16: (shape) => lengthAlong(spineLine(shape)),
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
  M23: (shape) => lengthAlong(keelLine(shape, bandOf(shape))),
  M24: (shape) => lengthAlong(bellyLine(shape, 0.02 - shape.k.elbowBack, bellyHem(shape.sex))),
  M25: ({ k }) => k.elbow,
  M26: ({ k }) => k.elbow * (1 - k.wrist),
  M27: ({ k }) => k.shin * (0.25 * k.depth + 0.42 * k.elbow),
  M28: ({ k }) => k.elbow * (1 - k.wrist) * 1.03,
  M29: (shape) => ringOf(shape, shape.stations.lastRib),
  M30: (shape) => lengthAlong(bellyFrom(shape, shape.stations.sternumEnd, SHEATH_X)),
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
  M41: (shape) => sittingPose(shape).top,
  M42: (shape) => shape.stations.nose.tx - shape.stations.tail.tx,
  M43: ({ k }) => k.elbow,
  M44: ({ k, stations }) => 2 * Math.max(stations.girth.w, stations.lastRib.w, stations.shoulder.w) + 2 * k.coat,
  M45: (shape) => shape.stations.withers.tz,
  M46: shoulderHeight,
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
