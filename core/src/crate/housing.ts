import { MM_PER_UNIT } from '../units/index.ts'

const MORE_IN = 6

/**
 * Floor and headroom of a primary enclosure: (nose to tail base in inches + 6) squared, and 6 in over the standing dog.
 * Source: 9 CFR 3.6(c), value from memory; for housing, not for carriage. Local law decides.
 *
 * @throws RangeError for a length that is none
 */
export function housingFloor(m42Mm: number): { areaMm2: number; headroomMm: number } {
  if (!(m42Mm > 0) || !Number.isFinite(m42Mm)) throw new RangeError(`a dog is longer than 0 mm: ${m42Mm}`)
  return { areaMm2: (m42Mm + MORE_IN * MM_PER_UNIT.in) ** 2, headroomMm: MORE_IN * MM_PER_UNIT.in }
}

/** Floor of a pen whose panels stand in a regular shape, mm². @throws RangeError for fewer than three panels */
export function penRoom({ panels, panelMm }: { panels: number; panelMm: number }): { areaMm2: number } {
  if (!Number.isInteger(panels) || panels < 3) throw new RangeError(`a pen has three panels or more: ${panels}`)
  if (!(panelMm > 0) || !Number.isFinite(panelMm)) throw new RangeError(`a panel is wider than 0 mm: ${panelMm}`)
  return { areaMm2: (panels * panelMm ** 2) / (4 * Math.tan(Math.PI / panels)) }
}

/** Heights pens come in, inches. From memory, unverified. */
export const PEN_HEIGHTS = [24, 30, 36, 42, 48] as const
/** Room over a standing head; a jumper asks this much of its withers' height, and a climber a top. Ours, unverified. */
const OVER_HEAD = 50
const JUMPS = 2

/** The lowest pen that asks a dog to stay; `null` where none is high enough. A pen is no cage: jumpers and climbers are watched. */
export function penHeight({ headMm, withersMm, jumps = false, climbs = false }: { headMm: number; withersMm: number; jumps?: boolean; climbs?: boolean }): {
  heightMm: number | null
  needsTop: boolean
} {
  for (const mm of [headMm, withersMm]) if (!(mm > 0) || !Number.isFinite(mm)) throw new RangeError(`heights are over 0 mm: ${mm}`)
  const need = Math.max(headMm + OVER_HEAD, jumps ? JUMPS * withersMm : 0)
  const found = PEN_HEIGHTS.map((inch) => inch * MM_PER_UNIT.in).find((mm) => mm >= need)
  return { heightMm: found ?? null, needsTop: climbs || found === undefined }
}
