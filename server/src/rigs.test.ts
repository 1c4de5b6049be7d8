import type { Rig, TicketSheet } from '@merry-tailor/core'
import type { FastifyInstance } from 'fastify'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { AT, nextId, openTestShop, openTicket, send } from './test/shop.ts'

let app: FastifyInstance
let close: () => Promise<void>
beforeAll(async () => {
  ;({ app, close } = await openTestShop())
})
afterAll(() => close())

const cart = {
  name: 'Ash cart', kind: 'cart', massKg: 14.5, massAheadMm: -20, massHeightMm: 330, axleMm: 255, trackMm: 640, wheelbaseMm: null, lockRad: null,
  shafts: { aheadMm: 1140, levelMm: 470, thickMm: 26, stopMm: 44 }, hitch: { aheadMm: 300, heightMm: 290 }, bar: { widthMm: 420, swings: true },
  bed: { fromMm: -420, toMm: 380, heightMm: 390 }, brake: false, notes: '', at: AT,
} // prettier-ignore

it('keeps a rig, once however often it is sent, and changes single fields', async () => {
  const id = nextId()
  expect((await send(app, 'PUT', `/api/rigs/${id}`, cart)).status).toBe(200)
  expect((await send(app, 'PUT', `/api/rigs/${id}`, cart)).status).toBe(200)
  const [rig] = (await send(app, 'GET', '/api/rigs')).body as unknown as Rig[]
  const { at: _, ...fields } = cart
  expect(rig).toEqual({ ...fields, id, createdAt: AT })
  const changed = await send(app, 'PATCH', `/api/rigs/${id}`, { changes: [{ field: 'brake', from: false, to: true }] })
  expect(changed.body).toMatchObject({ brake: true })
  expect((await send(app, 'PATCH', `/api/rigs/${id}`, { changes: [{ field: 'axleMm', from: 255, to: -4 }] })).status).toBe(400)
  const thin = await send(app, 'PATCH', `/api/rigs/${id}`, { changes: [{ field: 'shafts', from: cart.shafts, to: { ...cart.shafts, stopMm: 20 } }] })
  expect([thin.status, thin.body.code]).toEqual([400, 'bad-request'])
  expect((await send(app, 'PATCH', `/api/rigs/${nextId()}`, { changes: [{ field: 'brake', from: false, to: true }] })).status).toBe(404)
})

it('keeps a drag without shafts, and a wagon with its wheelbase', async () => {
  const [drag, wagon] = [nextId(), nextId()]
  expect((await send(app, 'PUT', `/api/rigs/${drag}`, { ...cart, name: 'Log', kind: 'drag', shafts: null })).body).toMatchObject({ shafts: null })
  expect((await send(app, 'PUT', `/api/rigs/${wagon}`, { ...cart, name: 'Hay', kind: 'wagon', wheelbaseMm: 860, lockRad: 0.6 })).body).toMatchObject({
    wheelbaseMm: 860,
  })
})

it('refuses a bed that runs forward to behind, a stop thinner than its shaft, and a rig of a newer kind', async () => {
  for (const over of [{ bed: { fromMm: 100, toMm: -100, heightMm: 390 } }, { shafts: { ...cart.shafts, stopMm: 20 } }, { kind: 'hovercraft' }, { massKg: 0 }]) {
    const refused = await send(app, 'PUT', `/api/rigs/${nextId()}`, { ...cart, ...over })
    expect([refused.status, refused.body.code]).toEqual([400, 'bad-request'])
  }
})

it('keeps a set-up as a fact of its ticket: once, taken back by a mark, and not of a rig or item there is not', async () => {
  const [rig, item, setUp] = [nextId(), nextId(), nextId()]
  const ticket = await openTicket(app)
  await send(app, 'PUT', `/api/rigs/${rig}`, { ...cart, name: 'Second cart' })
  await send(app, 'PUT', `/api/tickets/${ticket}/items/${item}`, { family: 'H23', way: 'stock', school: null, at: AT })
  const body = {
    itemId: item, pieceId: null, rigId: rig, loads: [{ name: 'Churn', massKg: 21, aheadMm: 14, heightMm: 560 }], surface: 'gravel', gradePercent: 3, lasts: 'long',
    loopMm: 478, rearMm: { left: 0, right: 6 }, minutes: { neck: 7.5 }, at: AT, by: 'Test',
  } // prettier-ignore
  const put = (id: string, over: object = {}) => send(app, 'PUT', `/api/tickets/${ticket}/set-ups/${id}`, { ...body, ...over })
  expect((await put(setUp)).status).toBe(200)
  expect((await put(setUp)).status).toBe(200)
  const kept = async () => ((await send(app, 'GET', `/api/tickets/${ticket}`)).body as unknown as TicketSheet).setUps
  expect(await kept()).toEqual([{ ...body, id: setUp }])
  for (const over of [{ rigId: nextId() }, { itemId: nextId() }]) expect((await put(nextId(), over)).status).toBe(422)
  for (const over of [{ gradePercent: 60 }, { loads: [{ name: '', massKg: 1, aheadMm: 0, heightMm: 0 }] }]) expect((await put(nextId(), over)).status).toBe(400)
  const mark = { what: 'set-up', about: setUp, kind: 'struck', why: 'Taken back', at: AT, by: 'Test' }
  expect((await send(app, 'PUT', `/api/tickets/${ticket}/marks/${nextId()}`, mark)).status).toBe(200)
  expect((await kept())[0]?.struck?.why).toBe('Taken back')
})
