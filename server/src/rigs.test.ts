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
    loopMm: 478, hitchMm: null, rearMm: { left: 0, right: 6 }, route: [{ lengthM: 400, surface: 'sand', gradePercent: 2 }], pair: null, minutes: { neck: 7.5 }, at: AT, by: 'Test',
  } // prettier-ignore
  const put = (id: string, over: object = {}) => send(app, 'PUT', `/api/tickets/${ticket}/set-ups/${id}`, { ...body, ...over })
  expect((await put(setUp)).status).toBe(200)
  expect((await put(setUp)).status).toBe(200)
  const kept = async () => ((await send(app, 'GET', `/api/tickets/${ticket}`)).body as unknown as TicketSheet).setUps
  expect(await kept()).toEqual([{ ...body, id: setUp }])
  const pair = { dogId: nextId(), side: 'left', armsMm: { left: 210, right: 210 }, pinMm: 40, leadMm: 0, yokeMm: { left: 260, right: 260 }, poleKg: 3 }
  for (const over of [{ rigId: nextId() }, { itemId: nextId() }, { pair }]) expect((await put(nextId(), over)).status).toBe(422)
  for (const over of [{ gradePercent: 60 }, { loads: [{ name: '', massKg: 1, aheadMm: 0, heightMm: 0 }] }]) expect((await put(nextId(), over)).status).toBe(400)
  // Locked it is a choice of its own, beside the size that was chosen; only of the item's own set-up.
  const choose = (choice: object) =>
    send(app, 'PUT', `/api/tickets/${ticket}/choices/${nextId()}`, {
      itemId: item,
      predicted: [],
      rulesVersion: null,
      overruled: null,
      at: AT,
      by: 'Test',
      ...choice,
    })
  expect((await choose({ kind: 'set-up', setUpId: setUp })).status).toBe(200)
  const odd = await choose({ kind: 'set-up', setUpId: nextId() })
  expect([odd.status, odd.body.code]).toEqual([422, 'unknown-reference'])
  const mark = { what: 'set-up', about: setUp, kind: 'struck', why: 'Taken back', at: AT, by: 'Test' }
  expect((await send(app, 'PUT', `/api/tickets/${ticket}/marks/${nextId()}`, mark)).status).toBe(200)
  expect((await kept())[0]?.struck?.why).toBe('Taken back')
})

it('keeps outings of a dog, newest day first, taken off the list and put back; not with a rig there is not', async () => {
  const [dog, first, second] = [nextId(), nextId(), nextId()]
  await send(app, 'PUT', `/api/dogs/${dog}`, { name: 'Tern', at: AT })
  const outing = { on: '2026-03-01', rung: 'wear', calm: true, loadKg: null, minutes: 10, rigId: null, note: '', at: AT, by: 'Test' }
  const put = (id: string, over: object = {}) => send(app, 'PUT', `/api/dogs/${dog}/outings/${id}`, { ...outing, ...over })
  expect((await put(first)).status).toBe(200)
  expect((await put(first)).status).toBe(200)
  expect((await put(second, { on: '2026-03-04', rung: 'load', loadKg: 9.5, calm: false })).status).toBe(200)
  const kept = async () => ((await send(app, 'GET', `/api/dogs/${dog}`)).body as unknown as { outings: { id: string; removed: boolean }[] }).outings
  expect((await kept()).map(({ id }) => id)).toEqual([second, first])
  const change = (from: boolean, to: boolean) => send(app, 'PATCH', `/api/dogs/${dog}/outings/${second}`, { changes: [{ field: 'removed', from, to }] })
  expect((await change(false, true)).body).toMatchObject({ removed: true })
  expect((await change(true, false)).body).toMatchObject({ removed: false })
  expect((await put(nextId(), { rigId: nextId() })).status).toBe(422)
  for (const over of [{ rung: 'gallop' }, { loadKg: -1 }, { on: 'soon' }]) expect((await put(nextId(), over)).status).toBe(400)
  expect((await send(app, 'PATCH', `/api/dogs/${dog}/outings/${nextId()}`, { changes: [] })).status).toBeGreaterThanOrEqual(400)
})

it('keeps a car seat by seat, changes its fields, and refuses an owner there is not', async () => {
  const place = { aheadMm: -40, leftMm: 250, upMm: 640 }
  const seat = {
    name: 'Rear left',
    row: 'rear',
    outlet: place,
    buckle: { aheadMm: 60, leftMm: -200, upMm: 30 },
    frontSeatMm: 700,
    cushionMm: 500,
    airBag: 'none',
  }
  const [id, owner] = [nextId(), nextId()]
  const car = { name: 'Grey estate', ownerId: null, seats: [seat], notes: '', at: AT }
  expect((await send(app, 'PUT', `/api/cars/${id}`, car)).body).toMatchObject({ seats: [seat], createdAt: AT })
  expect((await send(app, 'GET', '/api/cars')).body).toHaveLength(1)
  const own = await send(app, 'PATCH', `/api/cars/${id}`, { changes: [{ field: 'ownerId', from: null, to: owner }] })
  expect([own.status, own.body.code]).toEqual([422, 'unknown-reference'])
  expect((await send(app, 'PATCH', `/api/cars/${id}`, { changes: [{ field: 'seats', from: [seat], to: [] }] })).status).toBe(400)
  expect((await send(app, 'PUT', `/api/cars/${nextId()}`, { ...car, seats: [{ ...seat, frontSeatMm: 5 }] })).status).toBe(400)
})
