import {
  applyAct,
  UNASKED,
  type Act,
  type Change,
  type Dog,
  type DogSheet,
  type NewChoice,
  type NewDog,
  type NewDogNote,
  type NewItem,
  type NewObservation,
  type NewOwner,
  type NewPiece,
  type NewSymptomNote,
  type NewTicket,
  type NewTryOn,
  type Owner,
  type Piece,
  type ShopFields,
  type TicketSheet,
} from '@merry-tailor/core'
import type { NamedWrite } from './outbox'

/** A part of a ticket: the ticket's id, the part's client-made id, and what is sent. */
export interface Part<T> {
  ticketId: string
  id: string
  body: T
}
export interface RoundPart<T> extends Part<T> {
  roundId: string
}
export interface ItemChange {
  ticketId: string
  id: string
  changes: Change[]
}
export interface TicketAct {
  ticketId: string
  act: Act
}

/** Appends `made` unless the list holds its id: so an optimistic row and its answer are one row. */
function keep<T extends { id: string }>(list: T[], made: T): void {
  const at = list.findIndex((each) => each.id === made.id)
  if (at < 0) list.push(made)
  else list[at] = made
}

export const assign = (target: object, changes: readonly Change[]): void => {
  for (const { field, to } of changes) (target as Record<string, unknown>)[field] = to
}

/** What each write does to the sheet of its ticket: used before the answer, and over an old answer while it waits. */
export const sheetRecipes = {
  act: (sheet: TicketSheet, { act }: TicketAct) => applyAct(sheet, act),
  addItem: (sheet: TicketSheet, { id, body: { at, ...item } }: Part<NewItem>) => keep(sheet.items, { ...item, id, removed: false, createdAt: at }),
  changeItem: (sheet: TicketSheet, { id, changes }: ItemChange) => {
    const item = sheet.items.find((each) => each.id === id)
    if (item) assign(item, changes)
  },
  changeTicket: (sheet: TicketSheet, { changes }: { ticketId: string; changes: Change[] }) => assign(sheet.ticket, changes),
  addChoice: (sheet: TicketSheet, { id, body }: Part<NewChoice>) => keep(sheet.choices, { ...body, id }),
  addTryOn: (sheet: TicketSheet, { id, body }: Part<NewTryOn>) => {
    const known = sheet.tryOns.find((round) => round.id === id)
    keep(sheet.tryOns, { ...body, id, observations: known?.observations ?? [], symptoms: known?.symptoms ?? [] })
  },
  addObservation: (sheet: TicketSheet, { roundId, id, body }: RoundPart<NewObservation>) =>
    keep(sheet.tryOns.find((round) => round.id === roundId)?.observations ?? [], { ...body, id }),
  addSymptomNote: (sheet: TicketSheet, { roundId, id, body }: RoundPart<NewSymptomNote>) =>
    keep(sheet.tryOns.find((round) => round.id === roundId)?.symptoms ?? [], { ...body, id }),
}

const dogOf = (id: string, { at, ...given }: NewDog): Dog => ({
  breed: '',
  crossWith: '',
  sex: null,
  born: null,
  ageMonths: null,
  ageSaidOn: null,
  weightKg: null,
  coat: null,
  flatFace: null,
  sparing: false,
  notes: '',
  ownerId: null,
  ...given,
  id,
  createdAt: at,
})
const ownerOf = (id: string, { at, ...given }: NewOwner): Owner => ({ contact: '', notes: '', ...given, id, createdAt: at })

const pieceOf = (id: string, { at, ...given }: NewPiece): Piece => ({ ...given, retired: null, id, createdAt: at })

/** A ticket that no server has numbered yet. */
export const freshSheet = (id: string, body: NewTicket, dog: Dog | null, owner: Owner | null): TicketSheet => ({
  ticket: {
    dogId: body.dogId,
    ownerId: body.ownerId,
    ...UNASKED,
    id,
    number: 0,
    counter: body.counter,
    createdAt: body.at,
    by: body.by,
  },
  dog,
  owner,
  items: [],
  readings: [],
  choices: [],
  tryOns: [],
  acknowledgements: [],
  asWritten: [],
  marks: [],
})

type Made<T> = { id: string; body: T }

/** The writes that wait, in the shape of the records they make. */
function waitingRecords(waiting: readonly NamedWrite[]): { dogs: Map<string, Dog>; owners: Map<string, Owner> } {
  const dogs = new Map<string, Dog>()
  const owners = new Map<string, Owner>()
  for (const { endpoint, arg } of waiting) {
    if (endpoint === 'addDog') dogs.set((arg as Made<NewDog>).id, dogOf((arg as Made<NewDog>).id, (arg as Made<NewDog>).body))
    if (endpoint === 'addOwner') owners.set((arg as Made<NewOwner>).id, ownerOf((arg as Made<NewOwner>).id, (arg as Made<NewOwner>).body))
  }
  return { dogs, owners }
}

