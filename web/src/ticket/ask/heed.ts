import { ACTIVITIES, families, HEEDED, loadFrom, type Activity, type Caution, type Change, type TicketSheet } from '@merry-tailor/core'
import { format, parseISO } from 'date-fns'

/** How a stop is heeded: what the button says, what it changes, and what is noted. */
export interface Heed {
  label: string
  /** Changes of the ticket, or of the item the stop is about. */
  changes: Change[]
  itemId?: string
  /** Kept as the word on the stop where nothing to change is left. */
  note?: string
}

const LOADS: readonly Activity[] = ['front-of-runner', 'bike-front', 'ski-front', 'sled-team', 'wheel-place', 'weight-drag', 'cart']
const BIKES: readonly Activity[] = ['bike-front', 'bike-side']

/** The acts a stop binds among what the ticket says the dog will do. */
function boundWork({ binds }: Caution, activities: readonly Activity[]): Activity[] {
  const bound = ACTIVITIES.filter((activity) => (binds.includes('load') && LOADS.includes(activity)) || (binds.includes('bike') && BIKES.includes(activity)))
  return activities.filter((activity) => bound.includes(activity))
}

/** The act that does what a stop asks for; overruling it is the other one. */
export function heedOf(caution: Caution, { ticket, items, dog }: TicketSheet, on: string): Heed | null {
  const { code, facts } = caution
  const item = items.find((each) => !each.removed && each.family === facts.family)
  if (code === 'front-clip' || code === 'not-for-draught' || code === 'running-in-front')
    return item ? { label: `Remove the ${families[item.family].name}`, changes: [{ field: 'removed', from: false, to: true }], itemId: item.id } : null
  if (code === 'not-for-car') {
    const changes: Change[] = [
      ...(ticket.activities.includes('car') ? [{ field: 'activities', from: ticket.activities, to: ticket.activities.filter((each) => each !== 'car') }] : []),
      ...(ticket.needs.includes('ride') ? [{ field: 'needs', from: ticket.needs, to: ticket.needs.filter((each) => each !== 'ride') }] : []),
    ]
    return { label: 'Not in the car with it', changes }
  }
  if (code === 'heat') return { label: 'Not in this heat', changes: [], note: `${HEEDED} no pulling and no bike above about ${facts.maxC ?? 10} °C` }
  const work = boundWork(caution, ticket.activities)
  const grows = code === 'growing-no-load' || code === 'growing-light-only'
  const day = grows ? loadFrom(dog, on) : null
  const from = day === null ? null : parseISO(day)
  const when = from ? ` before about ${format(from, 'MMMM yyyy')}` : ''
  if (work.length === 0) return { label: from ? `Fit it now, no load${when}` : 'No load with it', changes: [], note: `${HEEDED} no load${when}` }
  const all = work.some((activity) => LOADS.includes(activity)) ? (work.every((activity) => BIKES.includes(activity)) ? 'bike' : 'pulling') : 'bike'
  return {
    label: from ? `No ${all} until about ${format(from, 'MMMM yyyy')}` : `No ${all} for this dog now`,
    changes: [
      { field: 'activities', from: ticket.activities, to: ticket.activities.filter((each) => !work.includes(each)) },
      ...(from && ticket.nextLookOn === null ? [{ field: 'nextLookOn', from: null, to: format(from, 'yyyy-MM-dd') }] : []),
    ],
  }
}
