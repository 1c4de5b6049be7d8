import type { Reading, MeasureId } from '../model/index.ts'
import { USUAL_RULES, type AgreeRules } from './agree.ts'
import { isMeasureId, measures } from './catalogue.ts'
import { firstNumber } from './digits-changed-over.ts'
import type { Body, Finding, LikelyCause } from './finding.ts'
import { brokenOrders, DOUBT_FROM, ownError, rugDrops, sheathClear } from './orders.ts'
import { askedOf, oddNumbers, oddWeights, outOfBounds, readingSlips, sidesDiffer, unitOfAll, type SlipSubject } from './slips.ts'

/** Half neck to girth. Source: handbook 3.3, from memory, unverified. */
const HALF_NECK_SHARE = { low: 0.35, high: 0.48 }
/** M11 to M10. Source: handbook 3.2, from memory, unverified. */
const SCHOOL_SHARE = { low: 0.55, high: 0.85 }
/** Two parts of one line against the whole. Source: handbook 3.3, tolerance from memory, unverified. */
const LINE_TOLERANCE_MM = 10
/** Same number twice: nearer than any tape reads. */
const SAME_MM = 0.5

const inShare = (share: number): boolean => share > HALF_NECK_SHARE.low && share < HALF_NECK_SHARE.high

/** The other unit, where it would bring the neck to its usual share of the girth. */
function otherUnit(neck: number, girth: number, readings: readonly Reading[]): Pick<Finding, 'woulds'> & { causes: LikelyCause[] } {
  const last = readings.findLast((reading) => reading.measure === 'M01' && !reading.struck)
  if (!last) return { causes: [] }
  const would = last.unit === 'in' ? neck / 2.54 : neck * 2.54
  if (!inShare(would / 2 / girth)) return { causes: [] }
  const cause: LikelyCause = last.unit === 'in' ? 'centimetres-as-inches' : 'inches-as-centimetres'
  return { causes: [cause], woulds: { [cause]: would } }
}

function neckAgainstGirth(neck: number | undefined, girth: number | undefined, readings: readonly Reading[]): Finding[] {
  const found = neckToGirth(neck, girth)
  const [finding] = found
  if (!finding || neck === undefined || girth === undefined) return found
  const { causes, woulds } = otherUnit(neck, girth, readings)
  const [first, ...rest] = finding.ask
  return causes.length === 0 || first === undefined ? found : [{ ...finding, ask: [first, ...causes, ...rest], ...(woulds ? { woulds } : {}) }]
}

function neckToGirth(neck: number | undefined, girth: number | undefined): Finding[] {
  if (neck === undefined || girth === undefined) return []
  const share = neck / 2 / girth
  if (neck >= girth) {
    return [
      {
        rule: 'neck-under-girth',
        measures: ['M01', 'M07'],
        byMm: neck - girth,
        because: { code: 'neck-under-girth' },
        ask: inShare(share / 2) ? ['doubled-twice', 'thick-ruff', 'girth-too-far-forward'] : ['thick-ruff', 'doubled-twice', 'girth-too-far-forward'],
      },
    ]
  }
  if (inShare(share)) return []
  const tooLow = share <= HALF_NECK_SHARE.low
  const limit = tooLow ? HALF_NECK_SHARE.low : HALF_NECK_SHARE.high
  const ask: LikelyCause[] = tooLow
    ? inShare(share * 2)
      ? ['not-doubled', 'collar-line', 'dog-is-so']
      : ['collar-line', 'not-doubled', 'dog-is-so']
    : inShare(share / 2)
      ? ['doubled-twice', 'thick-ruff', 'dog-is-so']
      : ['thick-ruff', 'girth-too-far-forward', 'dog-is-so']
  return [
    {
      rule: 'half-neck-to-girth',
      measures: ['M01', 'M07'],
      byMm: Math.abs(neck - 2 * limit * girth),
      because: { code: 'half-neck-to-girth', limit, found: share },
      ask,
    },
  ]
}

function routeOrder(shorter: MeasureId, longer: MeasureId, value: (id: string) => number | undefined): Finding[] {
  const [a, b] = [value(shorter), value(longer)]
  if (a === undefined || b === undefined || a < b) return []
  const ask: LikelyCause[] = shorter === 'M06' ? ['ran-onto-belly', 'earlier-rib', 'route-mistake'] : ['soft-flank', 'route-mistake', 'other-school']
  return [{ rule: 'route-order', measures: [shorter, longer], byMm: a - b, because: { code: 'route-order' }, ask }]
}

