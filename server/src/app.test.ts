import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import type { FastifyInstance } from 'fastify'
import { AT, nextId, openTestShop, openTicket, reading, send, sizeTable, round as roundOf, sizeChoice } from './test/shop.ts'

let app: FastifyInstance
let close: () => Promise<void>
beforeAll(async () => {
  ;({ app, close } = await openTestShop())
})
afterAll(() => close())

const sheetOf = async (id: string) =>
  (await send(app, 'GET', `/api/tickets/${id}`)).body as unknown as Record<string, never[]> & { ticket: Record<string, unknown> }

describe('tickets and readings', () => {
  it('gives numbers in order and changes nothing when a request is repeated', async () => {
    const first = await openTicket(app)
    const second = await openTicket(app)
    const again = await send(app, 'PUT', `/api/tickets/${first}`, { dogId: null, ownerId: null, kind: 'real', at: AT, by: 'Other' })
    const [a, b] = [await sheetOf(first), await sheetOf(second)]
    expect(again.status).toBe(200)
    expect(a.ticket.by).toBe('Test')
    expect(Number(b.ticket.number)).toBe(Number(a.ticket.number) + 1)
  })

  it('appends readings, keeps how they were typed, and strikes them with a reason', async () => {
    const ticket = await openTicket(app)
    const id = nextId()
    const url = `/api/tickets/${ticket}/readings/${id}`
    expect((await send(app, 'PUT', url, reading())).status).toBe(200)
    expect((await send(app, 'PUT', url, reading())).status).toBe(200)
    expect((await send(app, 'PUT', url, reading({ mm: 300 }))).body).toMatchObject({ code: 'id-taken' })
    const marks = `/api/tickets/${ticket}/marks`
    const mark = { what: 'reading', about: id, kind: 'struck', why: 'dog turned', at: AT, by: 'Test' }
    const markId = nextId()
    await send(app, 'PUT', `${marks}/${markId}`, mark)
    await send(app, 'PUT', `${marks}/${markId}`, mark)
    expect((await sheetOf(ticket)).readings).toMatchObject([{ id, mm: 287, side: 'one', asTyped: '28.7 cm', struck: { why: 'dog turned' } }])
    await send(app, 'PUT', `${marks}/${nextId()}`, { ...mark, kind: 'restored', why: 'it was right' })
    const sheet = await sheetOf(ticket)
    expect(sheet.readings?.[0]).not.toHaveProperty('struck')
    expect(sheet.marks).toMatchObject([
      { kind: 'struck', by: 'Test' },
      { kind: 'restored', why: 'it was right' },
    ])
    expect((await send(app, 'PUT', `${marks}/${nextId()}`, { ...mark, about: nextId() })).body).toMatchObject({ code: 'not-found' })
  })

  it('refuses one side, doubled, where the catalogue does not allow it', async () => {
    const ticket = await openTicket(app)
    const answer = await send(app, 'PUT', `/api/tickets/${ticket}/readings/${nextId()}`, reading({ measure: 'M07' }))
    expect(answer).toMatchObject({ status: 422, body: { code: 'doubling-not-allowed' } })
  })

  it('keeps a closed ticket as it is until it is opened again', async () => {
    const ticket = await openTicket(app)
    const shut = { changes: [{ field: 'state', from: 'open', to: 'closed' }] }
    expect((await send(app, 'PATCH', `/api/tickets/${ticket}`, shut)).status).toBe(200)
    const late = await send(app, 'PUT', `/api/tickets/${ticket}/readings/${nextId()}`, reading())
    expect(late).toMatchObject({ status: 409, body: { code: 'ticket-closed' } })
    await send(app, 'PATCH', `/api/tickets/${ticket}`, { changes: [{ field: 'state', from: 'closed', to: 'open' }] })
    expect((await send(app, 'PUT', `/api/tickets/${ticket}/readings/${nextId()}`, reading())).status).toBe(200)
  })
})

