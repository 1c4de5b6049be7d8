import type { Rig } from '@merry-tailor/core'
import type { FastifyInstance } from 'fastify'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { AT, nextId, openTestShop, send } from './test/shop.ts'

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
  expect((await send(app, 'PATCH', `/api/rigs/${nextId()}`, { changes: [{ field: 'brake', from: false, to: true }] })).status).toBe(404)
})

it('keeps a drag without shafts, and a wagon with its wheelbase', async () => {
  const [drag, wagon] = [nextId(), nextId()]
  expect((await send(app, 'PUT', `/api/rigs/${drag}`, { ...cart, name: 'Log', kind: 'drag', shafts: null })).body).toMatchObject({ shafts: null })
  expect((await send(app, 'PUT', `/api/rigs/${wagon}`, { ...cart, name: 'Hay', kind: 'wagon', wheelbaseMm: 860, lockRad: 0.6 })).body).toMatchObject({ wheelbaseMm: 860 })
})

it('refuses a bed that runs forward to behind, a stop thinner than its shaft, and a rig of a newer kind', async () => {
  for (const over of [{ bed: { fromMm: 100, toMm: -100, heightMm: 390 } }, { shafts: { ...cart.shafts, stopMm: 20 } }, { kind: 'hovercraft' }, { massKg: 0 }]) {
    const refused = await send(app, 'PUT', `/api/rigs/${nextId()}`, { ...cart, ...over })
    expect([refused.status, refused.body.code]).toEqual([400, 'bad-request'])
  }
})
