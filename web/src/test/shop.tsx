import 'fake-indexeddb/auto'
import {
  actsBeyond,
  addressOf,
  labelsOf,
  noFacts,
  PLAIN_CIRCUMSTANCES,
  tableOf,
  UNASKED,
  USUAL_SHOP,
  type Act,
  type ActSheet,
  type Change,
  type Choice,
  type Dog,
  type DogSheet,
  type Fitter,
  type Item,
  type MarkedKind,
  type Owner,
  type Piece,
  type Reading,
  type ShopFields,
  type SizeTable,
  type Strike,
  type Supply,
  type TicketSheet,
  type MeasureId,
} from '@merry-tailor/core'
import type { FastifyInstance } from 'fastify'
import { cleanup, configure, render } from '@testing-library/react'
import { format, subMonths } from 'date-fns'
import type { ReactNode } from 'react'
import { Provider } from 'react-redux'
import { createMemoryRouter, RouterProvider } from 'react-router'
import { afterEach, beforeAll, beforeEach, vi } from 'vitest'
import { buildApp } from '../../../server/src/app.ts'
import { deviceBook } from '../api/book-mark'
import { deviceStore } from '../api/device-store'
import { outbox } from '../api/outbox'
import { shopApi } from '../api/shop-api'
import { settingsChanged } from '../state/settings'
import { store, watchOutbox } from '../state/store'
import { stubPage } from './page-stubs'
import { TicketFrame } from '../ticket/TicketFrame'

/** What a test puts up: it goes into the true server’s book before the page asks for anything. */
export interface TestShop {
  tickets: TicketSheet[]
  dogs: Dog[]
  owners: Owner[]
  sizeTables: SizeTable[]
  dogSheets: Record<string, DogSheet>
  fitters: Fitter[]
  pieces: Piece[]
  supply: Supply[]
  shop: ShopFields
  /** Answers of a test's own, by the beginning of `METHOD /path`. */
  answers: Record<string, (body: unknown) => Response>
  /** Everything that was sent, in order. */
  sent: { method: string; path: string; body: unknown }[]
}

let shop: TestShop
export const testShop = (): TestShop => shop

export const AT = '2026-10-05T09:00:00Z'
let n = 0
export const nextId = (): string => `01900000-0000-7000-8000-${(n += 1).toString(16).padStart(12, '0')}`

/** A birthday so many months back: ages in tests never grow old. */
export const bornMonthsAgo = (months: number): string => format(subMonths(new Date(), months), 'yyyy-MM-dd')

export const aDog = (over: Partial<Dog> = {}): Dog => ({
  id: nextId(),
  name: 'Tern',
  breed: 'Siberian Husky',
  crossWith: '',
  sex: 'female',
  born: '2023-05-01',
  ageMonths: null,
  ageSaidOn: null,
  weightKg: 20.4,
  coat: 'thick-double',
  flatFace: false,
  sparing: false,
  notes: '',
  ownerId: null,
  createdAt: AT,
  ...over,
})
export const anItem = (over: Partial<Item> = {}): Item => ({
  id: nextId(),
  family: 'H01',
  way: 'stock',
  school: null,
  removed: false,
  purpose: '',
  createdAt: AT,
  ...over,
})
export const aReading = (measure: MeasureId, mm: number, over: Partial<Reading> = {}): Reading => ({
  ...PLAIN_CIRCUMSTANCES,
  id: nextId(),
  measure,
  mm,
  side: 'both',
  asTyped: `${mm} mm`,
  unit: 'mm',
  takenAt: AT,
  by: 'Ylva',
  ...over,
})
export const aTicket = ({ ticket, ...over }: Partial<Omit<TicketSheet, 'ticket'>> & { ticket?: Partial<TicketSheet['ticket']> } = {}): TicketSheet => {
  const dog = over.dog === undefined ? aDog() : over.dog
  return {
    ticket: {
      dogId: dog?.id ?? null,
      ownerId: null,
      ...UNASKED,
      activities: ['stroll'],
      id: nextId(),
      number: 101,
      kind: 'real',
      createdAt: AT,
      by: 'Ylva',
      ...ticket,
    },
    owner: null,
    dogNotes: [],
    weighings: [],
    outings: [],
    tracings: [],
    bootOutings: [],
    ...noFacts(),
    items: [anItem()],
    ...over,
    dog,
  }
}

/** The true server, with a database of its own for each test. */
let app: FastifyInstance
const HOST = { host: 'localhost' }

type Method = 'GET' | 'PUT' | 'PATCH' | 'POST' | 'DELETE'

