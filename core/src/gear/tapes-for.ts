import { measureIds, measures, tapeOrder, type TapePlace } from '../measures/index.ts'
import type { FamilyId, ItemWay, School } from '../model/index.ts'
import { families } from './families/index.ts'
import type { Want } from './wanted-tapes.ts'

/** What decides which tapes an item wants. */
export interface TapeItem {
  family: FamilyId
  way: ItemWay
  school?: School | null
}

export interface Tape<T extends TapeItem = TapeItem> extends TapePlace {
  /** `warning`: checks the body length of a stock harness, one of its `either` is enough. `sheet`: nobody needs it, the body sheet has it. */
  need: 'must' | 'warning' | 'sheet'
  /** The other measure that serves as well. */
  either?: string
  items: T[]
}

/** By way and school: a made piece of an unknown school wants the tapes of both. Source: handbook 3.4, common practice. */
function wantsOf({ family, way, school }: TapeItem): readonly Want[] {
  const { stock, made } = families[family].tapes
  if (!made || way === 'stock' || way === 'quick-ship') return stock
  const toOrder = school ? made[school] : [...made.A, ...made.B]
  return way === 'made' ? toOrder : [...toOrder, ...stock]
}

/** Measure IDs one item wants, in station order. */
export const measuresOf = (item: TapeItem): string[] => [...new Set(tapesFor([item]).map((tape) => tape.measure))]

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
