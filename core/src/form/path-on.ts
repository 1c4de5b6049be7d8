import { measures, type LandmarkId } from '../measures/index.ts'
import { bonesOf } from './bones.ts'
import { backLine, bellyFrom, bellyLine, dropLine, keelLine, spineLine } from './lines.ts'
import { bandOf, bellyHem, earBase, earRise, elbowPoint, largestGirth, SHEATH_X, shoulderPoint, skullTop } from './places.ts'
import { pointOn, type Point3 } from './point-on.ts'
import { layUnder, overPoints, splitAtRib, underPoints } from './routes.ts'
import { shapeOf, type Shape } from './shape.ts'
import type { Form } from './form-type.ts'
import type { Station } from './stations.ts'
import { defines } from './tapes.ts'

/** The tape of one measure laid on the form. */
export interface TapePath {
  measure: string
  /** mm; x forward of the withers, y towards the side the side plate shows, z above the floor. */
  points: Point3[]
  /** Goes round and meets itself. */
  closed: boolean
  landmarks: readonly LandmarkId[]
}

const QUARTER = Math.PI / 2
const ARC = 10

/** Points round a section: down the near side from the topline to the underline, and up the far side. */
function aroundSection(s: Station): Point3[] {
  const near = Array.from({ length: ARC + 1 }, (_, i) => pointOn(s, QUARTER - (i / ARC) * 2 * QUARTER))
  const far = near
    .slice(1, -1)
    .reverse()
    .map((p): Point3 => [p[0], -p[1], p[2]])
  return [...near, ...far, near[0] as Point3]
}

type Walk = (shape: Shape) => Point3[]

const stance = (shape: Shape): number => (shape.k.stance * shape.k.depth * shape.k.width) / 2

const upright = (at: Point3): Point3[] => [[at[0], at[1], 0], at]

const walks: Readonly<Record<string, Walk>> = {
  M01: ({ stations }) => aroundSection(stations.withers),
  M02: ({ stations }) => aroundSection(stations.collar),
  M03: ({ stations }) => aroundSection(stations.neckBase),
  M04: ({ stations }) => aroundSection(stations.skull),
  M05: (shape) => {
    const from = shape.stations.neckBase
    return [[from.tx, 0, from.tz], earBase(shape)]
  },
  M06: (shape) => keelLine(shape),
  M07: (shape) => aroundSection(largestGirth(shape)),
  M08: ({ stations }) => aroundSection(stations.sternumEnd),
  M10: (shape) => splitAtRib(shape, layUnder(shape))[0],
  M11: (shape) => overPoints(shape),
  M12: (shape) => splitAtRib(shape, layUnder(shape))[1],
  M13: (shape) => underPoints(shape, layUnder(shape)),
  M14: (shape) => backLine(shape),
  M15: (shape) => backLine(shape, shape.stations.collar, shape.stations.neckBase),
  M16: spineLine,
  M17: (shape) => {
    const half = dropLine(shape)
    return [...half.map((p): Point3 => [p[0], -p[1], p[2]]).reverse(), ...half.slice(1)]
  },
  M18: dropLine,
  M19: ({ stations }) => {
    const near = Array.from({ length: ARC / 2 + 1 }, (_, i) => pointOn(stations.withers, (-i / (ARC / 2)) * QUARTER))
    return [...near, ...near.slice(0, -1).reverse().map((p): Point3 => [p[0], -p[1], p[2]])] // prettier-ignore
  },
  M20: (shape) => [
    [0.06 - shape.k.elbowBack, stance(shape), 0.75 * shape.k.elbow],
    [0.06 - shape.k.elbowBack, -stance(shape), 0.75 * shape.k.elbow],
  ],
  M21: (shape) => aroundSection(bandOf(shape)),
  M22: ({ stations }) => aroundSection(stations.waist),
  M23: (shape) => keelLine(shape, bandOf(shape)),
  M24: (shape) => bellyLine(shape, 0.02 - shape.k.elbowBack, bellyHem(shape.sex)),
  M25: (shape) => upright(elbowPoint(shape)),
  M26: legTo('wrist'),
  M27: (shape) => {
    const { stifle, hock } = bonesOf(shape)
    const y = shape.stations.hip.w
    return [
      [stifle[0], y, stifle[1]],
      [hock[0], y * 0.8, hock[1]],
    ]
  },
  M28: legTo('wrist'),
  M29: ({ stations }) => aroundSection(stations.lastRib),
  M30: (shape) => bellyFrom(shape, shape.stations.sternumEnd, SHEATH_X),
  M31: (shape) => {
    const { elbow, thick } = bonesOf(shape)
    const y = stance(shape)
    const around = Array.from({ length: 13 }, (_, i): Point3 => {
      const a = Math.PI - (i / 12) * 2 * Math.PI
      return [elbow[0] + 0.5 * thick + 0.66 * thick * Math.cos(a), y + 0.5 * thick * Math.sin(a), elbow[1] + 0.15 * thick]
    })
    return around
  },
  M32: (shape) => pawAcross(shape, 'fore'),
  M33: (shape) => pawAlong(shape, 'fore'),
  M34: (shape) => pawAcross(shape, 'hind'),
  M35: (shape) => pawAlong(shape, 'hind'),
  M36: (shape) => {
    const { wrist, foreFoot, thick, pawHeight } = bonesOf(shape)
    const [x, z] = [(wrist[0] + foreFoot[0]) / 2, (wrist[1] + pawHeight) / 2]
    const y = stance(shape)
    return Array.from({ length: 13 }, (_, i): Point3 => {
      const a = Math.PI - (i / 12) * 2 * Math.PI
      return [x + 0.42 * thick * Math.cos(a), y + 0.36 * thick * Math.sin(a), z]
    })
  },
  M37: (shape) => {
    const { wrist } = bonesOf(shape)
    return upright([wrist[0], stance(shape), 0.62 * wrist[1]])
  },
  M38: (shape) => {
    const { wrist } = bonesOf(shape)
    return upright([wrist[0], stance(shape), wrist[1]])
  },
  M39: (shape) => upright([skullX(shape), 0, skullTop(shape)]),
  M40: (shape) => upright([skullX(shape), 0, skullTop(shape) + earRise(shape)]),
  M42: ({ stations }) => [[stations.nose.tx, 0, stations.nose.tz], [stations.tail.tx, 0, stations.tail.tz]], // prettier-ignore
  M43: (shape) => upright(elbowPoint(shape)),
  M44: ({ stations }) => {
    const s = stations.girth
    const at = pointOn(s, 0)
    return [at, [at[0], -at[1], at[2]]]
  },
  M45: ({ stations }) => upright([0, 0, stations.withers.tz]),
  M46: (shape) => upright(shoulderPoint(shape)),
}

