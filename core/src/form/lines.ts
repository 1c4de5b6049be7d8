import { tautOver, type Flat } from './hull.ts'
import { elbowPoint } from './places.ts'
import { pointOn, type Point3 } from './point-on.ts'
import { underlineAt } from './section-through.ts'
import type { Shape } from './shape.ts'
import { cutOf, LAST_CUT, sectionAt } from './skin.ts'
import type { Station } from './stations.ts'

/** A taut line in the side plane as points of the body: the length of a measure and its drawing are one. */
const flat = (points: readonly Flat[]): Point3[] => points.map(([x, z]): Point3 => [x, 0, z])
const top = (s: Station): Flat => [s.tx, s.tz]
const under = (s: Station): Flat => [s.ux, s.uz]

/** Along the back to the tail base, from the withers or from places ahead of them. */
export function backLine({ stations: s }: Shape, ...from: Station[]): Point3[] {
  return flat(tautOver([...from, s.withers, s.girth, s.sternumEnd, s.lastRib, s.waist, s.hip, s.rump, s.tail].map(top), 1))
}

/** Corners of a line that lies on the skin, to a stretch between two sections: within a thousandth of the curve. */
const LYING = 6

/** On the spine from the neck base to the tail base: a tape that lies follows nape and withers into their hollow. */
export function spineLine({ skin }: Shape): Point3[] {
  const from = cutOf('neckBase')
  return Array.from({ length: LYING * (LAST_CUT - from) + 1 }, (_, i): Point3 => {
    const { tx, tz } = sectionAt(skin, from + i / LYING)
    return [tx, 0, tz]
  })
}

/** Under the chest from the breastbone to the sternum's end, or on. */
export function keelLine({ stations: s }: Shape, ...end: Station[]): Point3[] {
  return flat(tautOver([s.withers, s.shoulder, s.girth, s.sternumEnd, ...end].map(under), -1))
}

const QUARTER = Math.PI / 2
const ARC = 6

/** Over the shoulders on the left side, from the spine down the girth's side and out to the elbow; in the girth's plane. */
export function dropLine(shape: Shape): Point3[] {
  const s = shape.stations.girth
  const side: Flat[] = [[0, s.tz]]
  for (let i = 1; i <= ARC; i++) {
    const at = pointOn(s, QUARTER * (1 - i / ARC))
    side.push([-at[1], at[2]])
  }
  const elbow = elbowPoint(shape)
  side.push([-elbow[1], elbow[2]])
  return tautOver(side, 1).map(([y, z]): Point3 => [s.tx, -y, z])
}

/** Straight along the underline between two places. */
export const bellyLine = ({ skin }: Shape, from: number, to: number): Point3[] => flat([[from, underlineAt(skin, from)], [to, underlineAt(skin, to)]]) // prettier-ignore

/** From a section's underline to a place behind it. */
export const bellyFrom = ({ skin }: Shape, from: Station, to: number): Point3[] => flat([under(from), [to, underlineAt(skin, to)]])
