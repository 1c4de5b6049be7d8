import type { Flat } from '../hull.ts'
import type { Shape } from '../shape.ts'
import { bonesOf } from '../bones.ts'
import { curve } from './curve.ts'
import type { Plate, PlateTraits } from './plate.ts'

export interface FrontCut {
  plates: Plate[]
  eyes: [Flat, Flat]
  nose: Flat[]
  smile: Flat[]
  button: number
}

const both = (half: readonly Flat[]): Flat[] => [...half, ...half.map(([y, z]): Flat => [-y, z]).reverse()]

/** The dog from the front: first number across the page (the dog's right to the left), second above the floor. Back lengths. */
export function cutFront(shape: Shape, traits: PlateTraits): FrontCut {
  const { k, stations: s } = shape
  const bones = bonesOf(shape)
  const W = k.depth * k.width
  const [H, D] = [s.withers.tz, k.depth]
  const t = Math.max(0.06, k.forearm * W * 1.05)
  const y = (k.stance * W) / 2
  const leg = (side: 1 | -1): Plate => {
    const at = (dy: number, z: number): Flat => [side * (y + dy), z]
    const points: Flat[] = [
      at(-0.42 * t, bones.elbow[1] + 0.06 * D), at(0.62 * t, bones.elbow[1] + 0.12 * D), at(0.6 * t, bones.elbow[1] - 0.1 * k.elbow), at(0.42 * t, bones.wrist[1] + 0.2 * k.elbow),
      at(0.44 * t, bones.wrist[1]), at(0.4 * t, bones.pawHeight), at(-0.4 * t, bones.pawHeight), at(-0.42 * t, bones.wrist[1]), at(-0.4 * t, bones.wrist[1] + 0.25 * k.elbow),
    ] // prettier-ignore
    return { name: side === 1 ? 'far foreleg' : 'foreleg', points: curve(points, true), part: 'leg' }
  }
  const paw = (side: 1 | -1): Plate => {
    const w = Math.max(0.5 * t, (bones.forePaw / 1.12 / Math.max(0.8, k.pawLong)) * 0.52)
    const points: Flat[] = both([[0, bones.pawHeight * 1.1], [w * 0.8, bones.pawHeight * 0.8], [w, 0.25 * bones.pawHeight], [w * 0.86, 0.004], [w * 0.5, 0], [w * 0.1, 0]]) // prettier-ignore
    return { name: side === 1 ? 'far fore paw' : 'fore paw', points: curve(points.map(([a, z]): Flat => [a + side * y, z]), true) } // prettier-ignore
  }
  const hind = (side: 1 | -1): Plate => {
    const x = side * Math.max(y * 0.8, s.hip.w * 0.72)
    const points: Flat[] = [[x - 0.42 * t, 0], [x - 0.3 * t, 0.3 * H], [x + side * 0.3 * t, 0.55 * H], [x + 0.5 * t, 0.3 * H], [x + 0.42 * t, 0]] // prettier-ignore
    return { name: 'hind leg', points: curve(points, true), far: true }
  }
  const [w, sh] = [s.girth.w, s.shoulder.w]
  const brisket = s.girth.uz
  const trunk: Flat[] = both([
    [0.001, H - 0.02],
    [0.5 * s.withers.w, H - 0.05 * D],
    [0.92 * sh, H - 0.34 * D],
    [Math.max(sh, w) * 1.01, H - 0.58 * D],
    [0.92 * w, brisket + 0.2 * D],
    [0.55 * w, brisket + 0.03 * D],
    [0.001, brisket - 0.005],
  ])
  const breast: Flat[] = both([
    [0.001, s.withers.uz + 0.42 * D],
    [0.86 * s.withers.w, s.withers.uz + 0.26 * D],
    [0.95 * s.withers.w, s.withers.uz + 0.08 * D],
    [0.5 * s.withers.w, s.withers.uz - 0.12 * D],
    [0.001, s.withers.uz - 0.16 * D],
  ])
  // The head hides most of the neck; both stand by their heights on the form.
  const L = k.head
  const d = k.skullWidth * k.skullDepth * L
  const top = Math.max(s.skull.tz, s.throat.tz)
  const noseZ = s.nose.tz + 0.02 * L
  const half = (k.skullWidth * L) / 2
  const m = Math.max(0.36 * half, k.skullWidth * 0.25 * L * (traits.flatFace ? 1.3 : 1))
  const chin = Math.min(noseZ - 0.5 * k.muzzleDepth * d, top - 0.92 * d)
  const neck: Flat[] = both([
    [0.001, top - 0.2 * d],
    [s.throat.w * 0.95, top - 0.5 * d],
    [s.collar.w, (top + s.withers.uz) / 2],
    [0.94 * s.withers.w, s.withers.uz + 0.3 * D],
    [0.55 * s.withers.w, s.withers.uz + 0.1 * D],
    [0.001, s.withers.uz + 0.02 * D],
  ])
  const head: Flat[] = both([
    [0.001, top + 0.01 * L],
    [0.6 * half, top - 0.01 * L],
    [half, top - 0.34 * d],
    [0.93 * half, top - 0.62 * d],
    [Math.max(m * 1.08, 0.62 * half), noseZ + 0.34 * d * k.muzzleDepth],
    [m * 1.02, noseZ - 0.1 * d],
    [m * 0.72, chin + 0.02 * d],
    [0.001, chin - 0.02 * d],
  ])
  const ear = (side: 1 | -1): Plate => {
    const e = k.ear * L
    const points: Flat[] =
      traits.ears === 'erect'
        ? [[0.2 * half, top - 0.04 * d], [0.42 * half, top + 0.62 * e], [0.72 * half, top + 0.96 * e], [1.02 * half, top + 0.5 * e], [0.98 * half, top - 0.24 * d]]
        : [[0.5 * half, top - 0.03 * d], [0.96 * half, top - 0.06 * d], [1.3 * half, top - 0.1 * d - 0.5 * e], [1.22 * half, top - 0.08 * d - 0.94 * e], [0.94 * half, top - 0.1 * d - 0.72 * e], [0.84 * half, top - 0.34 * d]] // prettier-ignore
    return { name: side === 1 ? 'far ear' : 'ear', points: curve(points.map(([a, z]): Flat => [a * side, z]), true) } // prettier-ignore
  }
  const ears = [ear(1), ear(-1)]
  const headPlate: Plate = { name: 'head', points: curve(head, true), part: 'head' }
  const eyeZ = top - (traits.flatFace ? 0.46 : 0.4) * d
  return {
    plates: [
      hind(1), hind(-1), { name: 'ribs', points: curve(trunk, true), part: 'ribs' }, leg(1), leg(-1), paw(1), paw(-1),
      { name: 'chest', points: curve(breast, true), part: 'chest' }, { name: 'neck', points: curve(neck, true), part: 'neck' },
      ...(traits.ears === 'erect' ? [...ears, headPlate] : [headPlate, ...ears]),
    ], // prettier-ignore
    eyes: [[-0.5 * half, eyeZ], [0.5 * half, eyeZ]], // prettier-ignore
    nose: curve(both([[0.001, noseZ + 0.07 * L], [0.5 * m, noseZ + 0.05 * L], [0.42 * m, noseZ - 0.03 * L], [0.001, noseZ - 0.055 * L]]), true, 4), // prettier-ignore
    smile: curve([[-0.55 * m, noseZ - 0.12 * L], [-0.2 * m, noseZ - 0.15 * L], [0, noseZ - 0.1 * L], [0.2 * m, noseZ - 0.15 * L], [0.55 * m, noseZ - 0.12 * L]], false, 4), // prettier-ignore
    button: 0.085 * d,
  }
}
