import type { MeasureId } from '../model/index.ts'
import type { Finding, LikelyCause, PlausibleRule } from './finding.ts'
import { technicalErrorMm } from './technical-error.ts'

type Value = (id: MeasureId) => number | undefined

interface Order {
  rule: PlausibleRule
  shorter: MeasureId
  longer: MeasureId
  /** Equal is allowed, so a difference within the readings’ own error is too; without it equal is asked about. */
  orEqual?: true
  ask: LikelyCause[]
}

/**
 * Pairs of which the first is never longer than the second. Source: handbook 3.3; the girths common practice, the rest
 * from memory, unverified.
 */
const orders: readonly Order[] = [
  { rule: 'girth-order', shorter: 'M08', longer: 'M07', orEqual: true, ask: ['places-swapped', 'girth-too-far-forward', 'dog-is-so'] },
  { rule: 'collar-order', shorter: 'M02', longer: 'M01', ask: ['not-doubled', 'other-definition', 'wrong-place'] },
  { rule: 'collar-order', shorter: 'M02', longer: 'M03', orEqual: true, ask: ['wrong-place', 'other-definition', 'dog-is-so'] },
  { rule: 'back-order', shorter: 'M14', longer: 'M16', ask: ['start-point', 'places-swapped', 'on-the-tail'] },
  { rule: 'back-order', shorter: 'M16', longer: 'M15', orEqual: true, ask: ['start-point', 'places-swapped', 'dog-is-so'] },
  { rule: 'back-order', shorter: 'M14', longer: 'M15', ask: ['start-point', 'places-swapped', 'on-the-tail'] },
  { rule: 'chest-front', shorter: 'M20', longer: 'M19', ask: ['wrapped-tape', 'places-swapped'] },
  { rule: 'waist-order', shorter: 'M22', longer: 'M21', orEqual: true, ask: ['wrong-place', 'places-swapped'] },
  { rule: 'waist-order', shorter: 'M21', longer: 'M07', orEqual: true, ask: ['wrong-place', 'girth-too-far-forward', 'dog-is-so'] },
  { rule: 'waist-order', shorter: 'M22', longer: 'M07', orEqual: true, ask: ['wrong-place', 'girth-too-far-forward', 'dog-is-so'] },
  { rule: 'waist-order', shorter: 'M29', longer: 'M07', orEqual: true, ask: ['girth-too-far-forward', 'wrong-place', 'dog-is-so'] },
  { rule: 'leg-order', shorter: 'M26', longer: 'M25', ask: ['to-the-floor', 'places-swapped'] },
  { rule: 'ears-order', shorter: 'M39', longer: 'M40', orEqual: true, ask: ['head-lowered', 'places-swapped'] },
  { rule: 'paw-order', shorter: 'M34', longer: 'M32', orEqual: true, ask: ['front-and-rear-swapped', 'paw-lifted', 'dog-is-so'] },
]

/** What readings may differ by and still be the same length: their technical errors together. */
export const ownError = (...of: readonly (readonly [measure: string, mm: number])[]): number =>
  Math.hypot(...of.map(([measure, mm]) => technicalErrorMm(measure, mm)))

/** Up to so many times their own error a pair in the wrong order is a word, past it a doubt: one clean pair in a hundred. */
export const DOUBT_FROM = 2.5

/** A back that ends at a wished hem (M15) is only held against the others where all end at the tail base (3.3). */
const HEM = 'M15'

/**
 * Pairs in the wrong order: those that may be equal once they lie further apart than the readings’ own error.
 *
 * @param endsAsChosen measures whose readings say that they end at a chosen hem or edge: their length is no mistake
 */
