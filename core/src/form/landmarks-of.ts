import type { Landmarks } from './form-type.ts'
import { bonesOf } from './bones.ts'
import { earBase, earRise, elbowPoint, shoulderPoint, SHEATH_X, skullTop } from './places.ts'
import { pointOn, type Point3 } from './point-on.ts'
import { layUnder, splitAtRib } from './routes.ts'
import { underlineAt } from './section-through.ts'
import type { Shape } from './shape.ts'

/** Those that straps are judged by. */
export function strapLandmarks(shape: Shape): Landmarks {
  const { k, stations: s } = shape
  const at = (x: number, y: number, z: number): Point3 => [x * k.back, y * k.back, z * k.back]
  const of = (p: Point3): Point3 => at(p[0], p[1], p[2])
  return {
    L01: at(s.withers.ux, 0, s.withers.uz),
    L02: at(s.sternumEnd.ux, 0, s.sternumEnd.uz),
    L03: at(0, 0, s.withers.tz),
    L04: at(-0.02, s.shoulder.w * 0.55, s.withers.tz - 0.06 * k.depth),
    L05: of(shoulderPoint(shape)),
    L06: of(elbowPoint(shape)),
    L07: at(s.girth.tx + 0.02, s.girth.w * 0.8, s.girth.uz + 0.12 * k.depth),
    L14: at(s.tail.tx, 0, s.tail.tz),
  }
}

/** Places every landmark the form knows on the skin. */
export function landmarksOf(shape: Shape): Landmarks {
  const { k, stations: s } = shape
  const W = k.depth * k.width
  const at = (x: number, y: number, z: number): Point3 => [x * k.back, y * k.back, z * k.back]
  const of = (p: Point3): Point3 => at(p[0], p[1], p[2])
  const rib = splitAtRib(shape, layUnder(shape))[0].at(-1) as Point3
  const stance = (k.stance * W) / 2
  const { stifle } = bonesOf(shape)
  return {
    ...strapLandmarks(shape),
    L08: at(0.02 - k.elbowBack, stance, k.wrist * k.elbow),
    L09: at(0.03 - k.elbowBack, stance, 0.6 * k.wrist * k.elbow),
    L10: at(0.02 - k.elbowBack, stance - 0.4 * k.forearm * W, 0.62 * k.wrist * k.elbow),
    L11: at(0.07 - k.elbowBack, stance, 0),
    L12: of(rib),
    L13: at(s.sternumEnd.ux, s.sternumEnd.w * 0.3, s.sternumEnd.uz + 0.02),
    L15: of(pointOn(s.hip, 0.9)),
    L16: of(pointOn(s.waist, 0)),
    L17: at(SHEATH_X, 0, underlineAt(shape.skin, SHEATH_X)),
    L18: at(s.collar.tx, 0, s.collar.tz),
    L19: at(s.neckBase.tx, 0, s.neckBase.tz),
    L20: of(earBase(shape)),
    L21: of(pointOn(s.withers, -0.1)),
    L22: at(0.04 - k.elbowBack, stance, 0.75 * k.elbow),
    L23: at(stifle[0], s.hip.w, stifle[1]),
    L24: at((s.collar.ux + s.withers.ux) / 2, 0, (s.collar.uz + s.withers.uz) / 2),
    L25: at(s.skull.tx, 0, skullTop(shape) + earRise(shape)),
  }
}
