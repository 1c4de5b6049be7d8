import type { FastifyInstance } from 'fastify'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { AT, nextId, openTestShop, openTicket, reading, send, sizeTable, round as roundOf, sizeChoice } from './test/shop.ts'

let app: FastifyInstance
let close: () => Promise<void>
beforeAll(async () => {
  ;({ app, close } = await openTestShop())
})
afterAll(() => close())

const body = async <T>(method: 'GET' | 'PUT' | 'PATCH', url: string, payload?: unknown): Promise<T> =>
  (await send(app, method, url, payload)).body as unknown as T

describe('owners', () => {
  it('are kept, listed by name and edited field by field', async () => {
    const [ulf, ane] = [nextId(), nextId()]
    await send(app, 'PUT', `/api/owners/${ulf}`, { name: '  Ulf Testson ', contact: 'pier', at: AT })
    await send(app, 'PUT', `/api/owners/${ane}`, { name: 'Ane Testdatter', at: AT })
    const names = (await body<{ name: string }[]>('GET', '/api/owners')).map((owner) => owner.name)
    expect(names).toEqual(['Ane Testdatter', 'Ulf Testson'])
    const changed = await body('PATCH', `/api/owners/${ulf}`, { changes: [{ field: 'contact', from: 'pier', to: 'mail shed' }] })
    expect(changed).toMatchObject({ name: 'Ulf Testson', contact: 'mail shed', notes: '' })
    expect((await send(app, 'GET', `/api/owners/${nextId()}`)).status).toBe(404)
  })
})

describe('a dog’s sheet', () => {
  it('brings the owner and every ticket with its readings, the newest first', async () => {
    const [owner, dog] = [nextId(), nextId()]
    await send(app, 'PUT', `/api/owners/${owner}`, { name: 'Test', at: AT })
    await send(app, 'PUT', `/api/dogs/${dog}`, { name: 'Sorrel', ownerId: owner, flatFace: false, weightKg: 12.5, at: AT })
    const old = await openTicket(app, { dogId: dog, kind: 'real', at: '2026-04-02T09:00:00.000Z' })
    const recent = await openTicket(app, { dogId: dog, kind: 'real', at: '2026-09-02T09:00:00.000Z' })
    await send(app, 'PUT', `/api/tickets/${old}/readings/${nextId()}`, reading({ mm: 250 }))
    await send(app, 'PUT', `/api/tickets/${recent}/readings/${nextId()}`, reading({ mm: 261 }))
    const sheet = await body<{ dog: object; owner: object; tickets: { ticket: { id: string }; readings: { mm: number }[] }[] }>('GET', `/api/dogs/${dog}`)
    expect(sheet.dog).toMatchObject({ name: 'Sorrel', flatFace: false, sparing: false, sex: null })
    expect(sheet.owner).toMatchObject({ name: 'Test' })
    expect(sheet.tickets.map((each) => [each.ticket.id, each.readings[0]?.mm])).toEqual([
      [recent, 261],
      [old, 250],
    ])
  })

  it('gives a counter ticket its dog later, readings and all', async () => {
    const dog = nextId()
    await send(app, 'PUT', `/api/dogs/${dog}`, { name: 'Later', at: AT })
    const ticket = await openTicket(app)
    await send(app, 'PUT', `/api/tickets/${ticket}/readings/${nextId()}`, reading({ mm: 300 }))
    const give = (to: string) => send(app, 'PATCH', `/api/tickets/${ticket}`, { changes: [{ field: 'dogId', from: null, to }] })
    expect(await give(nextId())).toMatchObject({ status: 422, body: { code: 'unknown-reference', fields: [{ path: 'dogId' }] } })
    expect((await give(dog)).status).toBe(200)
    const sheet = await body<{ tickets: { readings: unknown[] }[] }>('GET', `/api/dogs/${dog}`)
    expect(sheet.tickets[0]?.readings).toHaveLength(1)
  })
})