describe('edits of fields', () => {
  it('merges edits of different fields and answers a stale one with both values', async () => {
    const id = nextId()
    await send(app, 'PUT', `/api/dogs/${id}`, { name: 'Sorrel', at: AT })
    const edit = (field: string, from: unknown, to: unknown) => send(app, 'PATCH', `/api/dogs/${id}`, { changes: [{ field, from, to }] })
    expect((await edit('weightKg', null, 21.5)).status).toBe(200)
    expect((await edit('notes', '', 'limps')).body).toMatchObject({ weightKg: 21.5, notes: 'limps' })
    const stale = await edit('weightKg', null, 22)
    expect(stale).toMatchObject({ status: 409, body: { code: 'stale-edit', conflicts: [{ field: 'weightKg', yours: 22, theirs: 21.5 }] } })
    expect((await edit('weightKg', null, 21.5)).status).toBe(200)
    expect((await edit('flatFace', null, true)).body).toMatchObject({ flatFace: true })
  })

  it('changes nothing when one field of several is stale or wrong', async () => {
    const id = nextId()
    await send(app, 'PUT', `/api/dogs/${id}`, { name: 'Tern', at: AT })
    const both = await send(app, 'PATCH', `/api/dogs/${id}`, {
      changes: [
        { field: 'notes', from: '', to: 'new' },
        { field: 'name', from: 'Gull', to: 'Puffin' },
      ],
    })
    expect(both.status).toBe(409)
    const bad = await send(app, 'PATCH', `/api/dogs/${id}`, { changes: [{ field: 'weightKg', from: null, to: -4 }] })
    expect(bad).toMatchObject({ status: 400, body: { code: 'bad-request', fields: [{ path: 'weightKg' }] } })
    const odd = await send(app, 'PATCH', `/api/dogs/${id}`, { changes: [{ field: 'id', from: id, to: nextId() }] })
    expect(odd.body).toMatchObject({ code: 'unknown-field' })
    const dog = (await send(app, 'GET', `/api/dogs/${id}`)).body as unknown as { dog: unknown }
    expect(dog.dog).toMatchObject({ name: 'Tern', notes: '' })
  })
})

describe('the list of size tables', () => {
  it('has no body for whoever holds it already, until a version is added', async () => {
    await send(app, 'PUT', '/api/size-tables/held/1', sizeTable({ id: 'held' }))
    const ask = (tag: string) => app.inject({ url: '/api/size-tables', headers: { host: 'localhost', ...(tag ? { 'if-none-match': tag } : {}) } })
    const first = await ask('')
    const tag = String(first.headers['etag'])
    expect(first.json<{ id: string }[]>().some((table) => table.id === 'held')).toBe(true)
    const again = await ask(tag)
    expect([again.statusCode, again.body, again.headers['etag']]).toEqual([304, '', tag])
    expect(again.headers['merry-book']).toBe(first.headers['merry-book'])
    await send(app, 'PUT', '/api/size-tables/held/2', sizeTable({ id: 'held', version: 2 }))
    const newer = await ask(tag)
    expect(newer.statusCode).toBe(200)
    expect(newer.headers['etag']).not.toBe(tag)
  })
})

