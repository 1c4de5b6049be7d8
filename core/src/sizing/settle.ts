import { technicalErrorMm } from '../measures/index.ts'
import { type MeasureId, type ShopFields, type SizeTable } from '../model/index.ts'
import { betweenRule, type BetweenRule } from './between.ts'
import { chanceWithin } from './chance.ts'
import type { SizedBody } from './sized-body.ts'
import { measuresOfTable } from './table-shape.ts'

/** What a fresh reading of one measure would be expected to do for the choice. */
export interface TapeGain {
  measure: MeasureId
  /** Chance of the favoured answer after the reading, expected over what it may read. */
  after: number
  /** `after` less the chance of the best answer that heeds no reading, 0 to 1. */
  gain: number
  /** The two answers it decides between, the one favoured now first; `null` in it: none of these sizes. `null`: it never changes the favour. */
  between: [string | null, string | null] | null
}

export interface Settled {
  /** Chance of the favoured answer: that its size suits on every measure of the table, or that none does. */
  now: number
  /** `null`: none of these sizes. */
  favoured: string | null
  /** Best first. */
  gains: TapeGain[]
  /** `tape`: take the first of `gains`. `try-on`: no tape would help. `settled`, `none-fits`: sure enough. `nothing`: nothing is known. */
  says: 'tape' | 'try-on' | 'settled' | 'none-fits' | 'nothing'
}

/** What of a table settling needs. */
export type SettleTable = Pick<SizeTable, 'sizes' | 'family' | 'between'> & { rules?: SizeTable['rules'] }

export interface SettleOptions {
  /** Covariance of two measures not read, mm squared; without it each stands for itself. */
  covarianceMm?: (a: string, b: string) => number
  /** Error of one fresh reading, mm. */
  errorMm?: (measure: MeasureId, mm: number) => number
  /** Sides the shop takes. */
  views?: ShopFields['views']
  /** The dog still grows. */
  growing?: boolean
}

/** A tape worth taking raises the chance by this much; a choice this sure is settled on paper. Ours, unverified. */
const WORTH = 0.04
const SURE = 0.9
/** Nodes over what the reading may be: standard deviations from its expectation. */
const REACH = 5.5
const NODES = 111

/** One measure's bands by size, gaps between neighbours given to the size the rule names. */
function bridgeGaps(sizes: SizeTable['sizes'], measure: MeasureId, rule: BetweenRule['rule']): (readonly [number, number] | undefined)[] {
  const out = sizes.map((size): [number, number] | undefined => {
    const band = size.bands[measure]
    return band && [band[0], band[1]]
  })
  const inOrder = out.flatMap((band) => (band ? [band] : [])).sort((a, b) => a[0] + a[1] - (b[0] + b[1]))
  inOrder.slice(1).forEach((next, i) => {
    const before = inOrder[i]
    if (!before || next[0] <= before[1]) return
    const at = rule === 'down' ? next[0] : rule === 'up' ? before[1] : (before[1] + next[0]) / 2
    before[1] = at
    next[0] = at
  })
  return out
}

/** The likeliest of several answers. */
function best(chances: readonly number[]): { at: number; chance: number } {
  let at = 0
  chances.forEach((chance, i) => {
    if (chance > (chances[at] ?? 0)) at = i
  })
  return { at, chance: chances[at] ?? 0 }
}

interface Belief {
  measure: MeasureId
  mm: number
  sigmaMm: number
  guess: boolean
}

/**
 * What would settle the doubt between the sizes of one table.
 *
 * A gap between two sizes belongs to the one the between-sizes rule sends the dog to (the maker's, the shop's, the
 * family's), or is halved where the rule is room both ways: so a dog in a gap is not a dog that nothing fits.
 *
 * Value of an answer: the chance that its size suits on every measure, the measures taken as independent once their
 * spreads are known; or, for the answer that none of these suits, what is left. For each measure: the expected value of the best choice after one more reading y ~ N(mm, sigma^2 +
 * error^2), the beliefs updated as a Gaussian is (mean + K (y - mm), variance - K cov), less the best expected value of one
 * answer kept whatever is read. Integrated by the trapezoid rule. Never negative: a reading may be ignored.
 *
 * @param body readings, and guesses where there is a form, mm
 * Source: expected value of sample information, Raiffa & Schlaifer 1961, Applied Statistical Decision Theory (from memory)
 */
