import { LAST_CUT, sectionAt, type Skin } from '../form/index.ts'
import { SECTION, sectionInto } from './skin-point.ts'

/** The topline or the underline as a curve by cut. */
export interface Midline {
  skin: Skin
  /** Where x and z stand in a section: 0 topline, 2 underline. */
  at: 0 | 2
  /** Arc length from the throat to each cut. */
  arcs: Float64Array
}

/** Gauss and Legendre's five points on 0 to 1: the slope of a cubic is smooth inside a stretch. */
const NODES = [0.046910077030668, 0.230765344947158, 0.5, 0.769234655052842, 0.953089922969332] as const
const WEIGHTS = [0.118463442528095, 0.239314335249683, 0.284444444444444, 0.239314335249683, 0.118463442528095] as const
const section = new Float64Array(SECTION)

/** How fast the curve runs at a cut, mm a cut. */
export function speedAt({ skin, at }: Midline, cut: number): number {
  sectionInto(skin, cut, section, 0)
  const [x, z] = [section[7 + at] as number, section[8 + at] as number]
  return Math.sqrt(x * x + z * z)
}

function stretch(line: Midline, from: number, to: number): number {
  let sum = 0
  for (let i = 0; i < 5; i++) sum += (WEIGHTS[i] as number) * speedAt(line, from + (to - from) * (NODES[i] as number))
  return sum * (to - from)
}

export function midline(skin: Skin, which: 'over' | 'under'): Midline {
  const line: Midline = { skin, at: which === 'over' ? 0 : 2, arcs: new Float64Array(LAST_CUT + 1) }
  // Two halves a stretch: the neck bends hard at the withers.
  for (let i = 0; i < LAST_CUT; i++) line.arcs[i + 1] = (line.arcs[i] as number) + stretch(line, i, i + 0.5) + stretch(line, i + 0.5, i + 1 - 1e-12)
  return line
}

/** Arc length from the throat to a cut. */
export function arcTo(line: Midline, cut: number): number {
  const i = Math.min(LAST_CUT - 1, Math.max(0, Math.floor(cut)))
  const t = cut - i
  return (line.arcs[i] as number) + (t <= 0.5 ? stretch(line, i, cut) : stretch(line, i, i + 0.5) + stretch(line, i + 0.5, Math.min(cut, i + 1 - 1e-12)))
}

/** The cut at an arc length; beyond the ends the first and the last. */
export function cutAtArc(line: Midline, arc: number): number {
  if (arc <= 0) return 0
  if (arc >= (line.arcs[LAST_CUT] as number)) return LAST_CUT
  let i = 0
  while ((line.arcs[i + 1] as number) < arc) i++
  let cut = i + (arc - (line.arcs[i] as number)) / ((line.arcs[i + 1] as number) - (line.arcs[i] as number))
  for (let turn = 0; turn < 6; turn++) {
    const miss = arcTo(line, cut) - arc
    if (Math.abs(miss) < 1e-9) break
    cut = Math.min(i + 1, Math.max(i, cut - miss / (speedAt(line, cut) || 1e-9)))
  }
  return cut
}

/** The point at a cut. */
export function midPoint({ skin, at }: Midline, cut: number): [number, number, number] {
  const { tx, tz, ux, uz } = sectionAt(skin, cut)
  return at === 0 ? [tx, 0, tz] : [ux, 0, uz]
}

/** The cut nearest a place seen from the side, between two. */
export function cutNear(line: Midline, x: number, from: number, to: number): number {
  let [a, b] = [from, to]
  for (let i = 0; i < 40; i++) {
    const middle = (a + b) / 2
    if (midPoint(line, middle)[0] > x) a = middle
    else b = middle
  }
  return (a + b) / 2
}
