import {
  actsBeyond,
  noFacts,
  type Act,
  type Dog,
  type DogSheet,
  type NewDog,
  type NewOwner,
  type NewTicket,
  type Owner,
  type TicketSheet,
} from '@merry-tailor/core'
import { deviceStore } from './device-store'
import type { NamedWrite } from './named-writes'
import { outbox } from './outbox'
import { meant } from './post'
import { deviceBook } from './book-mark'
import { put, requestOf } from './requests'

/** What this device knows that the book does not, as the writes that would put it there. */
export interface Beyond {
  writes: (NamedWrite & { request: ReturnType<typeof put> })[]
  count: number
  words: string
}

/** Puts the kept answers aside: they are of the book as it was. */
export async function setAside(): Promise<void> {
  const db = await deviceStore()
  const shelves = db.transaction(['kept', 'aside'], 'readwrite')
  const [kept, aside] = [shelves.objectStore('kept'), shelves.objectStore('aside')]
  await aside.clear()
  for (const path of await kept.getAllKeys()) {
    const copy = await kept.get(path)
    if (copy) await aside.put(copy, path)
  }
  await kept.clear()
  await shelves.done
}

const ask = async <T>(path: string): Promise<T | null> => {
  const answer = await fetch(`/api${path}`, { headers: meant(deviceBook.mark) }).catch(() => null)
  return answer?.ok ? ((await answer.json().catch(() => null)) as T | null) : null
}

/** Every ticket that was put aside, by its id, in the newest shape there is of it. */
async function sheetsAside(): Promise<TicketSheet[]> {
  const db = await deviceStore()
  const sheets = new Map<string, TicketSheet>()
  const paths = await db.getAllKeys('aside')
  for (const path of paths.filter((each) => /^\/dogs\/[0-9a-f-]+$/.test(each))) {
    for (const sheet of ((await db.get('aside', path))?.data as DogSheet).tickets) sheets.set(sheet.ticket.id, sheet)
  }
  for (const path of paths.filter((each) => /^\/tickets\/[0-9a-f-]+$/.test(each))) {
    const sheet = (await db.get('aside', path))?.data as TicketSheet
    sheets.set(sheet.ticket.id, sheet)
  }
  return [...sheets.values()]
}

const dogBody = ({ id: _, createdAt, ...dog }: Dog): NewDog => ({ ...dog, at: createdAt })
const ownerBody = ({ id: _, createdAt, ...owner }: Owner): NewOwner => ({ ...owner, at: createdAt })

/** Holds what was put aside against the book as it is now. */
export async function beyondOf(): Promise<Beyond> {
  const writes: Beyond['writes'] = []
  const made = new Set<string>()
  let [tickets, facts] = [0, 0]
  for (const held of await sheetsAside()) {
    const { ticket, dog, owner } = held
    const there = await ask<TicketSheet>(`/tickets/${ticket.id}`)
    if (!there) {
      if (owner && !made.has(owner.id) && !(await ask(`/owners/${owner.id}`))) {
        made.add(owner.id)
        writes.push({ endpoint: 'addOwner', arg: { id: owner.id, body: ownerBody(owner) }, request: put(`/owners/${owner.id}`, ownerBody(owner)) })
      }
      if (dog && !made.has(dog.id) && !(await ask(`/dogs/${dog.id}`))) {
        made.add(dog.id)
        writes.push({ endpoint: 'addDog', arg: { id: dog.id, body: dogBody(dog) }, request: put(`/dogs/${dog.id}`, dogBody(dog)) })
      }
      const body: NewTicket = { dogId: ticket.dogId, ownerId: ticket.ownerId, kind: ticket.kind, at: ticket.createdAt, by: ticket.by }
      writes.push({ endpoint: 'addTicket', arg: { id: ticket.id, body }, request: put(`/tickets/${ticket.id}`, body) })
      tickets += 1
    }
    const acts = actsBeyond(held, there ?? { ...held, ...noFacts() })
    if (!there && ticket.activities.length > 0) acts.unshift({ act: 'change', changes: [{ field: 'activities', from: [], to: ticket.activities }] })
    facts += acts.length
    for (const act of acts) writes.push(actWrite(ticket.id, act))
  }
  const words = [facts > 0 ? (facts === 1 ? '1 act' : `${facts} acts`) : '', tickets > 0 ? (tickets === 1 ? '1 ticket' : `${tickets} tickets`) : '']
    .filter(Boolean)
    .join(' and ')
  return { writes, count: writes.length, words }
}

const actWrite = (ticketId: string, act: Act): Beyond['writes'][number] => ({
  endpoint: 'act',
  arg: { ticketId, act },
  request: requestOf(ticketId, act),
})

/** Puts it in, in order, through the outbox: what the book refuses is named like any other refusal. */
export async function sendBeyond({ writes }: Beyond): Promise<void> {
  for (const { endpoint, arg, request } of writes) {
    const sent = await outbox.write(endpoint, arg, request)
    if (sent.kind === 'refused') break
  }
}
