import type { Form } from '../form/index.ts'
import type { LandmarkId } from '../measures/index.ts'

/** A place on the dog: a landmark, or off it by shares of this dog's own back length and depth. */
export interface StrapPlace {
  on: LandmarkId
  /** Rearward along the back, share of the back length (L03 to L14). */
  back?: number
  /** Down from the spine there: 0 the topline, 1 the underline, more is below. Without it the landmark's own height. */
  down?: number
}

/** Places straps meet at. Source: handbook 2 and 5.2 by landmark, common practice; the shares ours, unverified. */
export const STRAP_NODES = {
  lump: { on: 'L01' },
  front: { on: 'L21' },
  blade: { on: 'L05', back: 0.03 },
  armLevel: { on: 'L05', back: 0.1, down: 0.5 },
  withers: { on: 'L03' },
  aheadOfWithers: { on: 'L03', back: -0.03, down: 0 },
  collarTop: { on: 'L19', back: 0.01, down: 0.02 },
  collarFront: { on: 'L24' },
  girthTop: { on: 'L06', back: 0.13, down: 0 },
  girthSide: { on: 'L06', back: 0.13, down: 0.5 },
  girthLow: { on: 'L06', back: 0.13, down: 1 },
  betweenLegs: { on: 'L06', back: 0.02, down: 0.97 },
  nearGirthTop: { on: 'L06', back: 0.06, down: 0 },
  nearGirthSide: { on: 'L06', back: 0.06, down: 0.5 },
  nearGirthLow: { on: 'L06', back: 0.06, down: 1 },
  chestSide: { on: 'L02', back: -0.06, down: 0.8 },
  ribs: { on: 'L12' },
  bellyTop: { on: 'L12', back: 0.06, down: 0 },
  bellySide: { on: 'L12', back: 0.06, down: 0.5 },
  bellyLow: { on: 'L12', back: 0.06, down: 1 },
  backHalf: { on: 'L03', back: 0.5, down: 0 },
  sideHalf: { on: 'L03', back: 0.42, down: 0.42 },
  crossFore: { on: 'L03', back: 0.24, down: 0.02 },
  crossMid: { on: 'L03', back: 0.46, down: 0.02 },
  plateSide: { on: 'L06', back: 0.11, down: 0.7 },
  crossRear: { on: 'L03', back: 0.68, down: 0.02 },
  crossRearSide: { on: 'L03', back: 0.66, down: 0.3 },
  loin: { on: 'L03', back: 0.74, down: 0.12 },
  tail: { on: 'L14', back: -0.01, down: 0.04 },
  tailSide: { on: 'L14', back: -0.07, down: 0.6 },
  belowTail: { on: 'L14', back: 0.02, down: 2.1 },
  behindThigh: { on: 'L14', back: 0.04, down: 6.2 },
  traceUpper: { on: 'L14', back: 0.12, down: 3.2 },
  traceLower: { on: 'L14', back: 0.12, down: 4.2 },
  shaftFore: { on: 'L01', back: -0.16, down: 0.72 },
  shaftLoop: { on: 'L06', back: 0.13, down: 0.58 },
  shaftRear: { on: 'L14', back: 0.3, down: 3.4 },
  headTop: { on: 'L25', back: 0.02 },
  brow: { on: 'L20', back: -0.1 },
  throat: { on: 'L24', back: -0.12 },
  hemFore: { on: 'L03', back: 0.02, down: 0.66 },
  hemMid: { on: 'L03', back: 0.45, down: 0.6 },
  hemRear: { on: 'L14', back: -0.1, down: 1.7 },
  hemTail: { on: 'L14', back: 0.005, down: 0.1 },
  waistTop: { on: 'L16', down: 0 },
  waistLow: { on: 'L16', down: 1 },
  elbow: { on: 'L06' },
  elbowFore: { on: 'L22', back: -0.09 },
  wristRear: { on: 'L08', back: 0.05 },
  wristFore: { on: 'L08', back: -0.06 },
  stifle: { on: 'L23' },
  hindCuffFore: { on: 'L08', back: 0.82 },
  hindCuffRear: { on: 'L08', back: 0.95 },
  thighRear: { on: 'L14', back: 0.01, down: 3.2 },
} as const satisfies Readonly<Record<string, StrapPlace>>

export type StrapNode = keyof typeof STRAP_NODES

/** The strap or hem a measure decides, as the place on the dog where a miss shows. The pairing is ours. */
const DECIDES: Readonly<Record<string, StrapNode>> = {
  M01: 'front',
  M02: 'collarFront',
  M03: 'collarTop',
  M04: 'headTop',
  M06: 'betweenLegs',
  M07: 'girthSide',
  M08: 'girthSide',
  M10: 'ribs',
  M11: 'ribs',
  M12: 'loin',
  M13: 'tail',
  M14: 'tail',
  M15: 'hemTail',
  M16: 'hemTail',
  M17: 'elbow',
  M18: 'hemMid',
  M21: 'waistLow',
  M22: 'waistLow',
  M24: 'waistLow',
  M26: 'wristFore',
  M28: 'wristFore',
  M29: 'bellySide',
  M39: 'headTop',
  M40: 'headTop',
  M41: 'headTop',
  M42: 'lump',
  M44: 'blade',
}

/** Where on the dog a measure shows; `null` for those that show nowhere from the side. */
export const whereItShows = (measure: string): StrapNode | null => DECIDES[measure] ?? null

export type Flat = readonly [x: number, z: number]

/** Topline and underline heights at a place, straight between the cuts. */
function skinAt(form: Pick<Form, 'sections'>, x: number): { top: number; under: number } {
  const s = form.sections
  const trunk = [s.neckBase, s.withers, s.shoulder, s.girth, s.sternumEnd, s.lastRib, s.waist, s.hip, s.rump, s.tail]
  const height = (row: readonly (readonly [number, number])[]): number => {
    for (let i = 1; i < row.length; i++) {
      const [a, b] = [row[i - 1], row[i]]
      if (a && b && b[0] <= x && a[0] >= x && a[0] > b[0]) return a[1] + ((b[1] - a[1]) * (a[0] - x)) / (a[0] - b[0])
    }
    return (x > (row[0]?.[0] ?? 0) ? row[0] : row.at(-1))?.[1] ?? 0
  }
  return { top: height(trunk.map(({ tx, tz }) => [tx, tz])), under: height(trunk.map(({ ux, uz }) => [ux, uz])) }
}

/** Where a place lies on this dog seen from its right side, mm: x forward of the withers, z above the floor. */
export function placeOn(form: Pick<Form, 'landmarks' | 'sections'>, place: StrapPlace): Flat {
  const at = form.landmarks[place.on] ?? [0, 0, 0]
  const backMm = form.sections.withers.tx - form.sections.tail.tx
  const x = at[0] - (place.back ?? 0) * backMm
  if (place.down === undefined) return [x, at[2]]
  const { top, under } = skinAt(form, x)
  return [x, top - place.down * (top - under)]
}
