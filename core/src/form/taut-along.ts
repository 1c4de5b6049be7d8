import { layString, type Lay } from './lay-string.ts'
import { lengthAlong, pointOn, type Point3 } from './point-on.ts'
import { askCut, corridorAt, cutOf, sectionAt, type Skin } from './skin.ts'
import type { Station } from './stations.ts'

/** A place on the left side of the skin: a cut, and an angle on it (-pi/2 the underline, 0 the widest place, pi/2 the topline). */
export interface SkinPlace {
  cut: number
  angleRad: number
}

/** A string that runs along the body: the cuts it crosses, and where on them it lies. */
export interface Along extends Lay {
  cuts: Float64Array
}

export interface TautString {
  lengthMm: number
  /** Corners in order; what lies between them in the air is straight. */
  points: Point3[]
}

const QUARTER = Math.PI / 2
/** Corners: two to a stretch between sections, and no coarser than sixteen to a half turn. */
const PER_CUT = 2
const TURN = Math.PI / 16

const scaled = (s: Station, by: number): Station => ({ tx: s.tx * by, tz: s.tz * by, ux: s.ux * by, uz: s.uz * by, w: s.w * by, v: s.v, p: s.p })

/** Does a string that begins here run between the forelegs? */
function isBetweenLegs(skin: Skin, { cut, angleRad }: SkinPlace): boolean {
  return cut < cutOf('girth') && pointOn(sectionAt(skin, cut), angleRad)[1] <= corridorAt(skin, cut) + 1e-9 * skin.size && angleRad < 0
}

/** Lays a string from a place to one further back; `start` is how a like one lay before. */
export function layAlong(skin: Skin, from: SkinPlace, to: SkinPlace, start?: Along): Along {
  const pieces = Math.max(2, Math.ceil(PER_CUT * (to.cut - from.cut) - 1e-9), Math.ceil(Math.abs(to.angleRad - from.angleRad) / TURN - 1e-9))
  const cuts = Float64Array.from({ length: pieces + 1 }, (_, i) => from.cut + ((to.cut - from.cut) * i) / pieces)
  const held = isBetweenLegs(skin, from) || isBetweenLegs(skin, to)
  const by = 1 / skin.size
  const sections = Array.from(cuts, (cut) => scaled(sectionAt(skin, cut), by))
  const corridor = held ? (i: number): number => corridorAt(skin, cuts[i] as number) * by : undefined
  const lay = layString(sections, from.angleRad, to.angleRad, corridor, start?.cuts.length === cuts.length ? start : undefined)
  return { cuts, ...lay }
}

/** The corners of a laid string on a skin, which may have moved a little since; `cuts` says on which cut each lies. */
export function alongPoints(skin: Skin, { cuts, angles, touches }: Along): { points: Point3[]; cuts: number[] } {
  const points: Point3[] = []
  const kept: number[] = []
  for (let i = 0; i < cuts.length; i++) {
    if (!touches[i]) continue
    points.push(pointOn(sectionAt(skin, cuts[i] as number), angles[i] as number))
    kept.push(cuts[i] as number)
  }
  return { points, cuts: kept }
}

/** Round one cut, from angle to angle. */
function onOneCut(skin: Skin, cut: number, from: number, to: number): Point3[] {
  const section = sectionAt(skin, cut)
  const pieces = Math.max(2, Math.ceil((2 * Math.abs(to - from)) / TURN))
  return Array.from({ length: pieces + 1 }, (_, i) => pointOn(section, from + ((to - from) * i) / pieces))
}

/**
 * The shortest string on the skin between two places on its left side; over hollows it goes straight. One that begins
 * between the forelegs stays between them.
 *
 * @param from a cut from 0 (throat) to 11 (tail), fractions between, and an angle from -pi/2 to pi/2
 * @returns its length and corners in the skin's unit; -0.2 % at most beside exact geodesics, since its stretches are straight
 * @throws RangeError for a place that is not on the skin
 */
export function tautAlong(skin: Skin, from: SkinPlace, to: SkinPlace): TautString {
  for (const [name, { cut, angleRad }] of Object.entries({ from, to })) {
    askCut(cut, `the string’s cut ${name}`)
    if (!Number.isFinite(angleRad) || Math.abs(angleRad) > QUARTER + 1e-9)
      throw new RangeError(`the string’s angle ${name} is none between -pi/2 and pi/2: ${angleRad}`)
  }
  if (Math.abs(from.cut - to.cut) < 1e-9) {
    const points = onOneCut(skin, from.cut, from.angleRad, to.angleRad)
    return { lengthMm: lengthAlong(points), points }
  }
  const back = from.cut > to.cut
  const { points } = alongPoints(skin, back ? layAlong(skin, to, from) : layAlong(skin, from, to))
  return { lengthMm: lengthAlong(points), points: back ? points.reverse() : points }
}
