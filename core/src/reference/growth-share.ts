/**
 * Share of its adult weight a dog has by age, low and high, by what it will weigh. Generic bands put together from the
 * literature, 5 in 100 either way, from memory, unverified; never a forecast of a breed.
 */
const WEEKS = [8, 12, 16, 26, 39, 52, 78] as const
const BANDS: readonly { below: number; shares: readonly (readonly [number, number])[] }[] = [
  { below: 5, shares: [[25, 35], [40, 50], [55, 65], [80, 90], [95, 100], [100, 100], [100, 100]] },
  { below: 10, shares: [[22, 30], [35, 45], [50, 60], [75, 85], [93, 98], [98, 100], [100, 100]] },
  { below: 25, shares: [[17, 25], [30, 38], [42, 52], [66, 76], [86, 93], [95, 100], [100, 100]] },
  // 45 kg is still large, as it is of the hood's classes.
  { below: 45 + 1e-9, shares: [[14, 20], [25, 33], [37, 46], [60, 70], [80, 88], [90, 96], [99, 100]] },
  { below: Infinity, shares: [[10, 14], [18, 25], [28, 37], [50, 62], [72, 82], [82, 90], [96, 100]] },
] // prettier-ignore

/**
 * Share of the adult weight at an age, straight between the table's columns; before the first and after the last column
 * theirs.
 *
 * @param adultKg what the dog will weigh, kg, over 0; @param ageWeeks weeks, 0 or more
 * @returns low and high, 0 to 1
 * @throws RangeError for a weight or an age that is none
 */
export function growthShare(adultKg: number, ageWeeks: number): [low: number, high: number] {
  if (!(adultKg > 0) || !Number.isFinite(adultKg)) throw new RangeError(`an adult weight is over 0 kg: ${adultKg}`)
  if (!(ageWeeks >= 0) || !Number.isFinite(ageWeeks)) throw new RangeError(`an age is 0 weeks or more: ${ageWeeks}`)
  const shares = (BANDS.find(({ below }) => adultKg < below) as (typeof BANDS)[number]).shares
  const past = WEEKS.findIndex((week) => week >= ageWeeks)
  const at = (i: number): readonly [number, number] => shares[i] as readonly [number, number]
  if (past === 0) return [at(0)[0] / 100, at(0)[1] / 100]
  if (past < 0) return [at(WEEKS.length - 1)[0] / 100, at(WEEKS.length - 1)[1] / 100]
  const [from, to] = [WEEKS[past - 1] as number, WEEKS[past] as number]
  const t = (ageWeeks - from) / (to - from)
  const between = (end: 0 | 1): number => (at(past - 1)[end] + (at(past)[end] - at(past - 1)[end]) * t) / 100
  return [between(0), between(1)]
}
