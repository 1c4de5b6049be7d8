import {
  applyAct,
  assign,
  freshOf,
  keepOne,
  resources,
  UNASKED,
  type Change,
  noFacts,
  type Dog,
  type DogNote,
  type DogSheet,
  type DogsPage,
  type NewDog,
  type NewOwner,
  type NewTicket,
  type Owner,
  type Resource,
  type SizeTable,
  type TicketSheet,
  type Weighing,
} from '@merry-tailor/core'
import { createNextState } from '@reduxjs/toolkit'
import { intoPage, isDogsPage } from './dogs-page'
import type { Changed, Made, NamedWrite, Writes } from './named-writes'

/** Records that stand in a list of their own: what makes one, what changes one, and where the list is asked for. */
const LISTS: readonly { path: string; add: string; change: string; resource: Resource<{ id: string }> }[] = (
  [
    ['addDog', 'changeDog', resources.dogs],
    ['addOwner', 'changeOwner', resources.owners],
    ['addPiece', 'changePiece', resources.pieces],
    ['addRig', 'changeRig', resources.rigs],
    ['addCar', 'changeCar', resources.cars],
    ['addFitter', 'changeFitter', resources.fitters],
  ] as const
).map(([add, change, resource]) => ({ path: resource.address, add, change, resource: resource }))

/** A ticket that no server has numbered yet. */
export const freshSheet = (id: string, body: NewTicket, dog: Dog | null, owner: Owner | null): TicketSheet => ({
  ticket: { dogId: body.dogId, ownerId: body.ownerId, ...UNASKED, id, number: 0, kind: body.kind, createdAt: body.at, by: body.by },
  dog,
  owner,
  dogNotes: [],
  weighings: [],
  outings: [],
  tracings: [],
  bootOutings: [],
  ...noFacts(),
})

/** Dogs and owners that wait here to be made. */
function waitingRecords(waiting: readonly NamedWrite[]): { dogs: Map<string, Dog>; owners: Map<string, Owner> } {
  const dogs = new Map<string, Dog>()
  const owners = new Map<string, Owner>()
  for (const { endpoint, arg } of waiting) {
    if (endpoint === 'addDog') dogs.set((arg as Made<NewDog>).id, freshOf(resources.dogs, (arg as Made<NewDog>).id, (arg as Made<NewDog>).body))
    if (endpoint === 'addOwner') owners.set((arg as Made<NewOwner>).id, freshOf(resources.owners, (arg as Made<NewOwner>).id, (arg as Made<NewOwner>).body))
  }
  return { dogs, owners }
}

const noteOver = (notes: DogNote[], { id, body }: Writes['addDogNote']): void => keepOne(notes, freshOf(resources.dogNotes, id, body))

function changeNote(notes: readonly DogNote[], { id, changes }: Writes['changeDogNote']): void {
  const note = notes.find((each) => each.id === id)
  if (note) assign(note, changes)
}

/** A weighing among the others, newest day first; the dog weighs what the newest says. */
function weighOver(dog: Dog, weighings: Weighing[], { id, body }: Writes['addWeighing']): void {
  if (weighings.some((each) => each.id === id)) return
  const at = weighings.findIndex((each) => each.on <= body.on)
  weighings.splice(at < 0 ? weighings.length : at, 0, freshOf(resources.weighings, id, body))
  dog.weightKg = weighings[0]?.kg ?? dog.weightKg
}

/** An outing among the others, newest day first. */
function dayOver<T extends { id: string; on: string }>(all: T[], made: T): void {
  if (all.some((each) => each.id === made.id)) return
  const at = all.findIndex((each) => each.on <= made.on)
  all.splice(at < 0 ? all.length : at, 0, made)
}

/** What hangs on a dog and is shown on its page and its tickets alike. */
type DogParts = Pick<DogSheet, 'outings' | 'tracings' | 'bootOutings'>

/** A write of such a part, over what is shown. */
function dogPartOver(parts: DogParts, endpoint: string, arg: unknown): void {
  const changed = (of: readonly { id: string }[]): void => {
    const { id, changes } = arg as Writes['changeOuting']
    const found = of.find((each) => each.id === id)
    if (found) assign(found, changes)
  }
  switch (endpoint) {
    case 'addOuting': {
      const { id, body } = arg as Writes['addOuting']
      return dayOver(parts.outings, freshOf(resources.outings, id, body))
    }
    case 'addBootOuting': {
      const { id, body } = arg as Writes['addBootOuting']
      return dayOver(parts.bootOutings, freshOf(resources.bootOutings, id, body))
    }
    case 'addTracing': {
      const { id, body } = arg as Writes['addTracing']
      if (!parts.tracings.some((each) => each.id === id)) parts.tracings.unshift(freshOf(resources.tracings, id, body))
      return
    }
    case 'changeOuting':
      return changed(parts.outings)
    case 'changeTracing':
      return changed(parts.tracings)
    case 'changeBootOuting':
      return changed(parts.bootOutings)
  }
}