function lengthParts(value: (id: string) => number | undefined, readings: readonly Reading[]): Finding[] {
  const [under, onward, whole] = [value('M10'), value('M12'), value('M13')]
  if (under === undefined || onward === undefined || whole === undefined) return []
  const sum = under + onward
  const over = whole - sum
  if (over > LINE_TOLERANCE_MM) {
    // Three tapes have three errors; on a large dog they add up to more than the centimetre.
    const soft = over <= DOUBT_FROM * ownError(['M10', under], ['M12', onward], ['M13', whole])
    return [
      {
        rule: 'length-parts',
        measures: ['M13', 'M10', 'M12'],
        byMm: over,
        because: { code: 'length-parts', limit: sum, found: whole },
        ask: ['on-the-tail', 'earlier-rib', 'kinked-line'],
        ...(soft ? { soft } : {}),
      },
    ]
  }
  // A shorter whole is right, unless all three were read on one straight tape through one mark: then they are equal.
  const kept = readings.filter((reading) => !reading.struck && ['M10', 'M12', 'M13'].includes(reading.measure))
  const oneMark = kept.length > 0 && kept.every((reading) => reading.chalkMark)
  if (!oneMark || -over <= LINE_TOLERANCE_MM) return []
  return [
    {
      rule: 'parts-through-mark',
      measures: ['M13', 'M10', 'M12'],
      byMm: -over,
      because: { code: 'parts-through-mark', limit: sum, found: whole },
      ask: ['mark-moved', 'kinked-line', 'soft-flank'],
    },
  ]
}

function schoolsWindow(value: (id: string) => number | undefined): Finding[] {
  const [under, over] = [value('M10'), value('M11')]
  if (under === undefined || over === undefined) return []
  const share = over / under
  if (share >= SCHOOL_SHARE.low && share <= SCHOOL_SHARE.high) return []
  const limit = share < SCHOOL_SHARE.low ? SCHOOL_SHARE.low : SCHOOL_SHARE.high
  return [
    {
      rule: 'schools-window',
      measures: ['M11', 'M10'],
      byMm: Math.abs(over - limit * under),
      because: { code: 'schools-window', limit, found: share },
      ask: share > SCHOOL_SHARE.high ? ['soft-flank', 'other-school', 'earlier-rib'] : ['earlier-rib', 'other-school', 'route-mistake'],
    },
  ]
}

/** Weights are no lengths; paws of a pair and heights to the ear are often the same. */
const NOT_COPIED = new Set(['M00', 'M32', 'M33', 'M34', 'M35', 'M36', 'M37', 'M38', 'M39', 'M40', 'M43', 'M25', 'M48', 'M49'])

/** Copied from the line before, not from another day: read one right after the other. */
const COPIED_MS = 5 * 60_000

/**
 * Equal numbers are sometimes right (a half neck and a sternum may well be the same), so this only asks, and at most
 * once a sheet: of two tapes typed alike, in one unit, right after each other.
 */
function sameValue(value: (id: string) => number | undefined, ids: readonly MeasureId[], readings: readonly Reading[]): Finding[] {
  const asRead: [MeasureId, number][] = []
  for (const id of ids) {
    const mm = value(id)
    if (mm === undefined || NOT_COPIED.has(id)) continue
    asRead.push([id, mm])
    if (id === 'M01') asRead.push([id, mm / 2])
  }
  for (const [i, [left, a]] of asRead.entries()) {
    for (const [right, b] of asRead.slice(i + 1)) {
      if (left === right || Math.abs(a - b) > SAME_MM || !mayBeCopied(left, right, readings)) continue
      return [{ rule: 'same-value', measures: [left, right], byMm: 0, because: { code: 'same-value', found: b }, ask: ['copied', 'dog-is-so'], soft: true }]
    }
  }
  return []
}

/** Typed alike and next to each other; where no reading is at hand, values alone have to do. */
function mayBeCopied(left: string, right: string, readings: readonly Reading[]): boolean {
  const kept = readings.filter((reading) => !reading.struck)
  const of = (id: string): Reading[] => kept.filter((reading) => reading.measure === id)
  if (of(left).length === 0 || of(right).length === 0) return kept.length === 0
  const number = (reading: Reading): string => `${firstNumber(reading.asTyped)} ${reading.unit}`
  return of(left).some((a) => of(right).some((b) => number(a) === number(b) && Math.abs(Date.parse(a.takenAt) - Date.parse(b.takenAt)) <= COPIED_MS))
}

/** What a fitter notes when the paw was not loaded. */
export const PAW_LIFTED = 'Paw lifted'

/** A loaded paw is never narrower than the same paw lifted: it spreads (handbook 3.3, from memory, unverified). */
function loadedPaws(readings: readonly Reading[]): Finding[] {
  const kept = readings.filter((reading) => !reading.struck && ['M32', 'M33', 'M34', 'M35'].includes(reading.measure))
  return kept
    .filter((reading) => reading.postureDoubt === PAW_LIFTED)
    .flatMap((lifted): Finding[] => {
      const loaded = kept.filter((each) => each.measure === lifted.measure && each.place === lifted.place && each.postureDoubt !== PAW_LIFTED)
      const widest = Math.max(0, ...loaded.map((each) => each.mm))
      if (loaded.length === 0 || lifted.mm <= widest) return []
      return [
        {
          rule: 'loaded-paw',
          measures: [lifted.measure],
          byMm: lifted.mm - widest,
          because: { code: 'loaded-paw', limit: widest, found: lifted.mm, ...(lifted.place ? { place: lifted.place } : {}) },
          ask: ['paw-lifted', 'wrong-place'],
        },
      ]
    })
}

