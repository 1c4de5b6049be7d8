import type { Form, SkinStation } from '../form/index.ts'
import type { ClothPoint } from '../pattern/index.ts'
import { halfOf, type ClothOver } from './cloth-over.ts'
import type { Garment } from './garment-type.ts'

type Worn = Garment['worn']

/** Half a ring, from the topline down the left side. */
const halfRing = (section: SkinStation): ClothPoint[] => halfOf(section, 10)

/** A band round the body at one place: its two long edges, and its ends under the belly. */
export function wornBand(cloth: ClothOver, s: number, wideMm: number, piece: string): Worn {
  const low = [...halfRing(cloth.section(s))].slice(12)
  const back = low.map(([x, y, z]): ClothPoint => [x - wideMm, y, z])
  return [
    { piece, edge: 'long-a', points: low },
    { piece, edge: 'long-b', points: back },
    { piece, edge: 'end', points: [low[0] as ClothPoint, back[0] as ClothPoint] },
    { piece, edge: 'start', points: [low.at(-1) as ClothPoint, back.at(-1) as ClothPoint] },
  ]
}

/** A collar's or casing's rings: one at a section, one ahead of it. */
export function wornRing(section: SkinStation, aheadMm: number, piece: string, [first, second]: readonly [string, string]): Worn {
  const own = halfRing(section)
  const ahead = own.map(([x, y, z]): ClothPoint => [x + aheadMm * 0.7, y, z + aheadMm * 0.7])
  return [
    { piece, edge: first, points: own },
    { piece, edge: second, points: ahead },
    { piece, edge: 'start', points: [own[0] as ClothPoint, ahead[0] as ClothPoint] },
    { piece, edge: 'end', points: [own.at(-1) as ClothPoint, ahead.at(-1) as ClothPoint] },
  ]
}

const TURNS = 12

/** A sleeve or leg round a limb, from its top down so far; the left one. */
export function wornLeg(
  form: Form,
  end: 'front' | 'hind',
  { piece, topMm, cuffMm, longMm }: { piece: string; topMm: number; cuffMm: number; longMm: number },
): Worn {
  const top = (end === 'front' ? form.landmarks.L06 : form.landmarks.L23) ?? [0, 60, 200]
  const under = Math.max(0, top[2] - longMm)
  const ring = (aroundMm: number, z: number): ClothPoint[] =>
    Array.from({ length: TURNS + 1 }, (_, i): ClothPoint => {
      const [a, r] = [(2 * Math.PI * i) / TURNS, aroundMm / (2 * Math.PI)]
      return [top[0] + r * Math.cos(a), top[1] * 0.8 + r * Math.sin(a), z]
    })
  const [cap, cuff] = [ring(topMm, top[2]), ring(cuffMm, under)]
  const seam: ClothPoint[] = [cap[0] as ClothPoint, cuff[0] as ClothPoint]
  return [
    { piece, edge: 'cap', points: cap },
    { piece, edge: 'cuff', points: cuff },
    { piece, edge: 'seam-front', points: seam },
    { piece, edge: 'seam-back', points: seam },
  ]
}

/** A rug's front: from the shoulder round the chest to where it is closed; `side` 1 the left. */
export function wornFront(shoulder: readonly ClothPoint[], form: Form, piece: string, side: 1 | -1): Worn {
  const lump = form.landmarks.L01 ?? [0, 0, 0]
  const [top, low] = [shoulder[0] ?? lump, shoulder.at(-1) ?? lump]
  const face = (p: ClothPoint): ClothPoint => [p[0], p[1] * side, p[2]]
  const drop = Math.hypot(top[0] - low[0], top[2] - low[2])
  const upper: ClothPoint = [lump[0], 0, lump[2] + 0.3 * drop]
  const lower: ClothPoint = [lump[0] - 0.3 * drop, 0, lump[2] - 0.5 * drop]
  return [
    { piece, edge: 'shoulder', points: shoulder.map(face) },
    { piece, edge: 'neck', points: [face(top), upper] },
    { piece, edge: 'front', points: [upper, lower] },
    { piece, edge: 'lower', points: [face(low), lower] },
  ]
}

/** Where a hood's face lies, for what is sewn to it. */
export const wornAgain = (worn: Worn, from: string, edges: readonly string[], piece: string): Worn =>
  worn.filter((each) => each.piece === from && edges.includes(each.edge)).map(({ edge, points }) => ({ piece, edge, points }))