export function settle(table: SettleTable, body: SizedBody, options: SettleOptions = {}): Settled {
  const { covarianceMm = () => 0, errorMm = (measure: MeasureId, mm: number) => technicalErrorMm(measure, mm, 'tape'), views = {}, growing = false } = options
  const ids = measuresOfTable(table)
  const beliefs = ids.flatMap((measure): Belief[] => {
    const known = body[measure]
    return known?.mm == null || !Number.isFinite(known.mm)
      ? []
      : [{ measure, mm: known.mm, sigmaMm: Math.max(0, known.sigmaMm ?? 0), guess: known.guess === true }]
  })
  if (beliefs.length === 0) return { now: 0, favoured: null, gains: [], says: 'nothing' }
  const n = table.sizes.length
  const { rule } = betweenRule(table, views, growing)
  const bridged = beliefs.map((each) => bridgeGaps(table.sizes, each.measure, rule))
  const bands = table.sizes.map((_size, s) => bridged.map((measure) => measure[s]))
  /** Chance of every size, and last that none of them suits. */
  const answers = (mean: readonly number[], sigma: readonly number[]): number[] => {
    const out = bands.map((own) => {
      let chance = 1
      for (let i = 0; i < own.length && chance > 1e-12; i++) {
        const band = own[i]
        if (band) chance *= chanceWithin(mean[i] ?? 0, sigma[i] ?? 0, band[0], band[1])
      }
      return chance
    })
    return [...out, 1 - out.reduce((sum, each) => sum + each, 0)]
  }
  const now = best(
    answers(
      beliefs.map((each) => each.mm),
      beliefs.map((each) => each.sigmaMm),
    ),
  )
  const label = (s: number): string | null => (s === n ? null : (table.sizes[s]?.label ?? null))
  const gains = beliefs.map((read, m): TapeGain => {
    const error = errorMm(read.measure, read.mm)
    const own = read.sigmaMm ** 2
    const whole = own + error ** 2
    // What one reading tells of another measure: only guesses hang together, readings stand for themselves.
    const weights = beliefs.map((each, i) => (i === m ? own : each.guess && read.guess ? covarianceMm(each.measure, read.measure) : 0) / Math.max(whole, 1e-12))
    const sigma = beliefs.map((each, i) => Math.sqrt(Math.max(0, each.sigmaMm ** 2 - (weights[i] ?? 0) ** 2 * whole)))
    const seen = new Map<number, number>()
    const means = new Float64Array(n + 1)
    let [sum, mass] = [0, 0]
    for (let node = 0; node < NODES; node++) {
      const t = -REACH + (2 * REACH * node) / (NODES - 1)
      const density = Math.exp((-t * t) / 2)
      const chances = answers(
        beliefs.map((each, i) => each.mm + (weights[i] ?? 0) * t * Math.sqrt(whole)),
        sigma,
      )
      const found = best(chances)
      sum += density * found.chance
      mass += density
      chances.forEach((chance, s) => (means[s] = (means[s] ?? 0) + density * chance))
      seen.set(found.at, (seen.get(found.at) ?? 0) + density)
    }
    const without = best([...means].map((each) => each / mass))
    const after = sum / mass
    const rival = [...seen].filter(([at]) => at !== without.at).sort((a, b) => b[1] - a[1])[0]
    return { measure: read.measure, after, gain: Math.max(0, after - without.chance), between: rival ? [label(without.at), label(rival[0])] : null }
  })
  gains.sort((a, b) => b.gain - a.gain || (a.measure < b.measure ? -1 : 1))
  const says = now.chance >= SURE ? (now.at === n ? 'none-fits' : 'settled') : (gains[0]?.gain ?? 0) >= WORTH ? 'tape' : 'try-on'
  return { now: now.chance, favoured: label(now.at), gains, says }
}
