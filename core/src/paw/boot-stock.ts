import { countCdf, poissonCdf } from './boot-counts.ts'
import type { Footing } from '../model/index.ts'
import { logGamma } from './boot-counts.ts'

export interface PlannedOutings {
  count: number
  /** Each. */
  km: number
  footing: Footing
}

export interface BootRates {
  wornPerKm: number
  lostPerOuting: number
}

/**
 * Boots a season uses up on average, by size: outings, kilometres and paws.
 *
 * @param dogs the size on each paw of each dog that runs
 * @param rates of one boot, by footing; a footing without any uses none up
 * @throws RangeError for counts, distances or rates under 0
 */
export function bootDemand({
  outings,
  dogs,
  rates,
}: {
  outings: readonly PlannedOutings[]
  dogs: readonly { labels: Readonly<Record<string, string>> }[]
  rates: Readonly<Partial<Record<Footing, BootRates>>>
}): Record<string, number> {
  // prettier-ignore
  let each = 0
  for (const { count, km, footing } of outings) {
    const { wornPerKm, lostPerOuting } = rates[footing] ?? { wornPerKm: 0, lostPerOuting: 0 }
    for (const value of [count, km, wornPerKm, lostPerOuting])
      if (!(value >= 0) || !Number.isFinite(value)) throw new RangeError(`outings, kilometres and rates are 0 or more: ${value}`)
    each += count * (km * wornPerKm + lostPerOuting)
  }
  const means: Record<string, number> = {}
  for (const { labels } of dogs) for (const label of Object.values(labels)) means[label] = (means[label] ?? 0) + each
  return means
}

export interface StockQuestion {
  /** What a season uses up, by size. */
  means: Readonly<Record<string, number>>
  /** How much seasons differ, for all sizes alike; `null`: not. */
  shape: number | null
  /** The chance that any size runs out is at most this. */
  risk: number
  /** On the dogs; kept by rule (long races ask eight a dog); on the shelf; by size. */
  worn?: Readonly<Record<string, number>> | undefined
  keep?: Readonly<Record<string, number>> | undefined
  onHand?: Readonly<Record<string, number>> | undefined
  /** Boots come in packs of this. */
  pack?: number | undefined
}

export interface StockedSize {
  label: string
  mean: number
  spares: number
  order: number
}

/** Steps of the season's hardness over its logarithm: the chance is right to twelve digits. */
const STEP = 0.02

/** Hardnesses of a season and their weights: a gamma of mean 1. */
function seasons(shape: number | null): { hardness: number; weight: number }[] {
  if (shape === null) return [{ hardness: 1, weight: 1 }]
  // Eight and more deviations either way, never less than a factor of 50.
  const reach = Math.max(4, 9 / Math.sqrt(shape))
  const n = Math.ceil((2 * reach) / STEP)
  const all = Array.from({ length: n + 1 }, (_, i) => {
    const hardness = Math.exp(-reach + i * STEP)
    return { hardness, weight: STEP * Math.exp(shape * Math.log(shape) - logGamma(shape) + shape * Math.log(hardness) - shape * hardness) }
  }).filter(({ weight }) => weight > 1e-18)
  const whole = all.reduce((sum, { weight }) => sum + weight, 0)
  return all.map(({ hardness, weight }) => ({ hardness, weight: weight / whole }))
}

/**
 * Fewest spare boots of each size so that the chance of any size running out is at most `risk`. Sizes share the season:
 * a hard one is hard for all, so their chances are multiplied season by season and not one by one.
 *
 * @returns by size: mean, spares, what is ordered (worn, spares and what is kept, less what is there, in whole packs), and the chance that is left
 * @throws RangeError for a risk not between 0 and 1, or counts under 0
 */
export function bootStock({ means, shape, risk, worn = {}, keep = {}, onHand = {}, pack = 1 }: StockQuestion): { sizes: StockedSize[]; chanceShort: number } {
  if (!(risk > 0 && risk < 1)) throw new RangeError(`a risk lies between 0 and 1: ${risk}`)
  if (!Number.isInteger(pack) || pack < 1) throw new RangeError(`a pack holds one boot or more: ${pack}`)
  for (const counts of [worn, keep, onHand])
    for (const value of Object.values(counts)) if (!(value >= 0) || !Number.isFinite(value)) throw new RangeError(`boots are 0 or more: ${value}`)
  const labels = Object.keys(means).sort()
  const wanted = 1 - risk
  const spares = labels.map((label) => ownQuantile(means[label] ?? 0, shape, wanted))
  const years = seasons(shape)
  /** Poisson chance of a size, season by season. */
  const chances = labels.map((label, i) => years.map(({ hardness }) => poissonCdf(spares[i] ?? 0, (means[label] ?? 0) * hardness)))
  const joint = (over?: { at: number; chance: readonly number[] }): number =>
    years.reduce((sum, { weight }, y) => sum + weight * chances.reduce((product, own, i) => product * ((over?.at === i ? over.chance[y] : own[y]) ?? 1), 1), 0)
  let chance = joint()
  for (let turn = 0; chance < wanted && labels.length > 0 && turn < 20_000; turn++) {
    // One more where it helps most.
    const tried = labels.map((label, i) => {
      const more = years.map(({ hardness }) => poissonCdf((spares[i] ?? 0) + 1, (means[label] ?? 0) * hardness))
      return { at: i, chance: more, joint: joint({ at: i, chance: more }) }
    })
    const best = tried.reduce((most, each) => (each.joint > most.joint ? each : most))
    if (best.joint <= chance) break
    spares[best.at] = (spares[best.at] ?? 0) + 1
    chances[best.at] = best.chance
    chance = best.joint
  }
  const sizes = labels.map((label, i): StockedSize => {
    const need = (worn[label] ?? 0) + (spares[i] ?? 0) + (keep[label] ?? 0) - (onHand[label] ?? 0)
    return { label, mean: means[label] ?? 0, spares: spares[i] ?? 0, order: need > 0 ? Math.ceil(need / pack - 1e-9) * pack : 0 }
  })
  return { sizes, chanceShort: 1 - chance }
}

/** The fewest boots that last one size alone. */
function ownQuantile(mean: number, shape: number | null, wanted: number): number {
  if (!(mean >= 0) || !Number.isFinite(mean)) throw new RangeError(`a mean is 0 or more: ${mean}`)
  let [low, high] = [-1, 1]
  while (countCdf(high, mean, shape) < wanted) [low, high] = [high, high * 2]
  while (high - low > 1) {
    const middle = Math.floor((low + high) / 2)
    if (countCdf(middle, mean, shape) < wanted) low = middle
    else high = middle
  }
  return high
}