describe('the work after measuring', () => {
  it('keeps items, choices, rounds, answers, symptoms and acknowledgements', async () => {
    const ticket = await openTicket(app)
    const [item, round] = [nextId(), nextId()]
    const base = `/api/tickets/${ticket}`
    await send(app, 'PUT', '/api/size-tables/kept/1', sizeTable({ id: 'kept' }))
    await send(app, 'PUT', `${base}/items/${item}`, { family: 'H01', way: 'stock', school: null, at: AT })
    const choice = sizeChoice(item, { tableId: 'kept', overruled: { advised: 'L', why: 'short coat' } })
    expect((await send(app, 'PUT', `${base}/choices/${nextId()}`, choice)).body).toMatchObject({ overruled: { advised: 'L' } })
    expect((await send(app, 'PUT', `${base}/choices/${nextId()}`, { ...choice, tableVersion: 9 })).body).toMatchObject({ code: 'unknown-reference' })
    await send(app, 'PUT', `${base}/try-ons/${round}`, roundOf(item))
    const seen = { check: 'blade-free', state: 'moving', grade: 'holds', asTyped: '', mm: null, fingers: null, at: AT, by: 'Test' }
    await send(app, 'PUT', `${base}/try-ons/${round}/observations/${nextId()}`, seen)
    await send(app, 'PUT', `${base}/try-ons/${round}/symptoms/${nextId()}`, {
      symptom: 'S24',
      remedy: 'tighten-and-equalise',
      present: true,
      at: AT,
      by: 'Test',
    })
    const stop = { kind: 'stop', code: 'growing-no-load', text: 'No load.', reason: '', at: AT, by: 'Test' }
    expect((await send(app, 'PUT', `${base}/acknowledgements/${nextId()}`, stop)).body).toMatchObject({ code: 'reason-needed' })
    await send(app, 'PUT', `${base}/acknowledgements/${nextId()}`, { ...stop, reason: 'only fitted, not worked' })
    await send(app, 'PATCH', `${base}/items/${item}`, { changes: [{ field: 'way', from: 'stock', to: 'made' }] })

    const sheet = await sheetOf(ticket)
    expect(sheet.items).toMatchObject([{ way: 'made', removed: false }])
    expect(sheet.tryOns).toMatchObject([{ label: 'M', observations: [{ check: 'blade-free' }], symptoms: [{ symptom: 'S24', present: true }] }])
    expect(sheet.acknowledgements).toMatchObject([{ reason: 'only fitted, not worked' }])
  })

  it('never changes a stored version of a size table', async () => {
    await send(app, 'PUT', '/api/size-tables/loft/1', sizeTable({ id: 'loft' }))
    expect((await send(app, 'PUT', '/api/size-tables/loft/1', sizeTable({ id: 'loft' }))).status).toBe(200)
    expect((await send(app, 'PUT', '/api/size-tables/loft/1', sizeTable({ id: 'loft', name: 'Other' }))).body).toMatchObject({ code: 'id-taken' })
    expect((await send(app, 'PUT', '/api/size-tables/loft/2', sizeTable({ id: 'loft', version: 2, name: 'Other' }))).status).toBe(200)
    const bad = sizeTable({ id: 'bad', sizes: [{ label: 'M', bands: { M01: [600, 500] } }] })
    expect((await send(app, 'PUT', '/api/size-tables/bad/1', bad)).body).toMatchObject({ code: 'bad-request' })
  })

  it('X31 puts the owner first, each dog under it with its open tickets, a closed one behind', async () => {
    const owner = nextId()
    await send(app, 'PUT', `/api/owners/${owner}`, { name: 'Testa Quillfeather', at: AT })
    for (const name of ['Oakum', 'Fulmar']) {
      const dog = nextId()
      await send(app, 'PUT', `/api/dogs/${dog}`, { name, ownerId: owner, at: AT })
      await openTicket(app, { dogId: dog, kind: 'real' })
    }
    const found = (await send(app, 'GET', '/api/find?q=quillf')).body as unknown as { kind: string; title: string; depth: number }[]
    expect(found.map(({ kind, depth }) => `${kind} ${depth}`)).toEqual(['owner 0', 'dog 1', 'ticket 2', 'dog 1', 'ticket 2'])
    expect(found.filter(({ kind }) => kind === 'dog').map(({ title }) => title)).toEqual(['Fulmar', 'Oakum'])
  })

  it('X26 finds a counter dog by a word written of it and by the number it was opened with', async () => {
    const ticket = await openTicket(app, { dogId: null, kind: 'counter' })
    await send(app, 'PUT', `/api/tickets/${ticket}/readings/${nextId()}`, reading({ asTyped: '20 1/2', mm: 520.7 }))
    await send(app, 'PATCH', `/api/tickets/${ticket}`, { changes: [{ field: 'notes', from: '', to: 'brown spaniel' }] })
    const found = async (q: string) => (await send(app, 'GET', `/api/find?q=${encodeURIComponent(q)}`)).body as unknown as { id: string; detail: string }[]
    expect(await found('spaniel')).toMatchObject([{ id: ticket, detail: 'Counter, brown spaniel, open' }])
    expect(await found('20 1/2')).toMatchObject([{ id: ticket }])
    expect(await found('20 3/4')).toEqual([])
    const day = (await send(app, 'GET', `/api/day?on=${AT.slice(0, 10)}`)).body as unknown as { rows: { ticketId: string; counter?: unknown }[] }
    expect(day.rows.find((row) => row.ticketId === ticket)?.counter).toEqual({ word: 'brown spaniel', measure: 'M01' })
  })

  it('sends the newest readings of a dog first, with their tickets, and says how many are left', async () => {
    const dog = nextId()
    await send(app, 'PUT', `/api/dogs/${dog}`, { name: 'Years', at: AT })
    for (let visit = 0; visit < 4; visit++) {
      const ticket = nextId()
      await send(app, 'PUT', `/api/tickets/${ticket}`, { dogId: dog, ownerId: null, kind: 'real', at: `2026-0${visit + 1}-05T09:00:00.000Z`, by: '' })
      for (let i = 0; i < 3; i++) await send(app, 'PUT', `/api/tickets/${ticket}/readings/${nextId()}`, reading({ mm: 500 + visit * 10 + i }))
    }
    const sheet = async (q: string) =>
      (await send(app, 'GET', `/api/dogs/${dog}${q}`)).body as unknown as { more?: number; tickets: { readings: { mm: number }[] }[] }
    const mm = ({ tickets }: { tickets: { readings: { mm: number }[] }[] }) => tickets.map(({ readings }) => readings.map((each) => each.mm))
    const whole = await sheet('')
    expect([whole.more, mm(whole)]).toEqual([
      undefined,
      [
        [530, 531, 532],
        [520, 521, 522],
        [510, 511, 512],
        [500, 501, 502],
      ],
    ])
    // A visit that begins within the number is in it, with its newest.
    const first = await sheet('?newest=5')
    expect([first.more, mm(first)]).toEqual([
      7,
      [
        [530, 531, 532],
        [521, 522],
      ],
    ])
    expect((await sheet('?newest=500')).more).toBe(0)
    expect((await send(app, 'GET', `/api/dogs/${dog}?newest=many`)).body).toMatchObject({ code: 'bad-request' })
  })

  it('finds dogs, owners and tickets by what was typed', async () => {
    const [owner, dog] = [nextId(), nextId()]
    await send(app, 'PUT', `/api/owners/${owner}`, { name: 'Runa Testdatter', at: AT })
    await send(app, 'PUT', `/api/dogs/${dog}`, { name: 'Bilberry', ownerId: owner, at: AT })
    await openTicket(app, { dogId: dog, kind: 'real' })
    const kinds = async (q: string) => ((await send(app, 'GET', `/api/find?q=${q}`)).body as unknown as { kind: string }[]).map((found) => found.kind)
    expect(await kinds('bilb')).toEqual(['dog', 'ticket'])
    expect(await kinds('runa')).toEqual(['owner', 'dog', 'ticket'])
    expect(await kinds('RUNA test')).toEqual(['owner', 'dog', 'ticket'])
    expect(await kinds('runa nobody')).toEqual([])
    expect(await kinds('%25')).toEqual([])
    expect(await kinds('')).toEqual([])
  })
})

