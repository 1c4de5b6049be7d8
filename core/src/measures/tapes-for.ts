import type { FamilyId, ItemWay, School } from '../model/index.ts'
import { stationOrder } from './catalogue.ts'

/** What decides which tapes an item wants. */
export interface TapeItem {
  family: FamilyId
  way: ItemWay
  school?: School | null
}

export interface Tape<T extends TapeItem = TapeItem> {
  measure: string
  /** `warning`: checks the body length of a stock harness, one of its `either` is enough. */
  need: 'must' | 'warning'
  /** The other measure that serves as well. */
  either?: string
  items: T[]
}

type Want = Omit<Tape, 'items'>

const must = (...ids: string[]): Want[] => ids.map((measure) => ({ measure, need: 'must' }))
const lengthWarning: Want[] = [
  { measure: 'M13', need: 'warning', either: 'M14' },
  { measure: 'M14', need: 'warning', either: 'M13' },
]
const schoolA = must('M01', 'M10', 'M12')
const schoolB = must('M01', 'M11', 'M13')

/** Source: handbook 3.4, common practice; merging the lists from memory, unverified. */
function wantsOf(item: TapeItem): Want[] {
  if (item.family === 'H01') return must('M01', 'M06', 'M07')
  const stock = [...must('M01'), ...lengthWarning]
  const made = item.school === 'A' ? schoolA : item.school === 'B' ? schoolB : [...schoolA, ...schoolB]
  if (item.way === 'made') return made
  return item.way === 'undecided' ? [...made, ...stock] : stock
}

/** Measure IDs one item wants, in station order. */
export const measuresOf = (item: TapeItem): string[] => tapesFor([item]).map((tape) => tape.measure)

/**
 * The smallest set of tapes for a wish list, merged and in station order (handbook 3.4 and 4.6), each with the items
 * that need it. A measure one item must have and another only checks is a must.
 */
export function tapesFor<T extends TapeItem>(items: readonly T[]): Tape<T>[] {
  const merged = new Map<string, Tape<T>>()
  for (const item of items) {
    for (const want of wantsOf(item)) {
      const known = merged.get(want.measure)
      if (!known) merged.set(want.measure, { ...want, items: [item] })
      else {
        if (!known.items.includes(item)) known.items.push(item)
        if (want.need === 'must') {
          known.need = 'must'
          delete known.either
        }
      }
    }
  }
  return [...merged.values()].sort((a, b) => stationOrder(a.measure, b.measure))
}
