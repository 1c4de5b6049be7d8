import {
  isMeasureId,
  bodyOf,
  measures,
  PLAIN_CIRCUMSTANCES,
  plausible,
  tapeKey,
  type AgreedBody,
  type Dog,
  type Finding,
  type MeasureId,
  type Place,
  type Reading,
  type TicketSheet,
} from '@merry-tailor/core'
import { useMemo, useRef } from 'react'
import { useSearchParams } from 'react-router'
import { v7 as uuid } from 'uuid'
import { useActMutation, useAddTicketMutation, useDayQuery, useDogsQuery, useOwnersQuery, useSheets } from '../api/queries'
import { useAppSelector } from '../state/store'
import { useShop } from '../state/use-shop'
import { useToday } from '../state/use-today'
import { parseEntry } from '../length-entry'
import { breedWords } from '../words/dogs'

/** One tape of the round: a measure, and the paw or gauge where it exists more than once. */
export interface YardTape {
  key: string
  measure: MeasureId
  place: Place | null
}

export interface YardDog {
  dog: Dog
  /** Its open ticket, where there is one; the first reading opens one. */
  sheet: TicketSheet | undefined
  /** The same by its id, known before the sheet is there. */
  ticketId: string | undefined
  body: AgreedBody
}

const USUAL: readonly MeasureId[] = ['M01', 'M07']

/** The line of dogs and the tapes of a team round, as the address has them: it survives a reload and can be shared. */
export function useYard() {
  const [search, setSearch] = useSearchParams()
  const { data: dogs = [] } = useDogsQuery(undefined)
  const { data: owners = [] } = useOwnersQuery(undefined)
  const today = useToday()
  const { data: day } = useDayQuery(today)
  const { fitter, helper, unit } = useAppSelector((state) => state.settings)
  const rules = useShop()
  const [addTicket] = useAddTicketMutation()
  const [send] = useActMutation()
  /** Tickets opened in this round: the lists that name them may come back later than the next number. */
  const opened = useRef(new Map<string, string>())
  const dogList = search.get('dogs') ?? ''
  const measureIds = search.get('tapes')?.split(',').filter(isMeasureId) ?? USUAL

  const ids = useMemo(() => {
    const wanted = dogList.split(',')
    return (day?.rows ?? []).filter((row) => row.dog && wanted.includes(row.dog.id)).map((row) => row.ticketId)
  }, [day, dogList])
  const sheets = useSheets(ids)
  const line = useMemo(
    () =>
      dogList.split(',').flatMap((id): YardDog[] => {
        const dog = dogs.find((each) => each.id === id)
        if (!dog) return []
        const sheet = [...sheets.values()].find((each) => each.ticket.dogId === id)
        const ticketId = day?.rows.find((row) => row.dog?.id === id)?.ticketId
        return [{ dog, sheet, ticketId, body: bodyOf(sheet?.readings ?? [], rules) }]
      }),
    [dogList, dogs, sheets, day, rules],
  )
  const tapes = measureIds.flatMap((measure): YardTape[] => {
    const places = measures[measure]?.places ?? []
    return places.length === 0 ? [{ key: measure, measure, place: null }] : places.map((place) => ({ key: tapeKey(measure, place), measure, place }))
  })
  const set = (change: Record<string, string>): void => {
    const next = new URLSearchParams(search)
    for (const [key, value] of Object.entries(change)) next.set(key, value)
    setSearch(next, { replace: true })
  }

  /** Pins one number for one dog; opens a ticket for it when it has none. @returns what is wrong, or `null` */
  const pin = async (dog: YardDog, tape: YardTape, typed: string, oneSide: boolean, remark = ''): Promise<string | null> => {
    const read = parseEntry(tape.measure, typed, unit)
    if (!read.ok) return read.problem
    const at = new Date().toISOString()
    const known = dog.ticketId ?? opened.current.get(dog.dog.id)
    const ticketId = known ?? uuid()
    // Both are kept in the order they were done; the number does not wait for the ticket's answer.
    const making = known ? null : addTicket({ id: ticketId, body: { dogId: dog.dog.id, ownerId: dog.dog.ownerId, kind: 'real', at, by: fitter } })
    if (making) opened.current.set(dog.dog.id, ticketId)
    const answer = await send({
      ticketId,
      act: {
        act: 'read',
        id: uuid(),
        body: {
          measure: tape.measure,
          place: tape.place,
          mm: read.mm,
          side: oneSide && measures[tape.measure]?.doubling ? 'one' : 'both',
          asTyped: typed.trim().slice(0, 40),
          unit: read.unit,
          method: tape.measure === 'M00' ? 'scale' : 'tape',
          takenAt: at,
          by: fitter,
          heldBy: helper,
          school: measures[tape.measure]?.school ?? null,
          remark,
          ...(tape.measure === 'M37' ? { dewclaw: 'single' as const } : {}),
        },
      },
    })
    if (making && (await making).error) {
      opened.current.delete(dog.dog.id)
      return 'No ticket could be opened. The number stays here.'
    }
    return answer.error ? 'Not saved. The number stays here.' : null
  }
  /** What the dog's other numbers say of this one, before it is kept: the first question it would raise, else `null`. */
  const asks = (dog: YardDog, tape: YardTape, typed: string, oneSide: boolean): Finding | null => {
    const read = parseEntry(tape.measure, typed, unit)
    if (!read.ok) return null
    const at = new Date().toISOString()
    const reading: Reading = {
      ...PLAIN_CIRCUMSTANCES,
      id: 'now',
      measure: tape.measure,
      place: tape.place,
      mm: read.mm,
      side: oneSide && measures[tape.measure]?.doubling ? 'one' : 'both',
      asTyped: typed.trim(),
      unit: read.unit,
      takenAt: at,
      by: fitter,
    }
    const before = (dog.sheet?.readings ?? []).filter((each) => !each.struck)
    const readings = [...before, reading]
    const found = plausible(bodyOf(readings, rules), { readings, about: dog.dog, rules, on: today }).filter(
      (each) => !each.soft && each.measures.includes(tape.measure),
    )
    const known = plausible(bodyOf(before, rules), { readings: before, about: dog.dog, rules, on: today }).map((each) => each.rule)
    // Far off what was read of this tape before: asked too, whatever the other tapes say.
    return found.find((each) => !known.includes(each.rule)) ?? null
  }
  /** Strikes out the newest number of this tape on this dog. */
  const takeBack = async (dog: YardDog, tape: YardTape): Promise<string | null> => {
    const newest = dog.sheet?.readings.findLast((each) => !each.struck && tapeKey(each.measure, each.place) === tape.key)
    if (!newest || !dog.ticketId) return 'There is nothing to take back here.'
    const body = { what: 'reading', about: newest.id, kind: 'struck', why: 'Taken back in the round', at: new Date().toISOString(), by: fitter } as const
    const answer = await send({ ticketId: dog.ticketId, act: { act: 'mark', id: uuid(), body } })
    return answer.error ? 'Not taken back. Try again.' : null
  }
  /** A dog by name; of two of one name by whose it is. */
  const nameOf = (dog: Dog): string => {
    const owner = owners.find((each) => each.id === dog.ownerId)
    const alike = dogs.filter((each) => each.name === dog.name).length > 1
    return alike ? `${dog.name} (${owner?.name ?? breedWords(dog)})` : dog.name
  }
  return { search: search.toString(), dogs, line, tapes, measureIds, set, pin, asks, takeBack, nameOf, unit }
}
