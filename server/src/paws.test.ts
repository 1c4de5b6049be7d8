import type { Car, DogSheet, TicketSheet } from '@merry-tailor/core'
import type { FastifyInstance } from 'fastify'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { AT, nextId, openTestShop, openTicket, send } from './test/shop.ts'

let app: FastifyInstance
let close: () => Promise<void>
beforeAll(async () => {
  ;({ app, close } = await openTestShop())
})
afterAll(() => close())

const tracing = { paw: 'front-left', points: [[-30, -35], [30, -35], [30, 35], [-30, 35]], toesRad: -1.57, closedMm: 2, pencilMm: null, lineRead: false, rmsMm: 0.1, view: { h: [1, 0, 0, 0, 1, 0, 0, 0, 1], lens: 0, middle: [700, 900], half: 1100 }, photoId: null, edited: false, at: AT, by: 'Ylva' } // prettier-ignore
const outing = { on: '2026-10-04', km: 12, footing: 'snow', minutes: 50, paws: { 'front-left': { worn: true, lost: false, seen: [] }, 'rear-right': { worn: false, lost: true, seen: ['S63'] } }, note: '', at: AT, by: 'Ylva' } // prettier-ignore

async function aDogOf(): Promise<string> {
  const dog = nextId()
  expect((await send(app, 'PUT', `/api/dogs/${dog}`, { name: 'Fennel', at: AT })).status).toBe(200)
  return dog
}
const sheetOf = async (dog: string) => (await send(app, 'GET', `/api/dogs/${dog}`)).body as unknown as DogSheet

it('keeps a tracing and an outing in boots once however often they are sent, takes them off and puts them back', async () => {
  const dog = await aDogOf()
  const [one, two] = [nextId(), nextId()]
  for (let k = 0; k < 2; k++) {
    expect((await send(app, 'PUT', `/api/dogs/${dog}/tracings/${one}`, tracing)).status).toBe(200)
    expect((await send(app, 'PUT', `/api/dogs/${dog}/boot-outings/${two}`, outing)).status).toBe(200)
  }
  const kept = await sheetOf(dog)
  expect(kept.tracings).toEqual([{ ...tracing, nails: null, id: one, removed: false }])
  expect(kept.bootOutings).toEqual([{ ...outing, id: two, removed: false }])
  for (const [where, id] of [['tracings', one], ['boot-outings', two]] as const)
    for (const [from, to] of [[false, true], [true, false]] as const)
      expect((await send(app, 'PATCH', `/api/dogs/${dog}/${where}/${id}`, { changes: [{ field: 'removed', from, to }] })).body).toMatchObject({ removed: to })
}) // prettier-ignore

it('refuses what is none: a foreign paw, no outline, a dog there is not, a symptom nobody knows', async () => {
  const dog = await aDogOf()
  for (const over of [{ paw: 'fifth' }, { points: [[0, 0]] }, { pencilMm: -1 }, { points: [[0, 0], [1, 'x'], [2, 2]] }])
    expect((await send(app, 'PUT', `/api/dogs/${dog}/tracings/${nextId()}`, { ...tracing, ...over })).status).toBe(400)
  for (const over of [{ km: -1 }, { footing: 'lava' }, { paws: { 'front-left': { worn: true, lost: false, seen: ['S999'] } } }])
    expect((await send(app, 'PUT', `/api/dogs/${dog}/boot-outings/${nextId()}`, { ...outing, ...over })).status).toBe(400)
  expect((await send(app, 'PUT', `/api/dogs/${nextId()}/tracings/${nextId()}`, tracing)).status).toBe(404)
  expect((await send(app, 'PATCH', `/api/dogs/${dog}/tracings/${nextId()}`, { changes: [{ field: 'removed', from: false, to: true }] })).status).toBe(404)
}) // prettier-ignore

it('a reading points to the tracing it was read from', async () => {
  const ticket = await openTicket(app)
  const [reading, plain, from] = [nextId(), nextId(), nextId()]
  const body = { measure: 'M32', mm: 58, side: 'both', place: 'front-left', asTyped: '58', unit: 'cm', takenAt: AT, by: 'Ylva', method: 'tracing' }
  expect((await send(app, 'PUT', `/api/tickets/${ticket}/readings/${reading}`, { ...body, tracingId: from })).status).toBe(200)
  expect((await send(app, 'PUT', `/api/tickets/${ticket}/readings/${plain}`, body)).status).toBe(200)
  const { readings } = (await send(app, 'GET', `/api/tickets/${ticket}`)).body as unknown as TicketSheet
  expect(readings.map(({ tracingId }) => tracingId)).toEqual([from, null])
})

it('keeps a car’s load space, and what the shop knows of crates and carriers', async () => {
  const car = nextId()
  const space = { floor: [[0, 0], [900, 0], [900, 1050], [0, 1050]], side: [[0, 0], [900, 0], [750, 700], [0, 780]], arches: [], opening: null, floorUpMm: 560, sillMm: 40, anchors: [[100, 60, 0]] } // prettier-ignore
  const seats = [{ name: 'Rear', row: 'rear', outlet: { aheadMm: -300, leftMm: 250, upMm: 600 }, buckle: { aheadMm: 0, leftMm: -150, upMm: 50 }, frontSeatMm: 700, cushionMm: 480, airBag: 'none' }] // prettier-ignore
  expect((await send(app, 'PUT', `/api/cars/${car}`, { name: 'Low estate', ownerId: null, seats, notes: '', at: AT })).body).toMatchObject({ space: null })
  expect((await send(app, 'PATCH', `/api/cars/${car}`, { changes: [{ field: 'space', from: null, to: space }] })).body).toMatchObject({ space })
  expect((await send(app, 'PATCH', `/api/cars/${car}`, { changes: [{ field: 'space', from: space, to: { ...space, floor: [[0, 0]] } }] })).status).toBe(400)
  expect(((await send(app, 'GET', '/api/cars')).body as unknown as Car[])[0]?.space).toEqual(space)
  const crates = [{ family: 'K1', label: '42', lengthMm: 1020, widthMm: 702, heightMm: 758, door: null }]
  const carriers = [{ name: 'Short hops', lengthB: 1, width: null, flatFaceShare: null, refusesFlatFace: true, leastMm: {}, mostMm: { length: 1200 }, answered: '2026-09-30' }] // prettier-ignore
  for (const [field, to] of [['crates', crates], ['carriers', carriers]] as const)
    expect((await send(app, 'PATCH', '/api/shop', { changes: [{ field, from: [], to }] })).body).toMatchObject({ [field]: to })
  expect((await send(app, 'PATCH', '/api/shop', { changes: [{ field: 'crates', from: crates, to: [{ ...crates[0], lengthMm: -1 }] }] })).status).toBe(400)
}) // prettier-ignore
