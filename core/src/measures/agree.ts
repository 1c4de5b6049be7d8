import { mean, medianSorted, sumNthPowerDeviations } from 'simple-statistics'
import { USUAL_SHOP, type Reading, type ShopFields } from '../model/index.ts'
import { measures } from './catalogue.ts'
import { technicalErrorMm } from './technical-error.ts'

export type AgreeState = 'none' | 'once' | 'agrees' | 'third-wanted' | 'disagrees'

export interface Agreed {
  /** The value that counts, full length, mm (M00: kg); `null` without a reading. */
  mm: number | null
  n: number
  /** Largest difference between the readings that count, full length, mm. */
  spreadMm: number
  /** Readings that lie too far from two that agree, full length, mm: shown, and nothing is widened by them. */
  aside: readonly number[]
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

/** Paws are small: a centimetre would let a fifth of one pass. Ours, unverified. */
const PAW_MM = 3
const PAWS = /^M3[2-8]$/

/**
 * The difference two readings may show: the larger of 1 cm and 2 % unless the shop says otherwise; half that centimetre
 * for one side of a ring, 3 mm for paws (M32 to M38), 2 % alone for a weight.
 * Source: handbook 3.3 and 4.3, from memory, unverified; paws and one side are ours.
 *
 * @param mm the length as taken
 * @param side one side alone, or the whole
 */
export function toleranceMm(mm: number, rules: AgreeRules = USUAL_RULES, measure = '', side: Reading['side'] = 'both'): number {
  const share = rules.toleranceShare * mm
  if (measures[measure]?.quantity === 'mass') return share
  const floor = PAWS.test(measure) ? Math.min(PAW_MM, rules.toleranceMm) : side === 'one' ? rules.toleranceMm / 2 : rules.toleranceMm
  return Math.max(floor, share)
}

/** How many readings a measure wants before it is settled. */
export const readingsWanted = (rules: AgreeRules): number => (rules.repeat === 'three' ? 3 : 2)

/** Which of several readings counts for this measure in this shop. */
export function countingRule(measure: string, rules: AgreeRules = USUAL_RULES): 'middle' | 'mean' | 'largest' | 'shortest' {
  // Of paws the larger of the pair counts (3.1): readings of one paw are repeats.
  const rule = PAWS.test(measure) ? 'middle' : (measures[measure]?.rule ?? 'middle')
  if (rule === 'largest' && rules.largestCounts) return 'largest'
  if (rule === 'shortest' && rules.shorterOnDoubt) return 'shortest'
  return rules.repeat === 'three' ? 'mean' : 'middle'
}

/**
 * The readings that settle it: two within the tolerance of each other; of more, those within it of the middle one, once
 * they are the most. `null` where none do.
 */
function settling(sorted: readonly number[], within: number): readonly number[] | null {
  const centre = sorted.length < 3 ? (sorted[0] ?? 0) : medianSorted(sorted)
  const near = sorted.filter((each) => Math.abs(each - centre) <= within + 1e-9)
  return 2 * near.length > sorted.length ? near : null
}

/**
 * Brings readings of one measure to one value.
 *
 * Struck readings have no effect, nor has their order. One-side readings are compared as taken, then doubled with
 * twice the error; where one-side and full readings meet, all are compared at full length. A third reading is wanted
 * when two differ by more than the tolerance, or always where the shop takes three. Of three, two within the tolerance
 * settle it and a far one stands aside; where no two agree they disagree. The value follows the measure's rule and the
 * shop's: the median of all (4.3), or of those not aside the mean, the largest or the shortest.
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
  if (kept.length === 0) return { mm: null, n: 0, spreadMm: 0, aside: [], sigmaMm: null, state: 'none' }

  const oneSided = kept.every((reading) => reading.side === 'one')
  const scale = oneSided ? 2 : 1
  const asCompared = (reading: Taken): number => (reading.side === 'one' && !oneSided ? reading.mm * 2 : reading.mm)
  const compared = kept.map(asCompared).sort((a, b) => a - b)
  const n = compared.length
  const allowed = toleranceMm(medianSorted(compared), rules, measure, oneSided ? 'one' : 'both')
  const settled = settling(compared, allowed)
  const near = settled ?? compared
  const lowest = near[0] ?? 0
  const highest = near.at(-1) ?? 0
  const centre = mean(near)
  const rule = countingRule(measure, rules)
  const value = rule === 'largest' ? highest : rule === 'shortest' ? lowest : rule === 'mean' ? centre : medianSorted(compared)

  const prior2 = mean(
    kept
      .filter((reading) => near.includes(asCompared(reading)))
      .map((reading) => {
        const asTaken = technicalErrorMm(measure, reading.mm, reading.method, (reading.postureDoubt ?? '') !== '')
        return (reading.side === 'one' && !oneSided ? 2 * asTaken : asTaken) ** 2
      }),
  )
  const squares = sumNthPowerDeviations(near, 2)
  const single = Math.sqrt((PRIOR_WEIGHT * prior2 + squares) / (PRIOR_WEIGHT + near.length - 1))
  const sigma = rule === 'middle' || rule === 'mean' ? single / Math.sqrt(near.length) : single

  const range = highest - lowest
  const state: AgreeState = n === 1 ? 'once' : n < readingsWanted(rules) ? 'third-wanted' : settled ? 'agrees' : n === 2 ? 'third-wanted' : 'disagrees'
  const aside = compared.filter((each) => !near.includes(each)).map((each) => each * scale)
  return { mm: value * scale, n, spreadMm: range * scale, aside, sigmaMm: sigma * scale, state }
}

/** Whether this reading is one of those that stand aside. */
export const standsAside = (reading: Taken, agreed: Pick<Agreed, 'aside'> | undefined): boolean =>
  !reading.struck && (agreed?.aside ?? []).some((mm) => Math.abs(mm - reading.mm * (reading.side === 'one' ? 2 : 1)) < 1e-6)
