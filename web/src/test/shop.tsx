import 'fake-indexeddb/auto'
import {
  applyAct,
  PLAIN_CIRCUMSTANCES,
  UNASKED,
  USUAL_SHOP,
  type Act,
  type Change,
  type Dog,
  type DogSheet,
  type Fitter,
  type Item,
  type NewPiece,
  type Piece,
  type Reading,
  type ShopFields,
  type SizeTable,
  type Supply,
  type TicketSheet,
} from '@merry-tailor/core'
import { cleanup, configure, render } from '@testing-library/react'
import type { ReactNode } from 'react'
import { Provider } from 'react-redux'
import { createMemoryRouter, RouterProvider } from 'react-router'
import { afterEach, beforeAll, beforeEach, vi } from 'vitest'
import { deviceStore } from '../api/device-store'
import { outbox } from '../api/outbox'
import { sheetRecipes } from '../api/recipes'
import { shopApi } from '../api/shop-api'
import { settingsChanged } from '../app/settings'
import { store } from '../app/store'
import { stubPage } from './page-stubs'
import { TicketFrame } from '../ticket/TicketFrame'

/** A shop without a server: what the page asks is answered from here, and what it sends is done here. */
export interface TestShop {
  tickets: TicketSheet[]
  dogs: Dog[]
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
export const anItem = (over: Partial<Item> = {}): Item => ({ id: nextId(), family: 'H01', way: 'stock', school: null, removed: false, createdAt: AT, ...over })
export const aReading = (measure: string, mm: number, over: Partial<Reading> = {}): Reading => ({
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
      counter: false,
      createdAt: AT,
      by: 'Ylva',
      ...ticket,
    },
    owner: null,
    items: [anItem()],
    readings: [],
    choices: [],
    tryOns: [],
    acknowledgements: [],
    asWritten: [],
    marks: [],
    ...over,
    dog,
  }
}

const json = (body: unknown, status = 200): Response => new Response(JSON.stringify(body), { status })

/** The parts of a ticket a write may name, as the acts that make them. */
const ACTS: Readonly<Record<string, Act['act']>> = { readings: 'read', marks: 'mark', acknowledgements: 'acknowledge', 'as-written': 'write-down' }

function write(method: string, path: string, body: unknown): Response {
  const part = /^\/tickets\/([^/]+)\/([^/]+)\/([^/]+)(\/answer)?$/.exec(path)
  const sheet = shop.tickets.find((each) => path.startsWith(`/tickets/${each.ticket.id}`))
  if (part && sheet) {
    const [, , kind = '', id = '', answer] = part
    const act = answer ? 'answer' : ACTS[kind]
    if (act) applyAct(sheet, { act, id, body } as Act)
    const made = body as never
    if (method === 'PUT' && kind === 'items') sheetRecipes.addItem(sheet, { ticketId: sheet.ticket.id, id, body: made })
    if (method === 'PUT' && kind === 'choices') sheetRecipes.addChoice(sheet, { ticketId: sheet.ticket.id, id, body: made })
    if (method === 'PUT' && kind === 'try-ons') sheetRecipes.addTryOn(sheet, { ticketId: sheet.ticket.id, id, body: made })
    if (method === 'PATCH' && kind === 'items')
      sheetRecipes.changeItem(sheet, { ticketId: sheet.ticket.id, id, changes: (made as { changes: Change[] }).changes })
    return json(body)
  }
  const ofRound = /\/try-ons\/([^/]+)\/(observations|symptoms)\/([^/]+)$/.exec(path)
  if (ofRound && sheet) {
    const [, roundId = '', kind, id = ''] = ofRound
    const recipe = kind === 'observations' ? sheetRecipes.addObservation : sheetRecipes.addSymptomNote
    recipe(sheet, { ticketId: sheet.ticket.id, roundId, id, body: body as never })
    return json(body)
  }
  const piece = /^\/pieces\/([^/]+)$/.exec(path)?.[1]
  if (piece && method === 'PUT') {
    const { at, ...made } = body as NewPiece
    shop.pieces.push({ ...made, id: piece, retired: null, createdAt: at })
    return json(body)
  }
  const changes = (body as { changes?: { field: string; to: unknown }[] } | null)?.changes ?? []
  const target =
    path === '/shop' ? shop.shop : (shop.pieces.find((each) => each.id === piece) ?? sheet?.ticket ?? shop.dogs.find((dog) => path === `/dogs/${dog.id}`))
  if (method === 'PATCH' && target) for (const { field, to } of changes) (target as unknown as Record<string, unknown>)[field] = to
  return json(body)
}

function read(path: string): Response {
  if (path === '/tickets?state=open') return json(shop.tickets)
  const ticket = shop.tickets.find((sheet) => path === `/tickets/${sheet.ticket.id}`)
  if (ticket) return json(ticket)
  if (path === '/dogs') return json(shop.dogs)
  if (path.startsWith('/dogs/')) {
    const sheet = shop.dogSheets[path.slice(6)]
    return sheet ? json(sheet) : json({ code: 'not-found', detail: 'There is no dog under this id.' }, 404)
  }
  if (path.startsWith('/size-tables')) return json(shop.sizeTables)
  if (path === '/fitters') return json(shop.fitters)
  if (path === '/shop') return json(shop.shop)
  if (path === '/pieces') return json(shop.pieces)
  if (path === '/supply') return json(shop.supply)
  if (path.startsWith('/reminders')) return json({ again: [], back: [] })
  return json([])
}

/** Puts the shop up before each test of a file and takes it down after. */
export function withTestShop(): void {
  beforeAll(() => {
    configure({ asyncUtilTimeout: 10_000 })
    stubPage()
  })
  beforeEach(async () => {
    shop = { tickets: [], dogs: [], sizeTables: [], dogSheets: {}, fitters: [], pieces: [], supply: [], shop: { ...USUAL_SHOP }, answers: {}, sent: [] }
    wideScreen()
    vi.stubGlobal(
      'fetch',
      vi.fn((url: string, init: { method?: string; body?: string } = {}) => {
        const method = init.method ?? 'GET'
        const path = url.replace(/^\/api/, '')
        const body: unknown = typeof init.body === 'string' ? JSON.parse(init.body) : null
        if (method !== 'GET') shop.sent.push({ method, path, body })
        const own = Object.entries(shop.answers).find(([begins]) => `${method} ${path}`.startsWith(begins))
        return Promise.resolve(own ? own[1](body) : method === 'GET' ? read(path) : write(method, path, body))
      }),
    )
    const db = await deviceStore()
    await Promise.all([db.clear('outbox'), db.clear('refused'), db.clear('kept')])
    store.dispatch(shopApi.util.resetApiState())
    store.dispatch(settingsChanged({ unit: 'cm', fitter: 'Ylva', helper: '', letterKeys: true, voice: false, theme: 'light' }))
  })
  afterEach(async () => {
    cleanup()
    // What a test began ends before its page is taken away.
    await Promise.all(store.dispatch(shopApi.util.getRunningMutationsThunk()))
    await Promise.all(store.dispatch(shopApi.util.getRunningQueriesThunk()))
    await outbox.drain()
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
export function renderStage(sheet: TicketSheet, stage: string, element: ReactNode) {
  shop.tickets.push(sheet)
  if (sheet.dog) shop.dogs.push(sheet.dog)
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
    { initialEntries: [`/tickets/${sheet.ticket.id}/${stage}`] },
  )
  render(
    <Provider store={store}>
      <RouterProvider router={router} />
    </Provider>,
  )
  return router
}