/** Puts a record where the server keeps it; what it refuses is a mistake of the test. */
async function put(path: string, body: unknown, method: Method = 'PUT'): Promise<void> {
  const answer = await app.inject({ method, url: `/api${path}`, headers: HOST, payload: body as object })
  if (answer.statusCode >= 400) throw new Error(`the test's own ${method} ${path} was refused: ${answer.body}`)
}

const seeded = new Set<unknown>()
const changesOf = (from: object, to: object): Change[] =>
  Object.entries(to).flatMap(([field, value]) => {
    const before = (from as Record<string, unknown>)[field]
    return JSON.stringify(before) === JSON.stringify(value) ? [] : [{ field, from: before, to: value }]
  })

async function seedOwner(owner: Owner): Promise<void> {
  if (seeded.has(owner.id)) return
  seeded.add(owner.id)
  const { id, createdAt, ...body } = owner
  await put(`/owners/${id}`, { ...body, at: createdAt })
}

async function seedDog(dog: Dog): Promise<void> {
  if (seeded.has(dog.id)) return
  seeded.add(dog.id)
  const { id, createdAt, ...body } = dog
  await put(`/dogs/${id}`, { ...body, at: createdAt })
}

/** A table a choice names must be there. */
async function seedTableOf(choice: Choice): Promise<void> {
  const named = tableOf(choice)
  if (!named || shop.sizeTables.some((table) => table.id === named.tableId && table.version === named.tableVersion)) return
  const labels = labelsOf(choice).length > 0 ? labelsOf(choice) : ['One']
  shop.sizeTables.push({
    id: named.tableId, version: named.tableVersion, name: 'Any', maker: 'Any', family: 'H01', way: choice.kind === 'made' ? 'made' : 'stock', unit: 'cm', between: null,
    sizes: labels.map((label, i) => ({ label, bands: { M07: [500 + 60 * i, 560 + 60 * i] } })), lead: { minWeeks: 0, maxWeeks: 0 },
  }) // prettier-ignore
  await seedTables()
}

async function seedTables(): Promise<void> {
  for (const table of shop.sizeTables) {
    if (seeded.has(table)) continue
    seeded.add(table)
    await put(`/size-tables/${table.id}/${table.version}`, table)
  }
}

/** Brings a whole sheet into the book by the acts that make it. */
async function seedSheet(sheet: TicketSheet): Promise<void> {
  if (seeded.has(sheet.ticket.id)) return
  seeded.add(sheet.ticket.id)
  const { ticket } = sheet
  if (sheet.owner) await seedOwner(sheet.owner)
  if (sheet.dog) await seedDog(sheet.dog)
  if (sheet.dog) {
    for (const { id, removed: _r, ...body } of sheet.tracings.toReversed()) await put(`/dogs/${sheet.dog.id}/tracings/${id}`, body)
    for (const { id, removed: _r, ...body } of sheet.bootOutings.toReversed()) await put(`/dogs/${sheet.dog.id}/boot-outings/${id}`, body)
  }
  await put(`/tickets/${ticket.id}`, { dogId: ticket.dogId, ownerId: ticket.ownerId, kind: ticket.kind, at: ticket.createdAt, by: ticket.by })
  app.desk.db.prepare('UPDATE book SET last_number = max(last_number, ?)').run(ticket.number)
  app.desk.db
    .prepare('UPDATE tickets SET number = ? WHERE id = ? AND NOT EXISTS (SELECT 1 FROM tickets WHERE number = ?)')
    .run(ticket.number, ticket.id, ticket.number)
  const { id: _, number: __, kind: ___, createdAt: ____, by: _____, on: ______, dogId: _______, ownerId: ________, ...fields } = ticket
  const { state, closedAt, ...open } = fields
  const changed = changesOf(UNASKED, open)
  if (changed.length > 0) await put(`/tickets/${ticket.id}`, { changes: changed }, 'PATCH')
  for (const choice of sheet.choices) await seedTableOf(choice)
  const none: ActSheet = {
    ...sheet,
    ...noFacts(),
  }
  const acts = actsBeyond({ ...sheet, marks: [] }, none)
  for (const act of [...acts, ...sheet.items.filter((item) => item.removed).map(takenOff), ...marksFor(sheet)]) {
    const { method, path, body } = addressOf(ticket.id, act)
    await put(path, body, method)
  }
  if (state === 'closed') {
    await put(`/tickets/${ticket.id}`, { changes: [{ field: 'state', from: 'open', to: 'closed' }, { field: 'closedAt', from: null, to: closedAt }] }, 'PATCH') // prettier-ignore
  }
}