function overSheet(sheet: TicketSheet, waiting: readonly NamedWrite[], known: ReturnType<typeof waitingRecords>): void {
  for (const { endpoint, arg } of waiting) {
    if (endpoint === 'act' && (arg as Writes['act']).ticketId === sheet.ticket.id) applyAct(sheet, (arg as Writes['act']).act)
    const change = arg as Changed
    if (endpoint === 'changeDog' && sheet.dog?.id === change.id) assign(sheet.dog, change.changes)
    if (sheet.dog && (arg as { dogId?: string }).dogId === sheet.dog.id) {
      if (endpoint === 'addDogNote') noteOver(sheet.dogNotes, arg as Writes['addDogNote'])
      if (endpoint === 'changeDogNote') {
        changeNote(sheet.dogNotes, arg as Writes['changeDogNote'])
        sheet.dogNotes = sheet.dogNotes.filter((note) => note.over === null)
      }
      if (endpoint === 'addWeighing') weighOver(sheet.dog, sheet.weighings, arg as Writes['addWeighing'])
      dogPartOver(sheet, endpoint, arg)
    }
    if (endpoint === 'changeOwner' && sheet.owner?.id === change.id) assign(sheet.owner, change.changes)
  }
  const { dogId, ownerId } = sheet.ticket
  if (dogId && sheet.dog?.id !== dogId) sheet.dog = known.dogs.get(dogId) ?? sheet.dog
  const owner = ownerId ?? sheet.dog?.ownerId ?? null
  if (owner && sheet.owner?.id !== owner) sheet.owner = known.owners.get(owner) ?? sheet.owner
}

function overDog(sheet: DogSheet, waiting: readonly NamedWrite[], known: ReturnType<typeof waitingRecords>): void {
  const { id } = sheet.dog
  for (const { endpoint, arg } of waiting) {
    if ((arg as { dogId?: string }).dogId !== id && (arg as { id?: string }).id !== id) continue
    if (endpoint === 'changeDog') assign(sheet.dog, (arg as Changed).changes)
    if (endpoint === 'addDogNote') noteOver(sheet.notes, arg as Writes['addDogNote'])
    if (endpoint === 'changeDogNote') changeNote(sheet.notes, arg as Writes['changeDogNote'])
    if (endpoint === 'addWeighing') weighOver(sheet.dog, sheet.weighings, arg as Writes['addWeighing'])
    dogPartOver(sheet, endpoint, arg)
    if (endpoint === 'addPhoto') {
      const { id: photoId, view, at, by, picture } = arg as Writes['addPhoto']
      const type = picture.type as DogSheet['photos'][number]['type']
      if (!sheet.photos.some((photo) => photo.id === photoId)) sheet.photos.unshift({ id: photoId, view, at, by, type, bytes: picture.size })
    }
    if (endpoint === 'removePhoto') sheet.photos = sheet.photos.filter((photo) => photo.id !== (arg as Writes['removePhoto']).id)
  }
  const owner = sheet.dog.ownerId
  if (owner && sheet.owner?.id !== owner) sheet.owner = known.owners.get(owner) ?? sheet.owner
  for (const { endpoint, arg } of waiting) {
    const { id: ticketId, body } = arg as Writes['addTicket']
    if (endpoint === 'addTicket' && body.dogId === id && !sheet.tickets.some((each) => each.ticket.id === ticketId))
      sheet.tickets.unshift(freshSheet(ticketId, body, sheet.dog, sheet.owner))
  }
  for (const ticket of sheet.tickets) overSheet(ticket, waiting, known)
}

