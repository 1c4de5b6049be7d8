import { bodyOf, USUAL_RULES, type AgreeRules } from '../measures/index.ts'
import type { Dog, FamilyId, Grade, Ticket, TicketSheet } from '../model/index.ts'
import type { Stay } from './day-work.ts'
import { progressOf, type Progress, type WaitsFor } from './progress-of.ts'
import { urgencyOf, type Urgency } from './urgency.ts'

/** What a row says of its dog: enough to name and to draw it. */
export type RowDog = Pick<Dog, 'id' | 'name' | 'breed' | 'crossWith' | 'sex' | 'born' | 'ageMonths' | 'ageSaidOn' | 'weightKg' | 'coat' | 'flatFace'>

/** One open ticket in a line: whose, what, how far, what it waits for, and by when. */
export interface DayRow extends Pick<Ticket, 'number' | 'kind' | 'createdAt' | 'promisedOn' | 'neededOn'> {
  ticketId: string
  dog: RowDog | null
  owner: string | null
  families: FamilyId[]
  stage: Progress['stage']
  states: Progress['states']
  waitsFor: WaitsFor
  /** What was seen on the dog before it waits: a round that fails, is in doubt, or holds. */
  verdict: Exclude<Grade, 'none'> | null
  /** What tells one counter dog from another: a word somebody wrote, and the first tape it was opened with. */
  counter?: { word: string; measure: string | null }
  /** Agreed values by measure, mm, with their standard deviations. */
  body: Record<string, { mm: number; sigmaMm: number | null }>
}

/** What Today shows: every open ticket, most urgent first, and what was done at the bench that day. */
export interface Day {
  on: string
  rows: DayRow[]
  work: Stay[]
}

const seenBefore = (waits: WaitsFor): DayRow['verdict'] =>
  waits.code === 'refit' || waits.code === 'look-again' ? (waits.grade === 'none' ? null : waits.grade) : waits.code === 'close' ? 'holds' : null

const firstLine = (text: string): string => text.split('\n')[0]?.trim() ?? ''

/** Opened and left: no dog, no item, no number, nothing written. It waits for nobody and is on no list. */
export const isUntouched = ({ ticket, items, readings, asWritten }: TicketSheet): boolean =>
  ticket.kind === 'real' &&
  ticket.dogId === null &&
  ticket.ownerId === null &&
  items.length === 0 &&
  readings.length === 0 &&
  asWritten.length === 0 &&
  ticket.activities.length === 0 &&
  ticket.notes === ''

/**
 * A ticket's row for the list of a day.
 *
 * @param on the shop's day
 * @param rules the shop's repeat rule and tolerance
 */
export function dayRow(sheet: TicketSheet, on: string, rules: AgreeRules = USUAL_RULES): DayRow {
  const { ticket, dog } = sheet
  const { stage, states, waitsFor } = progressOf(sheet, on, rules)
  const body = Object.entries(bodyOf(sheet.readings, rules)).flatMap(([id, { mm, sigmaMm }]) =>
    mm === null || id.includes('/') ? [] : [[id, { mm, sigmaMm }] as const],
  )
  return {
    ticketId: ticket.id,
    number: ticket.number,
    kind: ticket.kind,
    createdAt: ticket.createdAt,
    promisedOn: ticket.promisedOn,
    neededOn: ticket.neededOn,
    dog: dog && rowDog(dog),
    owner: sheet.owner?.name ?? null,
    families: sheet.items.filter((item) => !item.removed).map((item) => item.family),
    stage,
    states,
    waitsFor,
    verdict: seenBefore(waitsFor),
    ...(ticket.kind === 'counter' && !dog ? { counter: { word: firstLine(ticket.notes), measure: sheet.readings[0]?.measure ?? null } } : {}),
    body: Object.fromEntries(body),
  }
}

const rowDog = ({ id, name, breed, crossWith, sex, born, ageMonths, ageSaidOn, weightKg, coat, flatFace }: Dog): RowDog => ({
  id,
  name,
  breed,
  crossWith,
  sex,
  born,
  ageMonths,
  ageSaidOn,
  weightKg,
  coat,
  flatFace,
})

const ORDER: readonly Urgency[] = ['overdue', 'today', 'waiting']

/** Most urgent first: overdue, due today, waiting; within each by the day, then by number. */
export const byUrgency =
  (on: string) =>
  (a: DayRow, b: DayRow): number => {
    const due = (row: DayRow): string => row.promisedOn ?? row.neededOn ?? '9999'
    return ORDER.indexOf(urgencyOf(a, on)) - ORDER.indexOf(urgencyOf(b, on)) || (due(a) < due(b) ? -1 : due(a) > due(b) ? 1 : a.number - b.number)
  }
