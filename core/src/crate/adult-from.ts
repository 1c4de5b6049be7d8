import { growthShare } from '../reference/index.ts'

/** Ages of the growth table, weeks, and an adult weight within each of its classes, kg. The middles are ours. */
const WEEKS = [8, 12, 16, 26, 39, 52, 78] as const
const MIDDLES = [3.2, 7.1, 15.8, 33.5, 58] as const

export type ShareEnd = 'low' | 'middle' | 'high'

const columnOf = (kg: number, week: number, end: ShareEnd): number => {
  const [low, high] = growthShare(kg, week)
  return end === 'low' ? low : end === 'high' ? high : (low + high) / 2
}

/** Slopes of a monotone cubic through a row (Fritsch & Carlson 1980, in the harmonic form of Fritsch & Butland). */
function slopesOf(values: readonly number[]): number[] {
  const steps = WEEKS.slice(1).map((week, i) => week - (WEEKS[i] as number))
  const chords = steps.map((step, i) => ((values[i + 1] as number) - (values[i] as number)) / step)
  return values.map((_, i) => {
    const [a, b] = [chords[i - 1], chords[i]]
    if (a === undefined || b === undefined) return a ?? b ?? 0
    return a * b <= 0 ? 0 : 2 / (1 / a + 1 / b)
  })
}

const rows = new Map<string, { values: number[]; slopes: number[] }>()

function classShare(kg: number, ageWeeks: number, end: ShareEnd): number {
  const key = `${kg} ${end}`
  let row = rows.get(key)
  if (!row) {
    const values = WEEKS.map((week) => columnOf(kg, week, end))
    row = { values, slopes: slopesOf(values) }
    rows.set(key, row)
  }
  const i = Math.min(
    WEEKS.length - 2,
    Math.max(
      0,
      WEEKS.findLastIndex((week) => week <= ageWeeks),
    ),
  )
  const [from, to] = [WEEKS[i] as number, WEEKS[i + 1] as number]
  const t = Math.min(1, Math.max(0, (ageWeeks - from) / (to - from)))
  const [a, b] = [row.values[i] as number, row.values[i + 1] as number]
  const [sa, sb] = [(row.slopes[i] as number) * (to - from), (row.slopes[i + 1] as number) * (to - from)]
  return a + t * (sa + t * (3 * (b - a) - 2 * sa - sb + t * (2 * (a - b) + sa + sb)))
}

/**
 * Share of the adult weight at an age, without the table's steps between classes: monotone cubics over weeks, straight
 * over the logarithm of the adult weight. Generic bands from memory, unverified; never a forecast of a breed.
 *
 * @param ageWeeks 8 or more
 */
export function smoothShare(adultKg: number, ageWeeks: number, end: ShareEnd = 'middle'): number {
  if (!(adultKg > 0) || !Number.isFinite(adultKg)) throw new RangeError(`an adult weight is over 0 kg: ${adultKg}`)
  if (!(ageWeeks >= 0) || !Number.isFinite(ageWeeks)) throw new RangeError(`an age is 0 weeks or more: ${ageWeeks}`)
  const past = MIDDLES.findIndex((kg) => kg >= adultKg)
  if (past === 0) return classShare(MIDDLES[0], ageWeeks, end)
  if (past < 0) return classShare(MIDDLES[MIDDLES.length - 1] as number, ageWeeks, end)
  const [light, heavy] = [MIDDLES[past - 1] as number, MIDDLES[past] as number]
  const t = Math.log(adultKg / light) / Math.log(heavy / light)
  return classShare(light, ageWeeks, end) * (1 - t) + classShare(heavy, ageWeeks, end) * t
}

/** The adult whose share at this age weighs so much: the weight grows with the adult, so there is one. */
function adultOf(kg: number, ageWeeks: number, end: ShareEnd): number {
  let [low, high] = [kg, kg * 12]
  for (let turn = 0; turn < 60; turn++) {
    const middle = Math.sqrt(low * high)
    if (middle * smoothShare(middle, ageWeeks, end) < kg) low = middle
    else high = middle
  }
  return Math.sqrt(low * high)
}

/**
 * What a puppy may weigh grown, from its weight and age; the band holds about four in five.
 *
 * @returns `null` under 8 weeks: there the table says nothing
 * @throws RangeError for a weight or an age that is none
 */
export function adultFrom({ ageWeeks, kg }: { ageWeeks: number; kg: number }): { kg: number; lowKg: number; highKg: number } | null {
  if (!(kg > 0) || !Number.isFinite(kg)) throw new RangeError(`a weight is over 0 kg: ${kg}`)
  if (!(ageWeeks >= 0) || !Number.isFinite(ageWeeks)) throw new RangeError(`an age is 0 weeks or more: ${ageWeeks}`)
  if (ageWeeks < (WEEKS[0] as number)) return null
  return { kg: adultOf(kg, ageWeeks, 'middle'), lowKg: adultOf(kg, ageWeeks, 'high'), highKg: adultOf(kg, ageWeeks, 'low') }
}
