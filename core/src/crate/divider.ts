import { smoothShare } from './adult-from.ts'

export interface DividerQuestion {
  /** The grown dog's nose to tail base, M42, and its spread, mm. */
  adult: { mm: number; sigmaMm: number }
  adultKg: number
  ageWeeks: number
  /** The same of the puppy today, where it was read. */
  now?: { mm: number; sigmaMm: number } | undefined
  /** The crate's length inside, and how far apart its wires are, mm. */
  insideMm: number
  pitchMm: number
}

export interface DividerRow {
  ageWeeks: number
  /** Where the divider stands behind the door: on a wire. */
  behindMm: number
  /** What the dog asks, four in five. */
  lowMm: number
  highMm: number
}

/** Room before and behind the dog together: between the 5 and 10 cm of the home rule (handbook 10.3, from memory, unverified). */
const ROOM = 75
const MONTH_WEEKS = 365.25 / 12 / 7
/** Four in five lie within this many standard deviations. */
const FOUR_IN_FIVE = 1.2816
/** The table says nothing before 8 weeks and nothing changes after 78. */
const [YOUNG, GROWN] = [8, 78]

/**
 * Where a crate's divider stands month by month: the puppy's length grows as the cube root of its weight (ours,
 * unverified) towards the grown dog's, and through today's reading where there is one. Once the dog is measured again its
 * own growth curve takes over.
 *
 * @returns first the present, then each month until it is grown or the crate is open whole; a divider never moves back
 * @throws RangeError for a length, weight or age that is none
 */
export function dividerByMonth({ adult, adultKg, ageWeeks, now, insideMm, pitchMm }: DividerQuestion): { rows: DividerRow[] } {
  for (const mm of [adult.mm, insideMm, pitchMm, ...(now ? [now.mm] : [])])
    if (!(mm > 0) || !Number.isFinite(mm)) throw new RangeError(`lengths are over 0 mm: ${mm}`)
  for (const mm of [adult.sigmaMm, now?.sigmaMm ?? 0]) if (!(mm >= 0) || !Number.isFinite(mm)) throw new RangeError(`a spread is 0 mm or more: ${mm}`)
  const lengthShare = (weeks: number): { log: number; sd: number } => {
    const at = Math.min(GROWN, Math.max(YOUNG, weeks))
    const [low, middle, high] = (['low', 'middle', 'high'] as const).map((end) => Math.log(smoothShare(adultKg, at, end)) / 3) as [number, number, number]
    return { log: middle, sd: (high - low) / (2 * FOUR_IN_FIVE) }
  }
  const start = lengthShare(ageWeeks)
  const grown = { log: Math.log(adult.mm), sd: adult.sigmaMm / adult.mm }
  const lengthAt = (weeks: number): { mm: number; sd: number } => {
    const share = lengthShare(weeks)
    const byAdult = { log: grown.log + share.log, variance: grown.sd ** 2 + share.sd ** 2 + 1e-6 }
    if (!now) return { mm: Math.exp(byAdult.log), sd: Math.sqrt(byAdult.variance) }
    // What the share may be wrong by today it is still wrong by a week later: only the difference counts.
    const byNow = { log: Math.log(now.mm) + share.log - start.log, variance: (now.sigmaMm / now.mm) ** 2 + (share.sd - start.sd) ** 2 + 1e-6 }
    const [a, b] = [1 / byAdult.variance, 1 / byNow.variance]
    return { mm: Math.exp((a * byAdult.log + b * byNow.log) / (a + b)), sd: Math.sqrt(1 / (a + b)) }
  }
  const rows: DividerRow[] = []
  let behindMm = 0
  for (let month = 0; month <= 24; month++) {
    const weeks = ageWeeks + month * MONTH_WEEKS
    const { mm, sd } = lengthAt(weeks)
    const wire = Math.ceil((mm + ROOM) / pitchMm - 1e-9) * pitchMm
    behindMm = Math.min(insideMm, Math.max(behindMm, wire))
    rows.push({ ageWeeks: weeks, behindMm, lowMm: mm * Math.exp(-FOUR_IN_FIVE * sd) + ROOM, highMm: mm * Math.exp(FOUR_IN_FIVE * sd) + ROOM })
    if (weeks >= GROWN || behindMm >= insideMm) break
  }
  return { rows }
}
