import { FAMILY_NAMES, MEASURE_NAMES, type FamilyId, type MeasureId, type ItemWay, type Stage, type Stay, type WaitsFor } from '@merry-tailor/core'
import { format, parseISO } from 'date-fns'

const shortDay = (day: string): string => format(parseISO(day), 'd MMM')

const NAMES: Readonly<Record<Stage, string>> = { ask: 'Ask', measure: 'Measure', choose: 'Choose', 'try-on': 'Try on', finish: 'Finish' }
export const stageName = (stage: Stage): string => NAMES[stage]

const WAYS: Readonly<Record<ItemWay, string>> = { stock: 'Stock', 'quick-ship': 'Quick-ship', made: 'Made to measure', undecided: 'Way still open' }
export const wayName = (way: ItemWay): string => WAYS[way]

export const familyName = (family: string): string => (family in FAMILY_NAMES ? FAMILY_NAMES[family as FamilyId] : family)
export const measureName = (id: string): string => (id in MEASURE_NAMES ? MEASURE_NAMES[id as MeasureId] : id)

/** The one thing a ticket waits for, in a short line; `act` when it is something to do now. */
export function waitsForWords(waits: WaitsFor): string {
  switch (waits.code) {
    case 'items':
      return 'What to make: choose an item'
    case 'stop-unread':
      return 'A stop to read first'
    case 'tape':
      return waits.left === 1 ? `Take ${measureName(waits.measure).toLowerCase()}` : `Take ${measureName(waits.measure).toLowerCase()}, ${waits.left - 1} more`
    case 'third-reading':
      return `Third ${measureName(waits.measure).toLowerCase()}`
    case 'take-again':
      return `Take ${measureName(waits.measure).toLowerCase()} again`
    case 'choice':
      return `Choose a size: ${familyName(waits.family)}`
    case 'ordered':
      return `Ordered ${shortDay(waits.on)}, due ${shortDay(waits.from)} to ${shortDay(waits.to)}`
    case 'try-on':
      return waits.kind === 'made' ? 'Try on when it is made' : waits.kind === 'gear' ? 'Try on the piece of ours' : `Try on ${waits.label}`
    case 'refit':
      return `Doesn’t hold: ${waits.named?.toLowerCase() ?? 'see try-on'}`
    case 'look-again':
      return waits.check ? `Look again: ${waits.named?.toLowerCase() ?? 'see try-on'}` : 'Finish the checks'
    case 'close':
      return 'Holds. Print the docket'
    case 'nothing':
      return 'Closed'
  }
}

/** What a stay at the bench came to, in a word or three. */
export function stayWords({ readings, chosen, triedOn }: Pick<Stay, 'readings' | 'chosen' | 'triedOn'>): string {
  if (triedOn.length > 0) return `tried on ${triedOn.join(', ')}`
  if (chosen.length > 0) return `chose ${chosen.join(', ')}`
  if (readings > 0) return readings === 1 ? '1 reading' : `${readings} readings`
  return 'opened'
}
