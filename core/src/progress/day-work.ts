import { parseISO } from 'date-fns'
import { dayOf, labelsOf, type TicketSheet } from '../model/index.ts'

/** One stay of one dog at the bench on one day, as the record has it. */
export interface Stay {
  ticketId: string
  number: number
  /** `null` for a counter ticket. */
  dog: string | null
  /** First and last act of the stay. */
  fromAt: string
  toAt: string
  readings: number
  /** Sizes put on the dog. */
  triedOn: string[]
  chosen: string[]
}

interface Moment {
  at: string
  on: string
  reading?: boolean
  triedOn?: string
  chosen?: readonly string[]
}

/** Longer than this without an act, and the dog was away. */
const AWAY_MS = 45 * 60_000

function momentsOf({ ticket, readings, tryOns, choices }: TicketSheet): Moment[] {
  return [
    { at: ticket.createdAt, on: dayOf(ticket.on, ticket.createdAt) },
    ...readings.map((reading) => ({ at: reading.takenAt, on: dayOf(reading.on, reading.takenAt), reading: true })),
    ...choices.filter((choice) => !choice.struck).map((choice) => ({ at: choice.at, on: dayOf(choice.on, choice.at), chosen: labelsOf(choice) })),
    ...tryOns
      .filter((round) => !round.struck)
      .flatMap((round) => {
        const on = dayOf(round.on, round.at)
        return [{ at: round.at, on, triedOn: round.label }, ...round.observations.map((seen) => ({ at: seen.at, on }))]
      }),
  ]
}

/**
 * What was done at the bench on a day, in the order it began: acts of one ticket nearer than three quarters of an hour
 * make one stay.
 *
 * @param on the shop's day, `YYYY-MM-DD`
 */
export function dayWork(sheets: readonly TicketSheet[], on: string): Stay[] {
  return sheets
    .flatMap((sheet): Stay[] => {
      const moments = momentsOf(sheet)
        .filter((moment) => moment.on === on)
        .sort((a, b) => parseISO(a.at).getTime() - parseISO(b.at).getTime())
      const stays: Stay[] = []
      for (const moment of moments) {
        let stay = stays.at(-1)
        if (!stay || parseISO(moment.at).getTime() - parseISO(stay.toAt).getTime() > AWAY_MS) {
          stay = {
            ticketId: sheet.ticket.id,
            number: sheet.ticket.number,
            dog: sheet.dog?.name ?? null,
            fromAt: moment.at,
            toAt: moment.at,
            readings: 0,
            triedOn: [],
            chosen: [],
          }
          stays.push(stay)
        }
        stay.toAt = moment.at
        if (moment.reading) stay.readings += 1
        if (moment.triedOn !== undefined) stay.triedOn.push(moment.triedOn)
        if (moment.chosen) stay.chosen = [...moment.chosen]
      }
      return stays
    })
    .sort((a, b) => parseISO(a.fromAt).getTime() - parseISO(b.fromAt).getTime() || a.number - b.number)
}
