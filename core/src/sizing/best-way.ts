import type { Grade, ShopFields, TableWay } from '../model/index.ts'

export type WayReason =
  | 'at-hand'
  | 'none-near'
  | 'sure-enough'
  | 'two-out'
  | 'odd-body'
  | 'growing'
  | 'first-weeks'
  | 'too-late'
  | 'in-time'
  | 'season'
  | 'none-on-shelf'
  | 'over-budget'
  | 'shop-view'
  | 'never-second-hand'
  | 'check-seams'

export interface WayOption {
  way: TableWay | 'second-hand'
  /** Best grade any size of this way reaches; `none` without a table. */
  grade: Grade
  /** How many measures of its best size miss. */
  misses: number
  /** Last day to order for the day needed; `null` where nothing is needed by a day. */
  orderBy: string | null
  /** The lead that holds now lies in the maker's season. */
  peak: boolean
  /** Pieces of the best size on the supplier's shelf; `null` when unknown. */
  onShelf: number | null
  /** Lowest price asked; `null` when unknown. */
  price: number | null
}

export interface WayQuestion {
  options: readonly WayOption[]
  today: string
  neededOn: string | null
  growing: boolean
  /** The dog does not pull yet: true fit shows only under load. */
  beginner: boolean
  /** Deep, short-backed or giant: stock ranges end before it, or turn on it. */
  oddBody: boolean
  budget: number | null
  views: ShopFields['views']
  /** Gear for the car is never taken second-hand (handbook 6.1). */
  forCar: boolean
  isCrate: boolean
}

export interface RankedWay extends WayOption {
  verdict: 'first' | 'works' | 'not-now'
  reasons: { code: WayReason; for: boolean }[]
}

/** What a grade counts. A step of it is the measure of every weight below. */
const STEP = 4
const GRADES: Readonly<Record<Grade, number>> = { holds: 3 * STEP, doubt: 2 * STEP, none: STEP, fails: 0 }

/** One thing that speaks for a way or against it. */
interface Consideration {
  code: WayReason
  speaks: 'for' | 'against'
  /** Against a step of the grade, which is 4; 0: said, and counted by the grade already. */
  weight: number
  /** What it speaks of cannot be had, or must not be. */
  bars?: true
  holds: (option: WayOption, asked: WayQuestion) => boolean
}

const late = ({ orderBy }: WayOption, { neededOn, today }: WayQuestion): boolean => neededOn !== null && orderBy !== null && orderBy < today

/**
 * All of them, in the order they are said. The weights only put ways in order; that each way wins where the trade takes
 * it is tested, the numbers themselves are ours (common practice gives none).
 * Source: handbook 6.1 and 13 (D11), common practice; quick-ship and second-hand of harnesses from memory, unverified.
 */
const CONSIDERATIONS: readonly Consideration[] = [
  { code: 'none-near', speaks: 'against', weight: 0, bars: true, holds: ({ grade }) => grade === 'fails' },
  { code: 'at-hand', speaks: 'for', weight: 1, holds: ({ grade, way, onShelf }) => grade !== 'fails' && way === 'stock' && onShelf !== 0 },
  { code: 'sure-enough', speaks: 'for', weight: 0, holds: ({ grade }) => grade === 'holds' },
  // Two measures out is the trade's line to cutting one: more than a step.
  { code: 'two-out', speaks: 'against', weight: 6, holds: ({ way, misses }) => way !== 'made' && misses >= 2 },
  { code: 'none-on-shelf', speaks: 'against', weight: 5, holds: ({ way, onShelf }) => way !== 'made' && onShelf === 0 },
  { code: 'odd-body', speaks: 'for', weight: 4, holds: ({ way }, { oddBody }) => oddBody && way === 'made' },
  { code: 'odd-body', speaks: 'against', weight: 1, holds: ({ way }, { oddBody }) => oddBody && way !== 'made' },
  // It fits when it comes, and the dog has outgrown it: two steps.
  { code: 'growing', speaks: 'against', weight: 8, holds: ({ way }, { growing }) => growing && way === 'made' },
  { code: 'first-weeks', speaks: 'against', weight: 3, holds: ({ way }, { beginner }) => beginner && way === 'made' },
  { code: 'first-weeks', speaks: 'for', weight: 2, holds: ({ way }, { beginner }) => beginner && way === 'stock' },
  { code: 'too-late', speaks: 'against', weight: 9, bars: true, holds: late },
  {
    code: 'in-time',
    speaks: 'for',
    weight: 1,
    holds: (option, asked) => option.way !== 'stock' && asked.neededOn !== null && option.orderBy !== null && !late(option, asked),
  },
  { code: 'season', speaks: 'against', weight: 1, holds: ({ way, peak }) => peak && way === 'made' },
  { code: 'season', speaks: 'for', weight: 1, holds: ({ way, peak }) => peak && way === 'quick-ship' },
  { code: 'over-budget', speaks: 'against', weight: 4, holds: ({ price }, { budget }) => budget !== null && price !== null && price > budget },
  { code: 'shop-view', speaks: 'for', weight: 3, holds: ({ way }, { views }) => views.D11 === 'A' && way === 'stock' },
  // Side B of D11 cuts for every dog: it outweighs what speaks for stock at hand.
  { code: 'shop-view', speaks: 'for', weight: 6, holds: ({ way }, { views }) => views.D11 === 'B' && way === 'made' },
  { code: 'never-second-hand', speaks: 'against', weight: 20, bars: true, holds: ({ way }, { forCar }) => way === 'second-hand' && forCar },
  { code: 'check-seams', speaks: 'against', weight: 3, holds: ({ way }, { forCar, isCrate }) => way === 'second-hand' && !forCar && !isCrate },
]

/** Stock, quick-ship, made to measure or second-hand, best first: by certainty, body, season, the day needed, growth and price. Source: at the table above. */
export function rankWays(asked: WayQuestion): RankedWay[] {
  const weighed = asked.options.map((option) => {
    const said = CONSIDERATIONS.filter(({ holds }) => holds(option, asked))
    const points = said.reduce((sum, { speaks, weight }) => sum + (speaks === 'for' ? weight : -weight), GRADES[option.grade])
    return { option, said, points, barred: said.some(({ bars }) => bars) }
  })
  weighed.sort((a, b) => Number(a.barred) - Number(b.barred) || b.points - a.points)
  return weighed.map(({ option, said, barred }, i) => ({
    ...option,
    verdict: barred ? 'not-now' : i === 0 ? 'first' : 'works',
    reasons: said.map(({ code, speaks }) => ({ code, for: speaks === 'for' })),
  }))
}
