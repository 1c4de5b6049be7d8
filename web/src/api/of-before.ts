import { resources, UNASKED, type Act, type Choice, type TicketSheet, type TryOn } from '@merry-tailor/core'
import { v7 as uuid } from 'uuid'
import type { KeptAnswer, RefusedWrite, WaitingWrite, WriteRequest } from './kept'
import { requestOf } from './requests'

/** A write as the first pages kept it. */
export interface WriteBefore {
  seq: number
  endpoint: string
  arg: unknown
  request: WriteRequest
  at: string
  problem?: RefusedWrite['problem']
}
export type KeptBefore = unknown

interface PartBefore {
  ticketId: string
  id: string
  roundId?: string
  body: Record<string, unknown>
  changes?: { field: string; from: unknown; to: unknown }[]
}

/** What was chosen, in the words of before: a size of a table, or the one called "To measure". */
export function choiceOfBefore(body: Record<string, unknown>): Record<string, unknown> {
  if ('kind' in body) return body
  const { labels, ...rest } = body as { labels?: string[] }
  const made = labels?.[0] === 'To measure'
  return { ...rest, ...(made ? { kind: 'made', numbers: {}, options: {} } : { kind: 'size', labels }), predicted: [], rulesVersion: null }
}

/** A round of before: its size as one from the rack. */
export function roundOfBefore(body: Record<string, unknown>): Record<string, unknown> {
  if ('of' in body) return body
  const { tableId, tableVersion, ...rest } = body
  const of = typeof tableVersion === 'number' && tableId !== '' ? { tableId, tableVersion } : { named: true }
  return { ...rest, of, settings: [] }
}

/** The places of remedies meant a list that is no more. */
const noteOfBefore = (body: Record<string, unknown>): Record<string, unknown> => ({
  ...body,
  remedy: typeof body['remedy'] === 'string' ? body['remedy'] : null,
})

/** The act a write of before was; `null` for what is no act. */
function actOfBefore(endpoint: string, arg: PartBefore): Act | null {
  const { id, body, roundId = '', changes = [] } = arg
  switch (endpoint) {
    case 'act':
      return (arg as unknown as { act: Act }).act
    case 'addItem':
      return { act: 'item', id, body: body as never }
    case 'changeItem':
      return { act: 'change', itemId: id, changes }
    case 'changeTicket':
      return { act: 'change', changes }
    case 'addChoice':
      return { act: 'choose', id, body: choiceOfBefore(body) as never }
    case 'addTryOn':
      return { act: 'try-on', id, body: roundOfBefore(body) as never }
    case 'addObservation':
      return { act: 'observe', id, roundId, body: body as never }
    case 'addSymptomNote':
      return { act: 'symptom', id, roundId, body: noteOfBefore(body) as never }
    default:
      return null
  }
}

/** Writes of before that are named and shaped as today's. */
const SAME: ReadonlySet<string> = new Set(['addDog', 'changeDog', 'addDogNote', 'addOwner', 'changeOwner', 'changeShop', 'addPiece', 'changePiece', 'addSizeTable', 'addFitter', 'changeFitter', 'changeDogNote', 'removePhoto']) // prettier-ignore

/** A write an earlier page kept, in today's shape; `null` when it cannot be told what it was. */
export function writeOfBefore(old: WriteBefore): WaitingWrite | RefusedWrite | null {
  const common = {
    seq: old.seq,
    shape: 2,
    id: uuid(),
    book: null,
    at: old.at,
    skewMs: 0,
    ...(old.problem ? { problem: old.problem } : {}),
  }
  const arg = old.arg as PartBefore
  const act = actOfBefore(old.endpoint, arg)
  if (act) return { ...common, endpoint: 'act', arg: { ticketId: arg.ticketId, act }, request: requestOf(arg.ticketId, act) }
  if (SAME.has(old.endpoint)) return { ...common, endpoint: old.endpoint, arg: old.arg, request: old.request }
  if (old.endpoint === 'addTicket') {
    const { counter, ...body } = arg.body as { counter?: boolean }
    const now = { ...body, kind: counter ? 'counter' : 'real' }
    return { ...common, endpoint: 'addTicket', arg: { id: arg.id, body: now }, request: { ...old.request, body: now } }
  }
  return null
}

type SheetBefore = Omit<TicketSheet, 'hitches' | 'setUps' | 'settings' | 'choices' | 'tryOns'> & {
  ticket: { counter?: boolean }
  choices: Record<string, unknown>[]
  tryOns: (Record<string, unknown> & { symptoms: Record<string, unknown>[] })[]
}

/** A ticket's sheet of before, with what has come to it since. */
export function sheetOfBefore(sheet: SheetBefore): TicketSheet {
  const { counter, ...ticket } = sheet.ticket
  return {
    hitches: [],
    setUps: [],
    settings: [],
    ...sheet,
    ticket: { ...ticket, kind: 'kind' in ticket ? ticket.kind : counter ? 'counter' : 'real' },
    choices: sheet.choices.map((choice) => choiceOfBefore(choice) as unknown as Choice),
    tryOns: sheet.tryOns.map((round) => ({ ...roundOfBefore(round), symptoms: round.symptoms.map(noteOfBefore) }) as unknown as TryOn),
  }
}

type Sparse = Omit<TicketSheet, 'ticket' | 'items' | 'setUps' | 'dogNotes' | 'weighings' | 'outings' | 'tracings' | 'bootOutings'> & {
  ticket: object
  items: object[]
}

const wholeSheet = (sheet: Sparse): TicketSheet =>
  ({
    setUps: [],
    dogNotes: [],
    weighings: [],
    outings: [],
    tracings: [],
    bootOutings: [],
    ...sheet,
    ticket: { ...UNASKED, ...sheet.ticket },
    items: sheet.items.map((item) => ({ ...resources.items.defaults, ...item })),
  }) as unknown as TicketSheet

/** A kept answer with what is asked today and was not asked when it was kept. */
export function asToday(path: string, data: unknown): unknown {
  if (/^\/tickets\/[0-9a-f-]+$/.test(path)) return wholeSheet(data as Sparse)
  if (!/^\/dogs\/[0-9a-f-]+$/.test(path)) return data
  const sheet = data as { tickets: Sparse[] }
  return { weighings: [], outings: [], tracings: [], bootOutings: [], joins: [], ...sheet, tickets: sheet.tickets.map(wholeSheet) }
}

/** Answers that are asked for anew rather than brought up: lists that no page asks for any more. */
export function keptOfBefore(path: string, data: KeptBefore): KeptAnswer | null {
  const keep = (now: unknown): KeptAnswer => ({ shape: 2, book: null, seq: 0, at: '', data: now })
  try {
    if (/^\/tickets\/[0-9a-f-]+$/.test(path)) return keep(sheetOfBefore(data as SheetBefore))
    if (/^\/dogs\/[0-9a-f-]+$/.test(path)) {
      const sheet = data as { tickets: SheetBefore[] }
      return keep({ ...sheet, tickets: sheet.tickets.map(sheetOfBefore) })
    }
    return path.startsWith('/tickets?') ? null : keep(data)
  } catch {
    return null
  }
}