function overSheet(sheet: TicketSheet, waiting: readonly NamedWrite[]): void {
  const { dogs, owners } = waitingRecords(waiting)
  for (const { endpoint, arg } of waiting) {
    if (endpoint in sheetRecipes && (arg as { ticketId: string }).ticketId === sheet.ticket.id) {
      ;(sheetRecipes[endpoint as keyof typeof sheetRecipes] as (sheet: TicketSheet, arg: unknown) => void)(sheet, arg)
    }
    const change = arg as { id: string; changes: Change[] }
    if (endpoint === 'changeDog' && sheet.dog?.id === change.id) assign(sheet.dog, change.changes)
    if (endpoint === 'changeOwner' && sheet.owner?.id === change.id) assign(sheet.owner, change.changes)
  }
  const { dogId, ownerId } = sheet.ticket
  if (dogId && sheet.dog?.id !== dogId) sheet.dog = dogs.get(dogId) ?? sheet.dog
  const owner = ownerId ?? sheet.dog?.ownerId ?? null
  if (owner && sheet.owner?.id !== owner) sheet.owner = owners.get(owner) ?? sheet.owner
}

function overList<T extends { id: string }>(
  list: T[],
  add: string,
  change: string,
  waiting: readonly NamedWrite[],
  make: (id: string, body: never) => T,
): void {
  for (const { endpoint, arg } of waiting) {
    if (endpoint === add) {
      const { id, body } = arg as Made<never>
      if (!list.some((each) => each.id === id)) list.push(make(id, body))
    }
    if (endpoint === change) {
      const { id, changes } = arg as { id: string; changes: Change[] }
      const found = list.find((each) => each.id === id)
      if (found) assign(found, changes)
    }
  }
}

/**
 * The server's last answer with the waiting writes done over it, so that what was done here is seen here.
 *
 * @param path the question, as it was asked
 * @param answer the server's answer or a kept copy; `null` when there is none
 */
export function withWaiting(path: string, answer: unknown, waiting: readonly NamedWrite[]): unknown {
  if (waiting.length === 0) return answer
  const { dogs, owners } = waitingRecords(waiting)
  const sheetOf = (id: string): TicketSheet | null => {
    const made = waiting.find((write) => write.endpoint === 'addTicket' && (write.arg as Made<NewTicket>).id === id)?.arg as Made<NewTicket> | undefined
    return made ? freshSheet(id, made.body, dogs.get(made.body.dogId ?? '') ?? null, owners.get(made.body.ownerId ?? '') ?? null) : null
  }
  const one = /^\/tickets\/([0-9a-f-]+)$/.exec(path)?.[1]
  if (one) {
    const sheet = (answer ? structuredClone(answer) : sheetOf(one)) as TicketSheet | null
    if (sheet) overSheet(sheet, waiting)
    return sheet
  }
  if (answer === null) return null
  const next: unknown = structuredClone(answer)
  if (path === '/tickets?state=open') {
    const sheets = next as TicketSheet[]
    for (const { endpoint, arg } of waiting) {
      const { id } = arg as Made<NewTicket>
      const made = endpoint === 'addTicket' && !sheets.some((sheet) => sheet.ticket.id === id) ? sheetOf(id) : null
      if (made) sheets.unshift(made)
    }
    for (const sheet of sheets) overSheet(sheet, waiting)
  } else if (path === '/dogs') overList(next as Dog[], 'addDog', 'changeDog', waiting, dogOf)
  else if (path === '/owners') overList(next as Owner[], 'addOwner', 'changeOwner', waiting, ownerOf)
  else if (path === '/pieces') overList(next as Piece[], 'addPiece', 'changePiece', waiting, pieceOf)
  else if (path === '/shop') {
    for (const { endpoint, arg } of waiting) if (endpoint === 'changeShop') assign(next as ShopFields, arg as Change[])
  } else if (path.startsWith('/dogs/')) {
    const sheet = next as DogSheet
    for (const { endpoint, arg } of waiting) {
      const change = arg as { id: string; changes: Change[] }
      if (endpoint === 'changeDog' && change.id === sheet.dog.id) assign(sheet.dog, change.changes)
      const note = arg as { dogId: string; id: string; body: NewDogNote }
      if (endpoint === 'addDogNote' && note.dogId === sheet.dog.id) keep(sheet.notes, { ...note.body, id: note.id, over: null })
    }
    for (const ticket of sheet.tickets) overSheet(ticket, waiting)
  }
  return next
}