/** Pairs of places that should be alike. */
function mirrored(measure: string): (readonly [string, string])[] {
  const places = measures[measure]?.places ?? []
  const pairs: (readonly [string, string])[] = places.filter((place) => place.endsWith('-left')).map((place) => [place, place.replace('-left', '-right')])
  return measures[measure]?.sided ? [['left', 'right']] : pairs
}

/** Lengths that end where somebody wishes (handbook 3.2): hem, drop, sleeve, belly edge. */
const ENDS_AS_WISHED: ReadonlySet<string> = new Set(['M15', 'M17', 'M18', 'M24', 'M28'])

/** What the questions may lean on besides the agreed values. */
export interface PlausibleContext {
  readings?: readonly Reading[]
  about?: SlipSubject | null
  rules?: AgreeRules
  /** Day the questions are asked on, `YYYY-MM-DD`; the day of the newest reading, where it is not said. */
  on?: string
}

/**
 * Cross-checks between measures: all rules of handbook 3.3, with slips of unit, digits and copying against the other
 * tapes, the weight and the breed.
 *
 * @param body agreed values, mm; measures without a value are left out of every rule
 * @param context the readings themselves and the dog, where they are known
 * @returns findings, the largest miss first. They ask and name the likely cause; they never correct.
 */
export function plausible(body: Body, { readings = [], about = null, rules = USUAL_RULES, on }: PlausibleContext = {}): Finding[] {
  const dog = askedOf(about, on ?? readings.at(-1)?.takenAt ?? null)
  // A hem or an edge somebody chose, and wrote down so.
  const endsAsChosen = new Set<string>(
    readings.filter((reading) => !reading.struck && reading.remark !== '' && ENDS_AS_WISHED.has(reading.measure)).map(({ measure }) => measure),
  )
  const value = (id: string): number | undefined => {
    const mm = body[id]?.mm
    return typeof mm === 'number' && Number.isFinite(mm) && mm > 0 ? mm : undefined
  }
  const direct = value('M10') === undefined ? routeOrder('M06', 'M13', value) : []
  const all = unitOfAll(value, readings, dog)
  const ofAll = new Set<string>(all.flatMap((finding) => finding.measures))
  const slips = readingSlips(readings, rules).filter((finding) => !finding.measures.some((id) => ofAll.has(id)))
  const asked = new Set<string>([...slips.flatMap((finding) => finding.measures.slice(0, 1)), ...ofAll])
  const neck = neckAgainstGirth(value('M01'), value('M07'), readings).filter((finding) => !finding.measures.some((id) => ofAll.has(id)))
  for (const measure of neck.flatMap((finding) => finding.measures)) asked.add(measure)
  // One question to a number: what a sharper rule asked is not asked again.
  const fresh = (finding: Finding): boolean => !finding.measures.some((id) => asked.has(id))
  const odd = oddNumbers(value, readings, dog).filter(fresh)
  for (const measure of odd.flatMap((finding) => finding.measures)) asked.add(measure)
  const beyond = outOfBounds(value, readings).filter(fresh)
  const found = [
    ...all,
    ...beyond,
    ...neck,
    ...routeOrder('M06', 'M10', value),
    ...routeOrder('M10', 'M13', value),
    ...direct,
    ...lengthParts(value, readings),
    ...schoolsWindow(value),
    ...brokenOrders(value, endsAsChosen),
    ...rugDrops(value, endsAsChosen),
    ...sheathClear(value, about?.sex ?? null),
    ...loadedPaws(readings),
    ...sidesDiffer(value, mirrored),
    ...slips,
    ...odd,
    ...oddWeights(value, dog),
  ]
  const same = sameValue(value, Object.keys(body).filter(isMeasureId).sort(), readings)
  // Two that may not be equal are asked about once, by the rule that says so.
  const pairs = new Set(found.map((finding) => [...finding.measures].sort().join()))
  return [...found, ...same.filter((finding) => !pairs.has([...finding.measures].sort().join()))].sort((a, b) => b.byMm - a.byMm)
}

/** The code under which a finding kept as the dog's own is remembered: with its values, so that a new reading asks anew. */
export const findingCode = (finding: Finding, body: Body): string =>
  `${finding.rule}:${finding.measures.map((id) => `${id}=${Math.round(body[id]?.mm ?? 0)}`).join(',')}`

/** Findings nobody has kept as the dog's own yet. */
export function openFindings(body: Body, kept: readonly { kind: string; code: string; struck?: unknown }[], context: PlausibleContext = {}): Finding[] {
  const codes = new Set(kept.filter((ack) => ack.kind === 'finding' && !ack.struck).map((ack) => ack.code))
  return plausible(body, context).filter((finding) => !codes.has(findingCode(finding, body)))
}
