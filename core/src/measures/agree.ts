import { USUAL_SHOP, type Reading, type ShopFields } from '../model/index.ts'
import { measures } from './catalogue.ts'
import { technicalErrorMm } from './technical-error.ts'

export type AgreeState = 'none' | 'once' | 'agrees' | 'third-wanted' | 'disagrees'

export interface Agreed {
  /** The value that counts, full length, mm (M00: kg); `null` without a reading. */
  mm: number | null
  n: number
  /** Largest difference between readings, full length, mm. */
  spreadMm: number
  /** Standard deviation of the value, mm; `null` without a reading. */
  sigmaMm: number | null
  state: AgreeState
}

/** The repeat rule and tolerance a shop chooses (handbook 4.3). */
export type AgreeRules = Pick<ShopFields, 'repeat' | 'largestCounts' | 'shorterOnDoubt' | 'toleranceMm' | 'toleranceShare'>

export const USUAL_RULES: AgreeRules = USUAL_SHOP

type Taken = Pick<Reading, 'mm' | 'side' | 'struck'> & Partial<Pick<Reading, 'method' | 'postureDoubt'>>

/** How many readings' worth of trust the prior technical error has against the readings' own scatter. */
const PRIOR_WEIGHT = 4

/**
 * The difference two readings may show: the larger of 1 cm and 2 % unless the shop says otherwise; 2 % alone for a
 * weight. Source: handbook 3.3 and 4.3, from memory, unverified.
 *
 * @param mm the length as taken
 */
export const toleranceMm = (mm: number, rules: AgreeRules = USUAL_RULES, measure = ''): number =>
  measures[measure]?.quantity === 'mass' ? rules.toleranceShare * mm : Math.max(rules.toleranceMm, rules.toleranceShare * mm)

const mean = (values: readonly number[]): number => values.reduce((sum, value) => sum + value, 0) / values.length

function middle(sorted: readonly number[]): number {
  const half = sorted.length >> 1
  const upper = sorted[half] ?? 0
  return sorted.length % 2 === 1 ? upper : ((sorted[half - 1] ?? 0) + upper) / 2
}

/** How many readings a measure wants before it is settled. */
export const readingsWanted = (rules: AgreeRules): number => (rules.repeat === 'three' ? 3 : 2)

/** Which of several readings counts for this measure in this shop. */
export function countingRule(measure: string, rules: AgreeRules = USUAL_RULES): 'middle' | 'mean' | 'largest' | 'shortest' {
  const rule = measures[measure]?.rule ?? 'middle'
  if (rule === 'largest' && rules.largestCounts) return 'largest'
  if (rule === 'shortest' && rules.shorterOnDoubt) return 'shortest'
  return rules.repeat === 'three' ? 'mean' : 'middle'
}

/**
 * Brings readings of one measure to one value.
 *
 * Struck readings have no effect, nor has their order. One-side readings are compared as taken, then doubled with
 * twice the error; where one-side and full readings meet, all are compared at full length. The value follows the
 * measure's rule and the shop's: the median of two or three, the mean of three, the largest or the shortest. A third
 * reading is wanted when two differ by more than the tolerance, or always where the shop takes three; three or more
 * whose range is still wider disagree.
 *
 * Error of one reading: s^2 = (k p^2 + sum (x - mean)^2) / (k + n - 1), with p the prior technical error of measure and
 * method and k = 4 its weight. Error of the value: s / sqrt(n), the standard error, for median and mean; s itself where
 * a single reading decides (largest, shortest). Doubling a one-side reading doubles its error.
 * Source: standard error and technical error as in Ulijaszek & Kerr 1999 (from memory); weighting is ours.
 *
 * @param measure handbook ID, M00 to M49
 * @param readings any readings of that measure, struck ones too
 */
export function agree(measure: string, readings: readonly Taken[], rules: AgreeRules = USUAL_RULES): Agreed {
  const kept = readings.filter((reading) => !reading.struck && Number.isFinite(reading.mm))
  if (kept.length === 0) return { mm: null, n: 0, spreadMm: 0, sigmaMm: null, state: 'none' }

  const oneSided = kept.every((reading) => reading.side === 'one')
  const scale = oneSided ? 2 : 1
  const compared = kept.map((reading) => (reading.side === 'one' && !oneSided ? reading.mm * 2 : reading.mm)).sort((a, b) => a - b)
  const n = compared.length
  const lowest = compared[0] ?? 0
  const highest = compared[n - 1] ?? 0
  const centre = mean(compared)
  const rule = countingRule(measure, rules)
  const value = rule === 'largest' ? highest : rule === 'shortest' ? lowest : rule === 'mean' ? centre : middle(compared)

  const prior2 = mean(
    kept.map((reading) => {
      const asTaken = technicalErrorMm(measure, reading.mm, reading.method, (reading.postureDoubt ?? '') !== '')
      return (reading.side === 'one' && !oneSided ? 2 * asTaken : asTaken) ** 2
    }),
  )
  const squares = compared.reduce((sum, each) => sum + (each - centre) ** 2, 0)
  const single = Math.sqrt((PRIOR_WEIGHT * prior2 + squares) / (PRIOR_WEIGHT + n - 1))
  const sigma = rule === 'middle' || rule === 'mean' ? single / Math.sqrt(n) : single

  const range = highest - lowest
  const within = range <= toleranceMm(centre, rules, measure) + 1e-9
  const state: AgreeState = n === 1 ? 'once' : n < readingsWanted(rules) ? 'third-wanted' : within ? 'agrees' : n === 2 ? 'third-wanted' : 'disagrees'
  return { mm: value * scale, n, spreadMm: range * scale, sigmaMm: sigma * scale, state }
}
