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

const GRADES: Readonly<Record<Grade, number>> = { holds: 3, doubt: 2, none: 1, fails: 0 }

/**
 * Stock, quick-ship, made to measure or second-hand, best first: by certainty, body, season, the day needed, growth and
 * price. Source: handbook 6.1 and 13 (D11), common practice; quick-ship and second-hand of harnesses from memory,
 * unverified.
 */
export function rankWays({ options, today, neededOn, growing, beginner, oddBody, budget, views, forCar, isCrate }: WayQuestion): RankedWay[] {
  const ranked = options.map((option): RankedWay & { points: number } => {
    const reasons: RankedWay['reasons'] = []
    let points = GRADES[option.grade] * 4
    let barred = option.grade === 'fails'
    const say = (code: WayReason, speaksFor: boolean, weight: number): void => {
      reasons.push({ code, for: speaksFor })
      points += speaksFor ? weight : -weight
    }
    if (option.grade === 'fails') say('none-near', false, 0)
    else if (option.way === 'stock' && option.onShelf !== 0) say('at-hand', true, 1)
    if (option.grade === 'holds') say('sure-enough', true, 0)
    if (option.way !== 'made' && option.misses >= 2) say('two-out', false, 6)
    if (option.onShelf === 0 && option.way !== 'made') say('none-on-shelf', false, 5)
    if (oddBody && option.way === 'made') say('odd-body', true, 4)
    if (oddBody && option.way !== 'made') say('odd-body', false, 1)
    if (option.way === 'made' && growing) say('growing', false, 8)
    if (option.way === 'made' && beginner) say('first-weeks', false, 3)
    if (option.way === 'stock' && beginner) say('first-weeks', true, 2)
    if (neededOn && option.orderBy) {
      if (option.orderBy < today) {
        say('too-late', false, 9)
        barred = true
      } else if (option.way !== 'stock') say('in-time', true, 1)
    }
    if (option.way === 'made' && option.peak) say('season', false, 1)
    if (option.way === 'quick-ship' && option.peak) say('season', true, 1)
    if (budget !== null && option.price !== null && option.price > budget) say('over-budget', false, 4)
    if (views.D11 === 'A' && option.way === 'stock') say('shop-view', true, 3)
    if (views.D11 === 'B' && option.way === 'made') say('shop-view', true, 6)
    if (option.way === 'second-hand') {
      if (forCar) {
        say('never-second-hand', false, 20)
        barred = true
      } else if (!isCrate) say('check-seams', false, 3)
    }
    return { ...option, verdict: barred ? 'not-now' : 'works', reasons, points }
  })
  ranked.sort((a, b) => Number(a.verdict === 'not-now') - Number(b.verdict === 'not-now') || b.points - a.points)
  return ranked.map(({ way, grade, misses, orderBy, peak, onShelf, price, verdict, reasons }, i) => ({
    way,
    grade,
    misses,
    orderBy,
    peak,
    onShelf,
    price,
    reasons,
    verdict: i === 0 && verdict === 'works' ? 'first' : verdict,
  }))
}
