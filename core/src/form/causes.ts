import { digitsChangedOver, firstNumber, measures } from '../measures/index.ts'
import { MM_PER_UNIT } from '../units/index.ts'
import { densityAt, type LeftOut } from './mixture.ts'
import type { FormMeasure } from './form-type.ts'

export type FormCause =
  | 'one-side-not-doubled'
  | 'doubled-twice'
  | 'inches-for-centimetres'
  | 'centimetres-for-inches'
  | 'swapped-digits'
  | 'unusual-build'
  | 'other-path'
  | 'plain-slip'

export interface WeighedCause {
  cause: FormCause
  /** What the tape would read without the slip, mm; for `unusual-build` the reading itself. */
  wouldReadMm: number
  /** Share among the causes of this reading, 0 to 1. */
  weight: number
  /** For `other-path`: the measure whose path would read this. */
  measure?: string
}

/**
 * How often each thing happens before any number speaks, and how wide a plain slip is. Ours; only their order matters.
 */
const CHANCE = {
  side: 0.02,
  half: 0.002,
  unit: 0.006,
  swapped: 0.012,
  path: 0.008,
  slip: 0.03,
  dog: 1,
} as const
const SLIP_SD = 0.16

/** Paths taken for one another (handbook 2 and 3.2, usual confusions). */
const CONFUSED: Readonly<Record<string, readonly string[]>> = {
  M01: ['M03', 'M02'],
  M02: ['M03', 'M01', 'M04'],
  M03: ['M02', 'M01'],
  M06: ['M10'],
  M07: ['M08', 'M29', 'M01'],
  M08: ['M07', 'M29'],
  M10: ['M06', 'M11', 'M13'],
  M11: ['M10'],
  M12: ['M14'],
  M13: ['M14', 'M10', 'M15'],
  M14: ['M15', 'M16', 'M13'],
  M15: ['M14', 'M16'],
  M16: ['M14', 'M15'],
  M17: ['M18'],
  M18: ['M17'],
  M19: ['M20'],
  M20: ['M19'],
  M21: ['M22', 'M29'],
  M22: ['M21'],
  M25: ['M26', 'M45'],
  M26: ['M25', 'M38'],
  M29: ['M21', 'M22', 'M07'],
  M39: ['M45', 'M40'],
  M40: ['M39'],
  M45: ['M39', 'M43', 'M46'],
  M43: ['M46'],
  M46: ['M43', 'M45'],
}

/** Values the reading would have with two neighbouring digits changed over, in the way it was written, else in any. */
export function swappedMm(mm: number, asTyped?: string): number[] {
  if (asTyped) {
    const number = firstNumber(asTyped)
    return Number(number) > 0 ? digitsChangedOver(number, mm, mm / Number(number), true) : []
  }
  const writings: readonly (readonly [text: string, mmPer: number])[] = [
    [String(Math.round(mm)), 1],
    [(Math.round(mm) / 10).toFixed(1), 10],
    [(mm / MM_PER_UNIT.in).toFixed(0), MM_PER_UNIT.in],
  ]
  return writings.flatMap(([text, per]) => digitsChangedOver(text, mm, per, true))
}

const logNormal = (off: number, sd: number): number => -0.5 * ((off / sd) ** 2 + Math.log(2 * Math.PI * sd * sd))

/**
 * What may have made a reading, each by its chance times how well the number without the slip fits the others.
 *
 * @param leftOut what the other readings expect here
 * @param form what every other path would read on this dog
 * @returns causes, likeliest first, and the log odds of a slip against "the dog is so"
 */
export function causesOf(
  id: string,
  mm: number,
  leftOut: LeftOut,
  form: Readonly<Record<string, FormMeasure>>,
  asTyped?: string,
): { causes: WeighedCause[]; odds: number } {
  const doubles = measures[id]?.doubling ?? false
  const list: { cause: FormCause; wouldReadMm: number; log: number; measure?: string }[] = []
  const ratio = (cause: FormCause, factor: number, chance: number): void => {
    list.push({ cause, wouldReadMm: mm * factor, log: Math.log(chance) + densityAt(leftOut, Math.log(factor)) })
  }
  if (id !== 'M00') {
    ratio('one-side-not-doubled', 2, doubles ? CHANCE.side : CHANCE.half)
    ratio('doubled-twice', 0.5, doubles ? CHANCE.side : CHANCE.half)
    ratio('inches-for-centimetres', 2.54, CHANCE.unit)
    ratio('centimetres-for-inches', 1 / 2.54, CHANCE.unit)
  }
  const swaps = swappedMm(mm, asTyped).filter((would) => Math.abs(Math.log(would / mm)) > 0.05)
  for (const would of swaps) {
    list.push({ cause: 'swapped-digits', wouldReadMm: would, log: Math.log(CHANCE.swapped / swaps.length) + densityAt(leftOut, Math.log(would / mm)) })
  }
  const expected = mm * Math.exp(-leftOut.off)
  const others = CONFUSED[id] ?? []
  for (const other of others) {
    const path = form[other]
    if (!path || Math.abs(Math.log(path.mm / expected)) < 0.06) continue
    const log = Math.log(CHANCE.path / others.length) + logNormal(Math.log(mm / path.mm), Math.hypot(path.sigmaMm / path.mm, 0.02))
    list.push({ cause: 'other-path', wouldReadMm: expected, log, measure: other })
  }
  const slip = Math.log(CHANCE.slip) + logNormal(leftOut.off, Math.hypot(leftOut.sd, SLIP_SD))
  list.push({ cause: 'plain-slip', wouldReadMm: expected, log: slip })
  const dog = Math.log(CHANCE.dog) + densityAt(leftOut, 0)
  const slips = list.map(({ log }) => log)
  const most = Math.max(...slips)
  const odds = most + Math.log(slips.reduce((sum, log) => sum + Math.exp(log - most), 0)) - dog
  list.push({ cause: 'unusual-build', wouldReadMm: mm, log: dog })
  const top = Math.max(most, dog)
  const total = list.reduce((sum, { log }) => sum + Math.exp(log - top), 0)
  const byCause = new Map<string, WeighedCause>()
  for (const { log, ...cause } of list) {
    const weight = Math.exp(log - top) / total
    const known = byCause.get(cause.cause)
    // Of several swaps or paths the best speaks for all.
    if (!known || known.weight < weight) byCause.set(cause.cause, { ...cause, weight })
  }
  // Doubling is named only where a measure is doubled at all; elsewhere half and twice are a plain slip.
  if (!doubles)
    for (const cause of ['one-side-not-doubled', 'doubled-twice'] as const) {
      const never = byCause.get(cause)
      const plain = byCause.get('plain-slip')
      if (never && plain) plain.weight += never.weight
      byCause.delete(cause)
    }
  return { causes: [...byCause.values()].filter(({ weight }) => weight > 0.005).sort((a, b) => b.weight - a.weight), odds }
}
