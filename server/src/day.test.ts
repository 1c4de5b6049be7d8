import type { Day, NewReading } from '@merry-tailor/core'
import type { FastifyInstance } from 'fastify'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { buildApp } from './app.ts'
import { AT, nextId, openTestShop, openTicket, reading, send } from './test/shop.ts'

let app: FastifyInstance
let close: () => Promise<void>
beforeAll(async () => {
  ;({ app, close } = await openTestShop())
})
afterAll(() => close())
const day = async (on = '2026-10-05'): Promise<Day> => (await send(app, 'GET', `/api/day?on=${on}`)).body as unknown as Day

describe('the day', () => {
  it('A08 has every open ticket in a short row, most urgent first, however many there are', async () => {
    const late = await openTicket(app)
    await send(app, 'PATCH', `/api/tickets/${late}`, { changes: [{ field: 'promisedOn', from: null, to: '2026-10-04' }] })
    for (let i = 0; i < 510; i++) await openTicket(app)
    const { rows } = await day()
    expect([rows.length, rows[0]?.ticketId]).toEqual([511, late])
    expect(JSON.stringify(rows[1]).length).toBeLessThan(700)
  }, 60_000)

  it('follows what is written: a reading, the dog’s name, a closing, and what was done today stays when it is closed', async () => {
    const [dog, item] = [nextId(), nextId()]
    await send(app, 'PUT', `/api/dogs/${dog}`, { name: 'Tern', at: AT })
    // U08: one that was opened and left with nothing on it is on no list, nor on the day's tape.
    const left = await openTicket(app, { kind: 'real' })
    expect(JSON.stringify(await day())).not.toContain(left)
    const ticket = await openTicket(app, { dogId: dog, kind: 'real' })
    const row = async () => (await day()).rows.find((each) => each.ticketId === ticket)
    await send(app, 'PUT', `/api/tickets/${ticket}/items/${item}`, { family: 'H01', way: 'stock', school: null, at: AT })
    expect(await row()).toMatchObject({ dog: { name: 'Tern' }, families: ['H01'], waitsFor: { code: 'tape', measure: 'M01', left: 3 } })
    await send(app, 'PUT', `/api/tickets/${ticket}/readings/${nextId()}`, reading())
    expect(await row()).toMatchObject({ waitsFor: { left: 2 }, body: { M01: { mm: 574 } } })
    await send(app, 'PATCH', `/api/dogs/${dog}`, { changes: [{ field: 'name', from: 'Tern', to: 'Gull' }] })
    expect((await row())?.dog?.name).toBe('Gull')
    await send(app, 'PATCH', `/api/tickets/${ticket}`, { changes: [{ field: 'state', from: 'open', to: 'closed' }] })
    expect(await row()).toBeUndefined()
    expect((await day()).work.find((stay) => stay.ticketId === ticket)).toMatchObject({ dog: 'Gull', readings: 1 })
  })
})

describe('what others did', () => {
  it('X14 is told to whoever asks, by name and reading, and all anew where that is too long ago', async () => {
    const ticket = await openTicket(app)
    const { seq } = (await send(app, 'GET', '/api/news?after=0')).body as unknown as { seq: number }
    const write = nextId()
    const body: NewReading = reading({ asTyped: '9 1/2', unit: 'in', by: 'Orrin' })
    await send(app, 'PUT', `/api/tickets/${ticket}/readings/${nextId()}`, body, { 'merry-write': write })
    expect((await send(app, 'GET', `/api/news?after=${seq}`)).body).toEqual({
      seq: seq + 1,
      news: [{ seq: seq + 1, id: write, ticketId: ticket, tags: ['Tickets', 'Dogs'], by: 'Orrin', reading: { measure: 'M01', asTyped: '9 1/2', unit: 'in' } }],
    })
    expect((await send(app, 'GET', '/api/news?after=1')).body).toMatchObject({ news: null })
  })
})

describe('the shop’s day', () => {
  it('C13 is that of its own time zone, whatever the moment says', async () => {
    const shop = await buildApp({ database: ':memory:' })
    const put = (path: string, body: unknown) => send(shop, 'PUT', `/api${path}`, body)
    expect((await send(shop, 'PATCH', '/api/shop', { changes: [{ field: 'timeZone', from: '', to: 'Nowhere/Land' }] })).body).toMatchObject({
      code: 'bad-request',
    })
    expect((await send(shop, 'PATCH', '/api/shop', { changes: [{ field: 'timeZone', from: '', to: 'America/Anchorage' }] })).status).toBe(200)
    const [dog, ticket] = [nextId(), nextId()]
    await put(`/dogs/${dog}`, { name: 'Tern', born: '2026-09-01', at: AT })
    // Half past four in the afternoon of the fifth, there; the sixth in Greenwich.
    const at = '2026-11-06T01:30:00.000Z'
    await put(`/tickets/${ticket}`, { dogId: dog, ownerId: null, kind: 'real', at, by: '' })
    await put(`/tickets/${ticket}/readings/${nextId()}`, reading({ takenAt: at }))
    expect((await send(shop, 'GET', `/api/tickets/${ticket}`)).body).toMatchObject({ ticket: { on: '2026-11-05' }, readings: [{ on: '2026-11-05' }] })
    const work = ((await send(shop, 'GET', '/api/day?on=2026-11-05')).body as unknown as Day).work
    expect(work).toMatchObject([{ dog: 'Tern', readings: 1 }])
    const { again } = (await send(shop, 'GET', '/api/reminders?on=2027-01-05')).body as unknown as { again: { measuredOn: string }[] }
    expect(again.map((each) => each.measuredOn)).toEqual(['2026-11-05'])
    await shop.close()
  })
})