const takenOff = (item: Item): Act => ({ act: 'change', itemId: item.id, changes: [{ field: 'removed', from: false, to: true }] })

/** The marks a sheet has, and those its struck facts need. */
function marksFor(sheet: TicketSheet): Act[] {
  const facts: [MarkedKind, readonly { id: string; struck?: Strike | undefined }[]][] = [
    ['reading', sheet.readings],
    ['acknowledgement', sheet.acknowledgements],
    ['as-written', sheet.asWritten],
    ['choice', sheet.choices],
    ['try-on', sheet.tryOns],
  ]
  const known = sheet.marks.map(({ id, ...body }): Act => ({ act: 'mark', id, body }))
  const made = facts.flatMap(([what, list]) =>
    list.flatMap((fact): Act[] =>
      fact.struck && !sheet.marks.some((mark) => mark.about === fact.id)
        ? [{ act: 'mark', id: nextId(), body: { what, about: fact.id, kind: 'struck', ...fact.struck } }]
        : [],
    ),
  )
  return [...known, ...made]
}

async function seedDogSheet(sheet: DogSheet): Promise<void> {
  if (sheet.owner) await seedOwner(sheet.owner)
  await seedDog(sheet.dog)
  for (const ticket of sheet.tickets) await seedSheet(ticket)
  for (const note of sheet.notes) {
    if (seeded.has(note.id)) continue
    seeded.add(note.id)
    const { id, over, ...body } = note
    await put(`/dogs/${sheet.dog.id}/notes/${id}`, body)
    if (over !== null) await put(`/dogs/${sheet.dog.id}/notes/${id}`, { changes: [{ field: 'over', from: null, to: over }] }, 'PATCH')
  }
  for (const weighing of sheet.weighings) {
    if (seeded.has(weighing.id)) continue
    seeded.add(weighing.id)
    const { id, ...body } = weighing
    await put(`/dogs/${sheet.dog.id}/weighings/${id}`, body)
  }
  for (const photo of sheet.photos) {
    if (seeded.has(photo.id)) continue
    seeded.add(photo.id)
    app.desk.db
      .prepare('INSERT INTO photos (id, dog_id, view, type, picture, at, by_whom) VALUES (?, ?, ?, ?, ?, ?, ?)')
      .run(photo.id, sheet.dog.id, photo.view, photo.type, Buffer.alloc(photo.bytes), photo.at, photo.by)
  }
}

async function seedPieces(which: (piece: Piece) => boolean = () => true): Promise<void> {
  for (const piece of shop.pieces.filter(which)) {
    if (seeded.has(piece.id)) continue
    seeded.add(piece.id)
    const { id, retired, createdAt, ...body } = piece
    await put(`/pieces/${id}`, { ...body, at: createdAt })
    if (retired) await put(`/pieces/${id}`, { changes: [{ field: 'retired', from: null, to: retired }] }, 'PATCH')
  }
}

/** Everything a test has put up since the last look goes into the book. */
async function seed(): Promise<void> {
  const wished = changesOf(USUAL_SHOP, shop.shop)
  const key = JSON.stringify(wished)
  if (wished.length > 0 && !seeded.has(key)) {
    seeded.add(key)
    await put('/shop', { changes: wished }, 'PATCH').catch(() => undefined)
  }
  await seedTables()
  for (const owner of shop.owners) await seedOwner(owner)
  for (const dog of shop.dogs) await seedDog(dog)
  // What a choice names must be there; what a dog of a ticket wears comes after it.
  await seedPieces((piece) => piece.wearerId === null)
  for (const sheet of shop.tickets) await seedSheet(sheet)
  for (const sheet of Object.values(shop.dogSheets)) await seedDogSheet(sheet)
  for (const fitter of shop.fitters) {
    if (seeded.has(fitter.id)) continue
    seeded.add(fitter.id)
    await put(`/fitters/${fitter.id}`, { name: fitter.name, at: fitter.createdAt })
    const changed = changesOf({ gauge: null, left: false }, { gauge: fitter.gauge, left: fitter.left })
    if (changed.length > 0) await put(`/fitters/${fitter.id}`, { changes: changed }, 'PATCH')
  }
  await seedPieces()
}

/** One after the other: what is put up first is there first. */
let seeding: Promise<void> = Promise.resolve()
const seedNow = (): Promise<void> =>
  (seeding = seeding.then(seed).catch((error: unknown) => {
    console.error(error)
  }))