const skullX = (shape: Shape): number => shape.stations.skull.tx

function legTo(end: 'wrist'): Walk {
  return (shape) => {
    const bones = bonesOf(shape)
    const elbow = elbowPoint(shape)
    return [elbow, [bones[end][0], stance(shape), bones[end][1]]]
  }
}

function pawAcross(shape: Shape, which: 'fore' | 'hind'): Point3[] {
  const bones = bonesOf(shape)
  const [foot, length] = which === 'fore' ? [bones.foreFoot, bones.forePaw] : [bones.hindFoot, bones.hindPaw]
  const y = which === 'fore' ? stance(shape) : shape.stations.hip.w * 0.7
  const x = foot[0] + 0.3 * length
  return [
    [x, y - 0.42 * length, 0],
    [x, y + 0.42 * length, 0],
  ]
}

function pawAlong(shape: Shape, which: 'fore' | 'hind'): Point3[] {
  const bones = bonesOf(shape)
  const [foot, length] = which === 'fore' ? [bones.foreFoot, bones.forePaw] : [bones.hindFoot, bones.hindPaw]
  const y = which === 'fore' ? stance(shape) : shape.stations.hip.w * 0.7
  const from = foot[0] - 0.3 * bones.thick - 0.1 * length
  return [
    [from, y, 0],
    [from + length, y, 0],
  ]
}

/** Measures with a path on the form: those it defines, weight and sitting height apart. */
export const hasPath = (id: string): boolean => id in walks

/**
 * The tape's way over the body.
 *
 * @returns its corners in mm, or `null` for a measure that has no path on the standing form
 */
export function pathOn(form: Form, measureId: string): TapePath | null {
  const walk = walks[measureId]
  if (!walk || !defines(measureId, form.sex)) return null
  const shape = shapeOf(form.parameters, form)
  const by = shape.k.back
  const points = walk(shape).map((p): Point3 => [p[0] * by, p[1] * by, p[2] * by])
  const [first, last] = [points[0] as Point3, points.at(-1) as Point3]
  const closed = points.length > 3 && Math.hypot(first[0] - last[0], first[1] - last[1], first[2] - last[2]) < 1e-6 * by + 1e-9
  return { measure: measureId, points, closed, landmarks: measures[measureId]?.landmarks ?? [] }
}
