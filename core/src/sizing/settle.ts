import { technicalErrorMm } from '../measures/index.ts'
import type { SizeTable } from '../model/index.ts'
import { chanceWithin } from './chance.ts'
import type { SizedBody } from './sized-body.ts'

/** What a fresh reading of one measure would be expected to do for the choice. */
export interface TapeGain {
  measure: string
  /** Chance of the favoured size after the reading, expected over what it may read. */
  after: number
  /** `after` less the chance now, 0 to 1. */
  gain: number
  /** The two sizes it decides between, the one favoured now first; `null` when it never changes the favour. */
  between: [string, string] | null
}

export interface Settled {
  /** Chance that the favoured size suits on every measure of the table. */
  now: number
  favoured: string | null
  /** Best first. */
  gains: TapeGain[]
  /** `tape`: take the first of `gains`. `try-on`: no tape would help. `settled`: sure enough. `nothing`: nothing is known. */
  says: 'tape' | 'try-on' | 'settled' | 'nothing'
}

export interface SettleOptions {
  /** Covariance of two measures not read, mm squared; without it each stands for itself. */
  covarianceMm?: (a: string, b: string) => number
  /** Error of one fresh reading, mm. */
  errorMm?: (measure: string, mm: number) => number
}

/** A tape worth taking raises the chance by this much; a choice this sure is settled on paper. Ours, unverified. */
const WORTH = 0.04
const SURE = 0.9
/** Nodes over what the reading may be: standard deviations from its expectation. */
const REACH = 5.5
const NODES = 111

interface Belief {
  measure: string
  mm: number
  sigmaMm: number
  guess: boolean
}

/**
 * What would settle the doubt between the sizes of one table.
 *
 * Value of a choice: the chance that its size suits on every measure, the measures taken as independent once their
 * spreads are known. For each measure: the expected value of the best choice after one more reading y ~ N(mm, sigma^2 +
 * error^2), the beliefs updated as a Gaussian is (mean + K (y - mm), variance - K cov), less the value of the best choice
 * now. Integrated by the trapezoid rule. Never negative: a reading may be ignored.
 *
 * @param body readings, and guesses where there is a form, mm
 * Source: expected value of sample information, Raiffa & Schlaifer 1961, Applied Statistical Decision Theory (from memory)
 */
export function settle(table: Pick<SizeTable, 'sizes'>, body: SizedBody, options: SettleOptions = {}): Settled {
  const { covarianceMm = () => 0, errorMm = (measure, mm) => technicalErrorMm(measure, mm, 'tape') } = options
  const ids = [...new Set(table.sizes.flatMap((size) => Object.keys(size.bands)))].sort()
  const beliefs = ids.flatMap((measure): Belief[] => {
    const known = body[measure]
    return known?.mm == null || !Number.isFinite(known.mm)
      ? []
      : [{ measure, mm: known.mm, sigmaMm: Math.max(0, known.sigmaMm ?? 0), guess: known.guess === true }]
  })
  if (beliefs.length === 0) return { now: 0, favoured: null, gains: [], says: 'nothing' }
  const value = (mean: readonly number[], sigma: readonly number[]): { best: number; at: number } => {
    let [best, at] = [-1, 0]
    table.sizes.forEach((size, s) => {
      let chance = 1
      for (let i = 0; i < beliefs.length && chance > best; i++) {
        const band = size.bands[beliefs[i]?.measure ?? '']
        if (band) chance *= chanceWithin(mean[i] ?? 0, sigma[i] ?? 0, band[0], band[1])
      }
      if (chance > best) [best, at] = [chance, s]
    })
    return { best, at }
  }
  const now = value(
    beliefs.map((each) => each.mm),
    beliefs.map((each) => each.sigmaMm),
  )
  const label = (s: number): string => table.sizes[s]?.label ?? ''
  const gains = beliefs.map((read, m): TapeGain => {
    const error = errorMm(read.measure, read.mm)
    const own = read.sigmaMm ** 2
    const whole = own + error ** 2
    // What one reading tells of another measure: only guesses hang together, readings stand for themselves.
    const weights = beliefs.map((each, i) => (i === m ? own : each.guess && read.guess ? covarianceMm(each.measure, read.measure) : 0) / Math.max(whole, 1e-12))
    const sigma = beliefs.map((each, i) => Math.sqrt(Math.max(0, each.sigmaMm ** 2 - (weights[i] ?? 0) ** 2 * whole)))
    const seen = new Map<number, number>()
    let [sum, mass] = [0, 0]
    for (let n = 0; n < NODES; n++) {
      const t = -REACH + (2 * REACH * n) / (NODES - 1)
      const density = Math.exp((-t * t) / 2)
      const { best, at } = value(
        beliefs.map((each, i) => each.mm + (weights[i] ?? 0) * t * Math.sqrt(whole)),
        sigma,
      )
      sum += density * best
      mass += density
      seen.set(at, (seen.get(at) ?? 0) + density)
    }
    const after = Math.max(now.best, sum / mass)
    const rival = [...seen].filter(([at]) => at !== now.at).sort((a, b) => b[1] - a[1])[0]
    return { measure: read.measure, after, gain: after - now.best, between: rival ? [label(now.at), label(rival[0])] : null }
  })
  gains.sort((a, b) => b.gain - a.gain || (a.measure < b.measure ? -1 : 1))
  const says = now.best >= SURE ? 'settled' : (gains[0]?.gain ?? 0) >= WORTH ? 'tape' : 'try-on'
  return { now: now.best, favoured: label(now.at), gains, says }
}