/** What the writes do to an answer, in place: the one recipe of each. */
function doOver(path: string, answer: unknown, waiting: readonly NamedWrite[]): void {
  const known = waitingRecords(waiting)
  const list = LISTS.find((each) => each.path === path)
  if (list) {
    const records = answer as { id: string }[]
    for (const { endpoint, arg } of waiting) {
      if (endpoint === list.add) keepOne(records, freshOf(list.resource, (arg as Made<object>).id, (arg as Made<object>).body))
      const found = endpoint === list.change ? records.find((each) => each.id === (arg as Changed).id) : undefined
      if (found) assign(found, (arg as Changed).changes)
    }
  } else if (isDogsPage(path)) {
    const page = answer as DogsPage
    for (const { endpoint, arg } of waiting) {
      if (endpoint === 'addDog') intoPage(path, page, freshOf(resources.dogs, (arg as Made<NewDog>).id, (arg as Made<NewDog>).body))
      const found = endpoint === 'changeDog' ? page.dogs.find((each) => each.id === (arg as Changed).id) : undefined
      if (!found) continue
      assign(found, (arg as Changed).changes)
      intoPage(path, page, found)
    }
  } else if (path === '/size-tables') {
    const tables = answer as SizeTable[]
    for (const { endpoint, arg } of waiting) {
      const table = arg as SizeTable
      if (endpoint === 'addSizeTable' && !tables.some((each) => each.id === table.id && each.version === table.version)) tables.unshift(table)
    }
  } else if (path === '/shop') {
    for (const { endpoint, arg } of waiting) if (endpoint === 'changeShop') assign(answer as object, arg as Change[])
  } else if (/^\/tickets\/[0-9a-f-]+$/.test(path)) overSheet(answer as TicketSheet, waiting, known)
  else if (/^\/dogs\/[0-9a-f-]+$/.test(path)) overDog(answer as DogSheet, waiting, known)
}

/** What is written about a dog itself, and seen on its tickets. */
const OF_DOG: ReadonlySet<string> = new Set([
  'addDogNote',
  'changeDogNote',
  'addWeighing',
  'addOuting',
  'changeOuting',
  'addTracing',
  'changeTracing',
  'addBootOuting',
  'changeBootOuting',
])

/** The newest readings of a dog are the dog, too. */
const plainPath = (asked: string): string => asked.replace(/\?newest=\d+$/, '')

/** Could a write be about a question at all, whatever was answered? */
export function mayTouch(asked: string, { endpoint }: NamedWrite): boolean {
  const path = plainPath(asked)
  const list = LISTS.find((each) => each.path === path)
  if (list) return endpoint === list.add || endpoint === list.change
  if (isDogsPage(path)) return endpoint === 'addDog' || endpoint === 'changeDog'
  if (path === '/size-tables') return endpoint === 'addSizeTable'
  if (path === '/shop') return endpoint === 'changeShop'
  return /^\/(?:tickets|dogs)\/[0-9a-f-]+$/.test(path)
}

/** Does what a write says touch the answer to a question? So that what is untouched stays the very same object. */
function touches(path: string, answer: unknown, write: NamedWrite): boolean {
  const { endpoint, arg } = write
  const ticket = /^\/tickets\/([0-9a-f-]+)$/.exec(path)?.[1]
  if (ticket !== undefined) {
    const sheet = answer as TicketSheet
    if (endpoint === 'act') return (arg as Writes['act']).ticketId === ticket
    if (endpoint === 'changeDog') return sheet.dog?.id === (arg as Changed).id
    if (OF_DOG.has(endpoint)) return sheet.dog?.id === (arg as { dogId: string }).dogId
    if (endpoint === 'changeOwner') return sheet.owner?.id === (arg as Changed).id
    return endpoint === 'addDog' || endpoint === 'addOwner'
  }
  return mayTouch(path, write)
}

/**
 * An answer with writes done over it, so that what was done here is seen here; what no write touches is the very same object.
 *
 * @param asked the question, as it was asked
 * @param answer the server's answer or a kept copy; `null` when there is none
 */
export function withWrites(asked: string, answer: unknown, writes: readonly NamedWrite[]): unknown {
  const path = plainPath(asked)
  if (answer === null || answer === undefined) return madeHere(path, writes)
  const own = writes.filter((write) => touches(path, answer, write))
  if (own.length === 0) return answer
  return createNextState(answer, (over) => {
    doOver(path, over, own)
  })
}

/** A ticket or a dog that so far is only here. */
function madeHere(path: string, writes: readonly NamedWrite[]): unknown {
  const known = waitingRecords(writes)
  const ticketId = /^\/tickets\/([0-9a-f-]+)$/.exec(path)?.[1]
  const made = writes.find((write) => write.endpoint === 'addTicket' && (write.arg as Writes['addTicket']).id === ticketId)?.arg as
    Writes['addTicket'] | undefined
  if (made) {
    const { body } = made
    const sheet = freshSheet(made.id, body, known.dogs.get(body.dogId ?? '') ?? null, known.owners.get(body.ownerId ?? '') ?? null)
    overSheet(sheet, writes, known)
    return sheet
  }
  const dog = known.dogs.get(/^\/dogs\/([0-9a-f-]+)$/.exec(path)?.[1] ?? '')
  if (!dog) return null
  const sheet: DogSheet = { dog, owner: null, tickets: [], notes: [], photos: [], weighings: [], outings: [], tracings: [], bootOutings: [], joins: [] }
  overDog(sheet, writes, known)
  return sheet
}
