import type { MeasureId, Place } from '../model/index.ts'
import { measures, paws, stationOrder, tapeKey, type Station } from './catalogue.ts'

/** A measure, and the paw or gauge it is taken at where it exists more than once. */
export interface TapePlace {
  measure: MeasureId
  place: Place | null
}

const pawOf = (place: Place | null): number => (place === null ? -1 : paws.findIndex((paw) => paw === place))

/** The tape's round: station, then paw by paw, then the order inside the station. */
export function tapeOrder(a: TapePlace, b: TapePlace): number {
  const [left, right] = [measures[a.measure], measures[b.measure]]
  if (left && right && left.station === right.station && pawOf(a.place) !== pawOf(b.place)) {
    // Paws last, one paw after the other: least liked (handbook 4.6).
    return pawOf(a.place) - pawOf(b.place)
  }
  return stationOrder(a.measure, b.measure) || pawOf(a.place) - pawOf(b.place)
}

/** Order of stations when the dog decides: those named first come first, the rest follow in the usual order. */
export function byStations<T extends { tape: TapePlace }>(rows: readonly T[], first: readonly Station[]): T[] {
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
export function estimateMinutes(tapes: readonly TapePlace[], readings = 2): number {
  if (tapes.length === 0) return 0
  const stations = new Set(tapes.map((tape) => measures[tape.measure]?.station)).size
  const seconds = 75 + 25 * stations + 11 * readings * new Set(tapes.map((tape) => tapeKey(tape.measure, tape.place))).size
  return Math.max(1, Math.round(seconds / 60))
}
