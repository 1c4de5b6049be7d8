import { growthShare } from '../reference/index.ts'
import { askNumbers } from '../units/index.ts'

export interface RugWeek {
  ageWeeks: number
  /** Shoulder to shoulder, and how far the fronts cross, least and most. */
  spanMm: [low: number, high: number]
  overlapMm: [low: number, high: number]
  /** The hole the button is in, 1 the innermost; `null` once the fronts surely meet no more. */
  hole: number | null
}

export interface RugGrowth {
  weeks: RugWeek[]
  /** When the fronts just meet; `null`: on no track. The latest is `null` where one track does not get there. */
  outgrownWeeks: [earliest: number, latest: number | null] | null
}

interface Young {
  spanMm: number
  ageWeeks: number
  adultKg: number
  /** Known weight now: then the share it has now is known, not read from the bands. */
  weightKg?: number | null
}

/** Nothing grows after this in the bands. */
const LAST_WEEK = 78

/** How much longer the span is at an age than now, on both of the bands' tracks: as the cube root of the weight, never less. */
function grownBy({ ageWeeks, adultKg, weightKg }: Young, atWeeks: number): [number, number] {
  const now = growthShare(adultKg, ageWeeks)
  const then = growthShare(adultKg, atWeeks)
  const known = weightKg && weightKg > 0 ? weightKg / adultKg : null
  return [0, 1].map((track) => Math.max(1, Math.cbrt((then[track] as number) / (known ?? (now[track] as number))))) as [number, number]
}

/**
 * How a growing dog's rug comes to meet (handbook 9.1): generic growth bands, a range for buttonholes, not a forecast of a
 * breed.
 *
 * @param rug shoulder to shoulder now and one front piece, mm; buttonholes, two or more; ages in weeks, weights in kg
 * @throws RangeError for numbers that are none
 */
export function rugGrowth(rug: Young & { eachMm: number; holes: number; atWeeks: readonly number[] }): RugGrowth {
  const { spanMm, eachMm, holes, ageWeeks, atWeeks } = rug
  askNumbers({ spanMm, eachMm, holes })
  if (!(spanMm > 0) || !(eachMm > 0)) throw new RangeError('span and front are over 0 mm')
  const overlapNow = Math.max(0, 2 * eachMm - spanMm)
  const spacing = holes > 1 ? overlapNow / (holes - 1) : 0
  const weeks = atWeeks.map((week): RugWeek => {
    const by = grownBy(rug, Math.max(week, ageWeeks))
    const [low, high] = [spanMm * Math.min(...by), spanMm * Math.max(...by)]
    const middle = 2 * eachMm - (low + high) / 2
    const hole = 2 * eachMm - low < 0 ? null : spacing > 0 ? Math.min(holes, Math.max(1, 1 + Math.round((overlapNow - middle) / spacing))) : 1
    return { ageWeeks: week, spanMm: [low, high], overlapMm: [2 * eachMm - high, 2 * eachMm - low], hole }
  })
  const reaches = [0, 1]
    .flatMap((track) => reached((week) => spanMm * (grownBy(rug, week)[track] as number) - 2 * eachMm, ageWeeks) ?? [])
    .sort((a, b) => a - b)
  const [earliest, latest] = reaches
  return { weeks, outgrownWeeks: earliest === undefined ? null : [earliest, latest ?? null] }
}

/** The first week from which on `over` is 0 or more; `null` where it never is. */
function reached(over: (week: number) => number, from: number): number | null {
  if (over(from) >= 0) return from
  let [low, high] = [from, Math.max(from, LAST_WEEK)]
  if (over(high) < -1e-9) return null
  for (let turn = 0; turn < 60; turn++) {
    const middle = (low + high) / 2
    if (over(middle) >= -1e-9) high = middle
    else low = middle
  }
  return high
}

/**
 * One front piece, so that the fronts still meet at an age, on the faster of both tracks.
 *
 * @returns mm
 */
export function frontsToLast(rug: Young & { untilWeeks: number }): number {
  askNumbers({ spanMm: rug.spanMm, untilWeeks: rug.untilWeeks })
  return (rug.spanMm * Math.max(...grownBy(rug, Math.max(rug.untilWeeks, rug.ageWeeks)))) / 2
}
