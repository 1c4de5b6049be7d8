import type { FamilyId, ItemWay, Place, School } from '../model/index.ts'
import { measureIds, measures, paws, stationOrder, tapeKey, type Station } from './catalogue.ts'

/** What decides which tapes an item wants. */
export interface TapeItem {
  family: FamilyId
  way: ItemWay
  school?: School | null
}

export interface Tape<T extends TapeItem = TapeItem> {
  measure: string
  /** The paw or gauge of this tape, where the measure exists more than once. */
  place: Place | null
  /** `warning`: checks the body length of a stock harness, one of its `either` is enough. `sheet`: nobody needs it, the body sheet has it. */
  need: 'must' | 'warning' | 'sheet'
  /** The other measure that serves as well. */
  either?: string
  items: T[]
}

interface Want {
  measure: string
  need: 'must' | 'warning'
  either?: string
}

const must = (...ids: string[]): Want[] => ids.map((measure) => ({ measure, need: 'must' }))
const check = (...ids: string[]): Want[] => ids.map((measure) => ({ measure, need: 'warning' }))
const oneOf = (a: string, b: string, need: Want['need'] = 'warning'): Want[] => [
  { measure: a, need, either: b },
  { measure: b, need, either: a },
]

const stockLength = [...must('M01'), ...oneOf('M13', 'M14')]
const schoolA = must('M01', 'M10', 'M12')
const schoolB = must('M01', 'M11', 'M13')
const walkingY = must('M01', 'M06', 'M07')
const petVest = must('M02', 'M07')
const draft = must('M01', 'M07', 'M46', 'M47')
const boots = must('M32', 'M33', 'M34', 'M35', 'M36', 'M37')
const crate = must('M42', 'M43', 'M44', 'M39', 'M40', 'M41')

/** Full-length pulling harnesses: by stock chart, or made to one of the two schools. */
const FULL_LENGTH: ReadonlySet<FamilyId> = new Set<FamilyId>(['H11', 'H12', 'H13', 'H16', 'H17', 'H18', 'H19', 'H20'])

/**
 * Source: handbook 3.4, common practice; draft, boots, crates and the merging from memory, unverified. Families the
 * list does not name take the row of their kind: H02 and H10 the walking Y's three and a back length to check the pull
 * point, H03 to H07 the pet vest's two, H08 the same, H14 and H15 a neck with a body length to check, C5 the rug.
 */
const BY_FAMILY: Readonly<Record<FamilyId, readonly Want[]>> = {
  H01: walkingY,
  H02: [...walkingY, ...check('M14')],
  H03: petVest,
  H04: petVest,
  H05: [...petVest, ...check('M04')],
  H06: petVest,
  H07: [...petVest, ...check('M04')],
  H08: petVest,
  H09: [...must('M07'), ...check('M29')],
  H10: walkingY,
  H11: stockLength,
  H12: stockLength,
  H13: stockLength,
  H14: stockLength,
  H15: stockLength,
  H16: stockLength,
  H17: stockLength,
  H18: stockLength,
  H19: stockLength,
  H20: stockLength,
  H21: must('M01', 'M06', 'M08'),
  H22: draft,
  H23: draft,
  H24: [...must('M07', 'M00'), ...oneOf('M01', 'M02', 'must')],
  C1: must('M15', 'M18', 'M19'),
  C2: [...must('M07', 'M24', 'M28'), ...check('M15')],
  C3: must('M04', 'M17', 'M16', 'M21', 'M00', 'M23', 'M20', 'M05', 'M03'),
  C4: must('M14', 'M07', 'M02', 'M26'),
  C5: must('M15', 'M07', 'M02'),
  B1: boots,
  B2: [...boots, ...check('M38')],
  B3: boots,
  K1: crate,
  K2: crate,
  K3: crate,
  K4: check('M45', 'M42'),
}

/** Is this family made to one of the two measuring schools? */
export const hasSchools = (family: FamilyId): boolean => FULL_LENGTH.has(family)