export function brokenOrders(value: Value, endsAsChosen: ReadonlySet<string> = new Set()): Finding[] {
  return orders.flatMap(({ rule, shorter, longer, orEqual, ask }): Finding[] => {
    if (endsAsChosen.has(shorter) || endsAsChosen.has(longer)) return []
    const [a, b] = [value(shorter), value(longer)]
    if (a === undefined || b === undefined) return []
    if (orEqual ? a - b <= ownError([shorter, a], [longer, b]) : a < b) return []
    const found: Finding = { rule, measures: [shorter, longer], byMm: a - b, because: { code: rule, limit: b, found: a }, ask }
    // A hem ahead of the tail is as likely as a slip: a word, no doubt.
    if (longer === HEM) return [{ ...found, ask: ['hem-chosen', ...ask], soft: true }]
    return [orEqual && a - b <= DOUBT_FROM * ownError([shorter, a], [longer, b]) ? { ...found, soft: true } : found]
  })
}

/** Two ways of taking the rug's width may differ by this much. Source: from memory, unverified. */
const DROP_TOLERANCE_MM = 20

/** Half drop against the elbows and the girth (handbook 3.3, from memory, unverified). */
export function rugDrops(value: Value, endsAsChosen: ReadonlySet<string> = new Set()): Finding[] {
  const [half, elbows, girth] = [value('M18'), value('M17'), value('M07')]
  const found: Finding[] = []
  if (half !== undefined && elbows !== undefined && !endsAsChosen.has('M18') && !endsAsChosen.has('M17')) {
    const by = Math.abs(half - elbows)
    if (by > DROP_TOLERANCE_MM) {
      found.push({
        rule: 'drop-twice',
        measures: ['M18', 'M17'],
        byMm: by - DROP_TOLERANCE_MM,
        because: { code: 'drop-twice', limit: elbows, found: half },
        ask:
          half > 1.7 * elbows
            ? ['doubled-twice', 'not-centred']
            : half < 0.6 * elbows
              ? ['not-doubled', 'not-centred']
              : half > elbows
                ? ['hem-chosen', 'not-centred', 'wrong-place']
                : ['not-centred', 'wrong-place', 'dog-is-so'],
        // An edge chosen below the elbow is no slip.
        ...((half > elbows && half <= 1.7 * elbows) || by <= DOUBT_FROM * ownError(['M18', half], ['M17', elbows]) ? { soft: true as const } : {}),
      })
    }
  }
  if (half !== undefined && girth !== undefined && half >= girth) {
    found.push({
      rule: 'drop-in-girth',
      measures: ['M18', 'M07'],
      byMm: half - girth,
      because: { code: 'drop-in-girth', limit: girth, found: half },
      ask: ['doubled-twice', 'not-centred', 'girth-too-far-forward'],
    })
  }
  return found
}

/** A garment stays this far ahead of the sheath. Source: handbook V38, common practice: 2 to 4 in, of a grown dog. */
const SHEATH_CLEARANCE_MM = 50.8
/** On a small dog less: a share of its sternum length. Ours, unverified. */
const CLEARANCE_SHARE = 0.15
/** From the foreleg openings to the sternum end, as a share of the sternum length. From the middle dogs of our form, unverified. */
const OPENINGS_SHARE = 0.6

/**
 * A male's underside ends clear of the sheath, compared from one start: M24 less its way from the foreleg openings to
 * the sternum end, plus the clearance, up to M30 (handbook 3.3, common practice). Without the sternum nothing is asked.
 */
export function sheathClear(value: Value, sex: 'male' | 'female' | null): Finding[] {
  const [belly, room, sternum] = [value('M24'), value('M30'), value('M06')]
  if (sex !== 'male' || belly === undefined || room === undefined || sternum === undefined) return []
  const [way, clearance] = [OPENINGS_SHARE * sternum, Math.min(SHEATH_CLEARANCE_MM, CLEARANCE_SHARE * sternum)]
  const limit = room + way - clearance
  const over = belly - limit
  if (over <= DOUBT_FROM * ownError(['M24', belly], ['M30', room])) return []
  return [{ rule: 'sheath', measures: ['M24', 'M30'], byMm: over, because: { code: 'sheath', limit, found: belly }, ask: ['sheath-close', 'start-point'] }]
}