/** What the server would say beside an answer of a test's own. */
const said = (headers: Record<string, string>): Record<string, string> => ({
  'merry-book': app.desk.head.book,
  'merry-epoch': String(app.desk.head.epoch),
  'merry-seq': String(app.desk.head.seq),
  'merry-time': new Date().toISOString(),
  ...(headers['merry-write'] ? { 'merry-write': headers['merry-write'] } : {}),
})

/** A fetch that goes to the true server, or to a test's own answer. */
async function fetchShop(url: string, init: { method?: Method; body?: string | Blob; headers?: Record<string, string> } = {}): Promise<Response> {
  await seedNow()
  const method = init.method ?? 'GET'
  const path = url.replace(/^\/api/, '')
  const { headers = {}, body } = init
  const parsed: unknown = typeof body === 'string' ? JSON.parse(body) : null
  if (method !== 'GET') shop.sent.push({ method, path, body: parsed })
  const own = Object.entries(shop.answers).find(([begins]) => `${method} ${path}`.startsWith(begins))
  if (own) {
    const answer = own[1](parsed)
    return new Response(await answer.text(), { status: answer.status, headers: said(headers) })
  }
  const payload = typeof body === 'string' ? body : body ? Buffer.from(await body.arrayBuffer()) : undefined
  const answer = await app.inject({ method, url, headers: { ...HOST, ...headers }, ...(payload === undefined ? {} : { payload }) })
  return new Response(answer.body, { status: answer.statusCode, headers: answer.headers as Record<string, string> })
}

/** Puts the true server up before each test of a file and takes it down after. */
export function withTestShop(): void {
  let stopWatching: () => void
  beforeAll(() => {
    // A machine shared with others may take many times as long: patience costs nothing where all is well.
    configure({ asyncUtilTimeout: 60_000 })
    stubPage()
  })
  beforeEach(async () => {
    shop = {
      tickets: [],
      dogs: [],
      owners: [],
      sizeTables: [],
      dogSheets: {},
      fitters: [],
      pieces: [],
      supply: [],
      shop: { ...USUAL_SHOP },
      answers: {},
      sent: [],
    }
    seeded.clear()
    app = await buildApp({
      standIns: true,
      database: ':memory:',
      supplier: { ask: () => (shop.supply.length > 0 ? Promise.resolve(shop.supply) : Promise.reject(new Error('away'))) },
    })
    wideScreen()
    vi.stubGlobal('fetch', vi.fn(fetchShop))
    const db = await deviceStore()
    await Promise.all((['outbox', 'refused', 'kept', 'aside', 'unread'] as const).map((shelf) => db.clear(shelf)))
    deviceBook.forget()
    // A slow test machine is no network that swallows packets.
    outbox.patienceMs = 20_000
    outbox.forget()
    store.dispatch(shopApi.util.resetApiState())
    stopWatching = watchOutbox()
    store.dispatch(settingsChanged({ unit: 'cm', fitter: 'Ylva', helper: '', letterKeys: true, voice: false, theme: 'light' }))
  })
  afterEach(async () => {
    cleanup()
    // What a test began ends before its page is taken away.
    await Promise.all(store.dispatch(shopApi.util.getRunningMutationsThunk()))
    await Promise.all(store.dispatch(shopApi.util.getRunningQueriesThunk()))
    await outbox.drain()
    stopWatching()
    await app.close()
  })
}

/** Screens as wide as the bench, or as narrow as a phone. */
export function wideScreen(phone = false): void {
  vi.stubGlobal('matchMedia', (query: string) => ({
    matches: phone ? query.includes('max-width') : query.includes('min-width'),
    addEventListener: () => undefined,
    removeEventListener: () => undefined,
  }))
}

/** Renders one page at an address. */
export function renderPage(path: string, pattern: string, element: ReactNode) {
  const router = createMemoryRouter(
    [
      { path: pattern, element },
      { path: '*', element: <p>elsewhere</p> },
    ],
    { initialEntries: [path] },
  )
  render(
    <Provider store={store}>
      <RouterProvider router={router} />
    </Provider>,
  )
  return router
}

/** Renders one stage of a ticket inside its frame. */
export function renderStage(sheet: TicketSheet, stage: string, element: ReactNode, at = stage) {
  shop.tickets.push(sheet)
  const router = createMemoryRouter(
    [
      {
        path: '/tickets/:ticketId',
        element: <TicketFrame />,
        children: [
          { path: stage, element },
          { path: '*', element: <p>another stage</p> },
        ],
      },
      { path: '*', element: <p>elsewhere</p> },
    ],
    { initialEntries: [`/tickets/${sheet.ticket.id}/${at}`] },
  )
  render(
    <Provider store={store}>
      <RouterProvider router={router} />
    </Provider>,
  )
  return router
}