function wantsOf(item: TapeItem): readonly Want[] {
  if (!FULL_LENGTH.has(item.family)) return BY_FAMILY[item.family]
  const made = item.school === 'A' ? schoolA : item.school === 'B' ? schoolB : [...schoolA, ...schoolB]
  if (item.way === 'made') return made
  return item.way === 'undecided' ? [...made, ...stockLength] : stockLength
}

/** Measure IDs one item wants, in station order. */
export const measuresOf = (item: TapeItem): string[] => [...new Set(tapesFor([item]).map((tape) => tape.measure))]

const pawOf = (place: Place | null): number => (place === null ? -1 : paws.findIndex((paw) => paw === place))

/** The tape's round: station, then paw by paw, then the order inside the station. */
export function tapeOrder(a: { measure: string; place: Place | null }, b: { measure: string; place: Place | null }): number {
  const [left, right] = [measures[a.measure], measures[b.measure]]
  if (left && right && left.station === right.station && pawOf(a.place) !== pawOf(b.place)) {
    // Paws last, one paw after the other: least liked (handbook 4.6).
    return pawOf(a.place) - pawOf(b.place)
  }
  return stationOrder(a.measure, b.measure) || pawOf(a.place) - pawOf(b.place)
}

/** One tape for each place a measure exists at. */
function spread<T extends TapeItem>(tape: Omit<Tape<T>, 'place'>): Tape<T>[] {
  const places = measures[tape.measure]?.places ?? []
  return places.length === 0 ? [{ ...tape, place: null }] : places.map((place) => ({ ...tape, place }))
}

/** M47 to M49 are of gear and fitter, not of the dog: the body sheet leaves them out. */
const NOT_OF_THE_BODY = new Set(['M47', 'M48', 'M49'])

/**
 * The smallest set of tapes for a wish list, merged and in station order (handbook 3.4 and 4.6), each with the items
 * that need it. A measure one item must have and another only checks is a must.
 *
 * @param wholeBody also every other measure of the body: the complete sheet
 */
export function tapesFor<T extends TapeItem>(items: readonly T[], wholeBody = false): Tape<T>[] {
  const merged = new Map<string, Omit<Tape<T>, 'place'>>()
  for (const item of items) {
    for (const want of wantsOf(item)) {
      const known = merged.get(want.measure)
      if (!known) merged.set(want.measure, { ...want, items: [item] })
      else {
        if (!known.items.includes(item)) known.items.push(item)
        if (want.need === 'must' && want.either === undefined) delete known.either
        if (want.need === 'must') known.need = 'must'
      }
    }
  }
  if (wholeBody) {
    for (const measure of measureIds) {
      if (!merged.has(measure) && !NOT_OF_THE_BODY.has(measure)) merged.set(measure, { measure, need: 'sheet', items: [] })
    }
  }
  return [...merged.values()].flatMap(spread).sort(tapeOrder)
}

/** Order of stations when the dog decides: those named first come first, the rest follow in the usual order. */
export function byStations<T extends { tape: Pick<Tape, 'measure' | 'place'> }>(rows: readonly T[], first: readonly Station[]): T[] {
  const rank = (row: T): number => {
    const station = measures[row.tape.measure]?.station ?? 5
    const at = first.indexOf(station)
    return at < 0 ? first.length + station : at
  }
  return [...rows].sort((a, b) => rank(a) - rank(b) || tapeOrder(a.tape, b.tape))
}

/**
 * Minutes a first session takes: getting started, moving the dog to each station, and each laying-on of the tape. Set
 * so that one item of three tapes read twice takes about four minutes and a full sheet read once about a quarter of an
 * hour (handbook 4.6: 3 to 5 and 10 to 15 minutes; from memory, unverified).
 *
 * @param readings how often each tape is laid on
 */
export function estimateMinutes(tapes: readonly Pick<Tape, 'measure' | 'place'>[], readings = 2): number {
  if (tapes.length === 0) return 0
  const stations = new Set(tapes.map((tape) => measures[tape.measure]?.station)).size
  const seconds = 75 + 25 * stations + 11 * readings * new Set(tapes.map((tape) => tapeKey(tape.measure, tape.place))).size
  return Math.max(1, Math.round(seconds / 60))
}