describe('lists of tickets', () => {
  it('keep open and closed apart', async () => {
    const [open, shut] = [await openTicket(app), await openTicket(app)]
    await send(app, 'PATCH', `/api/tickets/${shut}`, {
      changes: [
        { field: 'state', from: 'open', to: 'closed' },
        { field: 'closedAt', from: null, to: AT },
      ],
    })
    const ids = async (state: string) => (await body<{ ticket: { id: string } }[]>('GET', `/api/tickets?state=${state}`)).map((sheet) => sheet.ticket.id)
    expect(await ids('open')).toContain(open)
    expect(await ids('open')).not.toContain(shut)
    expect(await ids('closed')).toEqual([shut])
    expect(await ids('all')).toEqual(expect.arrayContaining([open, shut]))
    expect((await send(app, 'GET', '/api/tickets?state=lost')).status).toBe(400)
  })
})

describe('repeated requests', () => {
  it('change nothing, whatever they add', async () => {
    const ticket = await openTicket(app)
    const base = `/api/tickets/${ticket}`
    const [item, choice, round, answer, note, ack] = Array.from({ length: 6 }, nextId) as [string, string, string, string, string, string]
    await send(app, 'PUT', '/api/size-tables/again/1', sizeTable({ id: 'again' }))
    const by = { at: AT, by: 'Test' }
    const requests: [string, object][] = [
      [`items/${item}`, { family: 'H01', way: 'stock', school: null, at: AT }],
      [`choices/${choice}`, sizeChoice(item, { tableId: 'again' })],
      [`try-ons/${round}`, roundOf(item, { of: { choiceId: choice } })],
      [`try-ons/${round}/observations/${answer}`, { check: 'no-sway', state: 'slack', grade: 'holds', asTyped: '', mm: null, fingers: null, ...by }],
      [`try-ons/${round}/symptoms/${note}`, { symptom: 'S24', remedy: null, present: true, ...by }],
      [`acknowledgements/${ack}`, { kind: 'caution', code: 'windpipe', text: 'x', reason: '', ...by }],
    ]
    for (const [path, payload] of requests) expect([path, (await send(app, 'PUT', `${base}/${path}`, payload)).status]).toEqual([path, 200])
    const once = await body('GET', base)
    for (const [path, payload] of requests) expect([path, (await send(app, 'PUT', `${base}/${path}`, payload)).status]).toEqual([path, 200])
    expect(await body('GET', base)).toEqual(once)
  })

  it('refuse parts of another ticket or of none', async () => {
    const [here, there] = [await openTicket(app), await openTicket(app)]
    const [item, id] = [nextId(), nextId()]
    await send(app, 'PUT', `/api/tickets/${there}/items/${item}`, { family: 'H01', way: 'stock', school: null, at: AT })
    await send(app, 'PUT', `/api/tickets/${there}/readings/${id}`, reading())
    const round = roundOf(item)
    expect((await send(app, 'PUT', `/api/tickets/${here}/try-ons/${nextId()}`, round)).body).toMatchObject({ code: 'unknown-reference' })
    expect((await send(app, 'PUT', `/api/tickets/${here}/readings/${id}`, reading())).body).toMatchObject({ code: 'id-taken' })
    expect((await send(app, 'PUT', `/api/tickets/${here}/readings/${id}/strike`, { why: 'x', at: AT, by: '' })).status).toBe(404)
    const seen = { check: 'no-sway', state: 'slack', grade: 'holds', asTyped: '', mm: null, fingers: null, at: AT, by: '' }
    expect((await send(app, 'PUT', `/api/tickets/${here}/try-ons/${nextId()}/observations/${nextId()}`, seen)).status).toBe(404)
    expect((await send(app, 'PUT', `/api/size-tables/other/1`, sizeTable())).body).toMatchObject({ code: 'bad-request' })
  })
})