describe('bad requests', () => {
  it('fills the list although one dog is found by two of its words', async () => {
    for (let i = 0; i < 8; i++) await send(app, 'PUT', `/api/dogs/${nextId()}`, { name: `Zabel ${i}`, breed: 'Zander hound', at: AT })
    const found = (await send(app, 'GET', '/api/find?q=za')).body as unknown as { kind: string; id: string }[]
    expect(found).toHaveLength(6)
    expect(new Set(found.map((each) => each.id)).size).toBe(6)
  })

  it('answers 4xx with a coded problem, never 500', async () => {
    const ticket = await openTicket(app)
    const cases: [Parameters<typeof send>, number, string][] = [
      [[app, 'GET', '/api/tickets/nobody'], 400, 'bad-request'],
      [[app, 'GET', `/api/tickets/${nextId()}`], 404, 'not-found'],
      [[app, 'GET', '/api/nothing'], 404, 'not-found'],
      [[app, 'PUT', `/api/tickets/${ticket}/readings/${nextId()}`, reading({ mm: -3 })], 400, 'bad-request'],
      [[app, 'PUT', `/api/tickets/${ticket}/readings/${nextId()}`, reading({ mm: 9000 })], 400, 'bad-request'],
      [[app, 'PUT', `/api/tickets/${ticket}/readings/${nextId()}`, { ...reading(), measure: 'M99' }], 400, 'bad-request'],
      [[app, 'PUT', `/api/tickets/${ticket}/readings/${nextId()}`, { ...reading(), takenAt: 'yesterday' }], 400, 'bad-request'],
      [[app, 'PUT', `/api/tickets/${nextId()}/readings/${nextId()}`, reading()], 404, 'not-found'],
      [[app, 'PUT', `/api/dogs/${nextId()}`, { name: '  ', at: AT }], 400, 'bad-request'],
      [[app, 'PUT', `/api/dogs/${nextId()}`, { name: 'Ghost', ownerId: nextId(), at: AT }], 422, 'unknown-reference'],
      [[app, 'PATCH', `/api/tickets/${ticket}`, { changes: [] }], 400, 'bad-request'],
      [[app, 'PUT', `/api/dogs/${nextId()}`, { name: 'x', notes: 'n'.repeat(600_000), at: AT }], 413, 'too-large'],
      [[app, 'PUT', `/api/dogs/${nextId()}`, '{"name":', { 'content-type': 'application/json' }], 400, 'bad-request'],
      [[app, 'PUT', `/api/dogs/${nextId()}`, '<a/>', { 'content-type': 'text/xml' }], 415, 'unsupported-type'],
    ]
    for (const [call, status, code] of cases) {
      const answer = await send(...call)
      expect([call[2], answer.status, answer.body.code, String(answer.type).split(';')[0]]).toEqual([call[2], status, code, 'application/problem+json'])
    }
  })

  it('answers only to its own address and sends strict headers', async () => {
    expect(await send(app, 'GET', '/api/health', undefined, { host: 'elsewhere.example' })).toMatchObject({ status: 421, body: { code: 'wrong-host' } })
    const { headers, status } = await send(app, 'GET', '/api/health', undefined, { host: 'localhost:4787' })
    expect(status).toBe(200)
    // What is no page may load, run or frame nothing.
    expect(headers['content-security-policy']).toBe("default-src 'none';frame-ancestors 'none'")
    expect(headers['x-content-type-options']).toBe('nosniff')
    const page = await app.inject({ url: '/', headers: { host: 'localhost' } })
    expect(page.headers['content-security-policy']).toContain("script-src 'self';")
    expect(page.headers['x-frame-options']).toBe('SAMEORIGIN')
  })
})
