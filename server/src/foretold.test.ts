import type { ForetoldPair, Piece, TicketSheet } from '@merry-tailor/core'
import type { FastifyInstance } from 'fastify'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { AT, nextId, openTestShop, openTicket, send } from './test/shop.ts'

let app: FastifyInstance
let close: () => Promise<void>
beforeAll(async () => {
  ;({ app, close } = await openTestShop())
})
afterAll(() => close())

const put = (url: string, body: unknown) => send(app, 'PUT', url, body)
const pairs = async (): Promise<ForetoldPair[]> => (await send(app, 'GET', '/api/foretold')).body as unknown as ForetoldPair[]
const foretold = {
  version: 1,
  straps: { neck: 600, girth: 740.5 },
  checks: [
    { check: 'v-on-breastbone', state: 'pulling', mm: -8.1, sigmaMm: 6, grade: 'holds' },
    { check: 'under-every-strap', state: 'slack', strap: 'neck', mm: 12, sigmaMm: 6, grade: 'holds' },
    { check: 'under-every-strap', state: 'slack', strap: 'girth', mm: 2, sigmaMm: 6, grade: 'fails' },
    { check: 'plate-level', state: 'moving', mm: null, sigmaMm: null, grade: 'none' },
  ],
}
const moves = [{ strap: 'girth', side: 'left', byMm: -12.5 }]

it('keeps with a round what it was begun with, and gives every answered check beside it', async () => {
  const ticket = await openTicket(app)
  const [item, round, early, mark] = [nextId(), nextId(), nextId(), nextId()]
  await put(`/api/tickets/${ticket}/items/${item}`, { family: 'H11', way: 'stock', school: null, at: AT })
  const body = { itemId: item, of: { named: true }, label: 'Cedar', settings: [], changed: '', at: AT, by: 'Test' }
  await put(`/api/tickets/${ticket}/try-ons/${early}`, body)
  expect((await put(`/api/tickets/${ticket}/try-ons/${round}`, { ...body, foretold, moves, seconds: 160 })).status).toBe(200)
  const seen = (roundId: string, check: string, state: string, grade: string, id = nextId()) =>
    put(`/api/tickets/${ticket}/try-ons/${roundId}/observations/${id}`, { check, state, grade, asTyped: '', mm: null, fingers: null, at: AT, by: 'Test' })
  await seen(early, 'v-on-breastbone', 'pulling', 'fails')
  await seen(round, 'v-on-breastbone', 'pulling', 'doubt')
  const last = nextId()
  await seen(round, 'v-on-breastbone', 'pulling', 'holds', last)
  await seen(round, 'under-every-strap', 'slack', 'fails')
  await seen(round, 'plate-level', 'moving', 'holds')

  const sheet = (await send(app, 'GET', `/api/tickets/${ticket}`)).body as unknown as TicketSheet
  const kept = sheet.tryOns.find((each) => each.id === round)
  expect(kept).toMatchObject({ foretold, moves, seconds: 160 })
  // A round of before says that nothing was kept, and is in no pair.
  expect(sheet.tryOns.find((each) => each.id === early)?.foretold).toBeNull()
  const of = async () => (await pairs()).map(({ check, state, predicted, seen: found, family }) => [family, check, state, predicted, found])
  expect(await of()).toEqual([
    ['H11', 'v-on-breastbone', 'pulling', 'holds', 'holds'],
    // Strap by strap the worst counts; what nothing was foretold of is left out.
    ['H11', 'under-every-strap', 'slack', 'fails', 'fails'],
  ])
  // An answer taken back leaves the one before it; a round taken back leaves nothing.
  await put(`/api/tickets/${ticket}/marks/${mark}`, { what: 'observation', about: last, kind: 'struck', why: 'Taken back', at: AT, by: 'Test' })
  expect((await of())[0]).toEqual(['H11', 'v-on-breastbone', 'pulling', 'holds', 'doubt'])
  await put(`/api/tickets/${ticket}/marks/${nextId()}`, { what: 'try-on', about: round, kind: 'struck', why: 'Taken back', at: AT, by: 'Test' })
  expect(await of()).toEqual([])
})

it('refuses a prediction that is none with a problem at its field, and keeps nothing', async () => {
  const ticket = await openTicket(app)
  const item = nextId()
  await put(`/api/tickets/${ticket}/items/${item}`, { family: 'H11', way: 'stock', school: null, at: AT })
  const bad = await put(`/api/tickets/${ticket}/try-ons/${nextId()}`, {
    itemId: item, of: { named: true }, label: 'Cedar', settings: [], changed: '', at: AT, by: 'Test', foretold: { ...foretold, straps: { neck: -5 } },
  }) // prettier-ignore
  expect(bad.status).toBe(400)
  expect(JSON.stringify(bad.body)).toContain('foretold')
})

it('keeps how a piece for the car is built', async () => {
  const id = nextId()
  const piece = {
    tag: 'Car 9',
    family: 'H24',
    maker: '',
    label: '',
    tableId: null,
    flat: {},
    sliders: '',
    home: 'shop',
    holder: '',
    wearerId: null,
    state: 'good',
    wear: '',
    at: AT,
  }
  await put(`/api/pieces/${id}`, { ...piece, build: 'two-buckle' })
  const plain = nextId()
  await put(`/api/pieces/${plain}`, piece)
  const all = (await send(app, 'GET', '/api/pieces')).body as unknown as Piece[]
  expect([all.find((each) => each.id === id)?.build, all.find((each) => each.id === plain)?.build]).toEqual(['two-buckle', null])
  expect((await send(app, 'PATCH', `/api/pieces/${id}`, { changes: [{ field: 'build', from: 'two-buckle', to: 'panel' }] })).status).toBe(200)
  expect((await send(app, 'PATCH', `/api/pieces/${id}`, { changes: [{ field: 'build', from: 'panel', to: 'rope' }] })).status).toBe(400)
})
