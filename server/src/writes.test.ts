import { actsBeyond, applyAct, freshOf, resources, type Act, type ActSheet, type TicketSheet } from '@merry-tailor/core'
import fc from 'fast-check'
import type { FastifyInstance } from 'fastify'
import Database from 'better-sqlite3'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { commands, writesOf, type Write } from './test/any-writes.ts'
import { AT, nextId, openTestShop, openTicket, piece, reading, round, send, sizeChoice, sizeTable } from './test/shop.ts'

let app: FastifyInstance
let file: string
let close: () => Promise<void>
beforeAll(async () => {
  ;({ app, file, close } = await openTestShop())
  await send(
    app,
    'PUT',
    '/api/size-tables/test-table/1',
    sizeTable({
      sizes: [
        { label: 'M', bands: { M01: [500, 600] } },
        { label: 'L', bands: { M01: [601, 700] } },
      ],
    }),
  )
})
afterAll(() => close())

const sent = (write: Write) => send(app, write.method, write.url, write.body, { 'merry-write': write.id })
const sheetOf = async (ticket: string) => (await send(app, 'GET', `/api/tickets/${ticket}`)).body as unknown as TicketSheet
/** The book as rows: what must not differ. */
const rows = async (): Promise<string> => (await send(app, 'GET', '/api/book')).text.split('\n').slice(1).filter((line) => !line.startsWith('["writes"')).join('\n') // prettier-ignore

describe('a write counts once', () => {
  it('C05 over every kind of write, refusals among them: sent once or many times, in any batch cut anywhere, the book is the same', async () => {
    await fc.assert(
      fc.asyncProperty(commands, fc.array(fc.nat(8), { maxLength: 16 }), async (list, stumbles) => {
        const { writes } = writesOf(list)
        const first: { status: number; body: unknown }[] = []
        for (const [i, write] of writes.entries()) {
          first.push(await sent(write))
          // After a stumble the last few go out once more.
          const again = stumbles[i % Math.max(1, stumbles.length)] ?? 0
          for (let back = Math.max(0, i - again); back <= i; back++) {
            const answer = await sent(writes[back]!)
            expect([answer.status, answer.body]).toEqual([first[back]!.status, first[back]!.body])
          }
        }
        const once = await rows()
        for (const [i, write] of writes.entries()) expect((await sent(write)).status).toBe(first[i]!.status)
        expect(await rows()).toBe(once)
      }),
      { numRuns: 25 },
    )
  }, 240_000)

  it('answers name the write, the book and its epoch, and the server’s time', async () => {
    const id = nextId()
    const { headers } = await send(app, 'PUT', `/api/owners/${nextId()}`, { name: 'Runa', at: AT }, { 'merry-write': id })
    expect(headers['merry-write']).toBe(id)
    expect(headers['merry-book']).toMatch(/^[0-9a-f-]{36}$/)
    expect([
      headers['merry-epoch'],
      Number(headers['merry-seq']) > 0,
      Math.abs(Date.now() - new Date(String(headers['merry-time'])).getTime()) < 60_000,
    ]).toEqual(['1', true, true])
  })

  it('gives a refusal again, also one for what cannot be read, and keeps no id that is none', async () => {
    const id = nextId()
    const bad = { id, method: 'PUT' as const, url: `/api/owners/${nextId()}`, body: { name: '', at: AT } }
    expect((await sent(bad)).body).toMatchObject({ code: 'bad-request' })
    expect((await sent({ ...bad, body: { name: 'Runa', at: AT } })).body).toMatchObject({ code: 'bad-request' })
    expect((await sent({ ...bad, id: 'no-uuid' })).body).toMatchObject({ code: 'bad-request' })
    expect((await sent({ ...bad, id: nextId(), body: { name: 'Runa', at: AT } })).status).toBe(200)
  })

  it('A32 an older write sent again never wins over a newer one', async () => {
    const dog = nextId()
    await send(app, 'PUT', `/api/dogs/${dog}`, { name: 'Tern', weightKg: 20, at: AT })
    const change = (from: number, to: number): Write => ({
      id: nextId(),
      method: 'PATCH',
      url: `/api/dogs/${dog}`,
      body: { changes: [{ field: 'weightKg', from, to }] },
    })
    const first = change(20, 21)
    await sent(first)
    await sent(change(21, 20))
    expect((await sent(first)).body).toMatchObject({ weightKg: 21 })
    expect((await send(app, 'GET', `/api/dogs/${dog}`)).body).toMatchObject({ dog: { weightKg: 20 } })
  })

  it('refuses a device that means another book, or this one as it was, and takes nothing', async () => {
    const owner = nextId()
    const put = (headers: Record<string, string>) => send(app, 'PUT', `/api/owners/${owner}`, { name: 'Runa', at: AT }, { 'merry-write': nextId(), ...headers })
    expect(await put({ 'merry-book': nextId(), 'merry-epoch': '1' })).toMatchObject({ status: 409, body: { code: 'other-book' } })
    const book = String((await send(app, 'GET', '/api/health')).headers['merry-book'])
    expect(await put({ 'merry-book': book, 'merry-epoch': '7' })).toMatchObject({ status: 409, body: { code: 'other-book' } })
    expect((await send(app, 'GET', `/api/owners/${owner}`)).status).toBe(404)
    expect((await put({ 'merry-book': book, 'merry-epoch': '1' })).status).toBe(200)
  })
})

describe('the sheet the server reads', () => {
  it('equals the acts done to a sheet in the order in which they came', async () => {
    await fc.assert(
      fc.asyncProperty(commands, async (list) => {
        const { writes, ticket } = writesOf(list.filter(({ kind }) => kind <= 17))
        const done: Act[] = []
        let local: ActSheet | null = null
        for (const write of writes) {
          const { status } = await sent(write)
          if (write.url === `/api/tickets/${ticket}` && write.method === 'PUT') local = structuredClone(await sheetOf(ticket))
          else if (local && status === 200 && write.url.startsWith('/api/tickets/')) {
            const act = actOf(ticket, write)
            done.push(act)
            applyAct(local, act)
          }
        }
        const server = await sheetOf(ticket)
        expect(plain(server)).toEqual(plain({ ...server, ...local! }))
        // Nothing of it is beyond the server's, and done again it stays.
        expect(actsBeyond(local!, server)).toEqual([])
        for (const act of done.filter((each) => each.act !== 'mark')) applyAct(local!, act)
        expect(plain(server)).toEqual(plain({ ...server, ...local! }))
      }),
      { numRuns: 25 },
    )
  }, 240_000)
})

/** Days are the server's to say; everything else must be the same. */
const plain = (sheet: TicketSheet): unknown => JSON.parse(JSON.stringify(sheet, (key, value: unknown) => (key === 'on' ? undefined : value)))

/** The act a write was, from its address. */
function actOf(ticket: string, { method, url, body }: Write): Act {
  const [, kind = '', id = '', part, noteId = ''] = url.replace(`/api/tickets/${ticket}`, '').split('/')
  if (method === 'PATCH') return { act: 'change', ...(kind === 'items' ? { itemId: id } : {}), changes: (body as { changes: never[] }).changes }
  if (part === 'observations') return { act: 'observe', id: noteId, roundId: id, body: body as never }
  if (part === 'symptoms') return { act: 'symptom', id: noteId, roundId: id, body: body as never }
  if (part === 'answer') return { act: 'answer', id, body: body as never }
  const names = { items: 'item', readings: 'read', marks: 'mark', acknowledgements: 'acknowledge', 'as-written': 'write-down', choices: 'choose', hitches: 'hitch', 'try-ons': 'try-on', settings: 'set' } as const // prettier-ignore
  return { act: names[kind as keyof typeof names], id, body: body as never }
}

describe('what is newest', () => {
  it('A01 is what the server took last, never what a device’s clock says', async () => {
    const ticket = await openTicket(app)
    const item = nextId()
    const base = `/api/tickets/${ticket}`
    await send(app, 'PUT', `${base}/items/${item}`, { family: 'H01', way: 'stock', school: null, at: AT })
    await send(app, 'PUT', `${base}/choices/${nextId()}`, sizeChoice(item, { labels: ['M'], at: '2026-10-07T09:30:00.000Z' }))
    await send(app, 'PUT', `${base}/choices/${nextId()}`, sizeChoice(item, { labels: ['L'], at: '2026-10-05T08:00:00+14:00' }))
    expect((await sheetOf(ticket)).choices.at(-1)).toMatchObject({ labels: ['L'] })
    const [first, second] = [nextId(), nextId()]
    await send(app, 'PUT', `${base}/try-ons/${first}`, round(item, { label: 'fails', at: '2026-12-01T09:00:00Z' }))
    await send(app, 'PUT', `${base}/try-ons/${second}`, round(item, { label: 'holds', at: '2026-10-05T09:00:00Z' }))
    expect((await sheetOf(ticket)).tryOns.map((each) => each.label)).toEqual(['fails', 'holds'])
  })
})

describe('a closed ticket', () => {
  it('C15 is changed by nothing but opening it again, and has the moment it was closed', async () => {
    const ticket = await openTicket(app)
    const change = (...changes: { field: string; from: unknown; to: unknown }[]) => send(app, 'PATCH', `/api/tickets/${ticket}`, { changes })
    expect((await change({ field: 'state', from: 'open', to: 'closed' })).body).toMatchObject({ state: 'closed', closedAt: expect.stringMatching(/^\d{4}/) })
    expect((await change({ field: 'state', from: 'closed', to: 'closed' }, { field: 'notes', from: '', to: 'x' })).body).toMatchObject({
      code: 'ticket-closed',
    })
    expect((await change({ field: 'state', from: 'closed', to: 'open' }, { field: 'notes', from: '', to: 'x' })).body).toMatchObject({ code: 'ticket-closed' })
    expect((await change({ field: 'state', from: 'closed', to: 'open' })).body).toMatchObject({ state: 'open', closedAt: null })
  })
})

describe('facts under an id that is taken', () => {
  it('are refused with other content, whatever they are, and welcome with the same', async () => {
    const ticket = await openTicket(app)
    const item = nextId()
    await send(app, 'PUT', `/api/tickets/${ticket}/items/${item}`, { family: 'H01', way: 'stock', school: null, at: AT })
    const parts: [string, object, object][] = [
      ['readings', reading(), { takenAt: '2026-10-06T09:30:00.000Z' }],
      ['choices', sizeChoice(item), { labels: ['L'] }],
      ['try-ons', round(item), { label: 'L' }],
      ['hitches', { where: 'sled', heightMm: 200, lineMm: 3000, family: null, at: AT, by: '' }, { lineMm: 2000 }],
      ['settings', { of: { itemId: item }, dogId: null, part: 'girth', side: 'left', mm: 600, mark: '3', at: AT, by: '' }, { mark: '4' }],
      ['acknowledgements', { kind: 'caution', code: 'heat', text: 'x', reason: '', at: AT, by: '' }, { text: 'y' }],
    ]
    for (const [part, body, other] of parts) {
      const url = `/api/tickets/${ticket}/${part}/${nextId()}`
      expect([part, (await send(app, 'PUT', url, body)).status, (await send(app, 'PUT', url, body)).status]).toEqual([part, 200, 200])
      expect([part, (await send(app, 'PUT', url, { ...body, ...other })).body.code]).toEqual([part, 'id-taken'])
    }
  })
})

describe('choosing each kind of thing', () => {
  it('C01 takes a piece of our own, a crate of the series, four boots of two sizes and a made piece, and gives them back', async () => {
    const ticket = await openTicket(app)
    const [item, gear] = [nextId(), nextId()]
    await send(app, 'PUT', `/api/tickets/${ticket}/items/${item}`, { family: 'H01', way: 'stock', school: null, at: AT })
    await send(app, 'PUT', `/api/pieces/${gear}`, piece())
    const { labels: _, kind: __, tableId: ___, tableVersion: ____, ...plainChoice } = sizeChoice(item)
    const table = { tableId: 'test-table', tableVersion: 1 }
    const kinds = [
      { kind: 'gear', pieceId: gear },
      { kind: 'series', family: 'K1', label: '36', insideMm: [914.4, 584.2, 635] },
      { kind: 'paws', ...table, labels: { 'front-left': 'M', 'rear-left': 'L' } },
      { kind: 'made', ...table, numbers: { M01: 540 }, options: { colour: 'red' } },
    ]
    for (const kind of kinds)
      expect((await send(app, 'PUT', `/api/tickets/${ticket}/choices/${nextId()}`, { ...plainChoice, ...kind })).body).toMatchObject(kind)
    expect((await sheetOf(ticket)).choices).toMatchObject(kinds)
    expect((await send(app, 'PUT', `/api/tickets/${ticket}/choices/${nextId()}`, { ...plainChoice, kind: 'gear', pieceId: nextId() })).body).toMatchObject({
      code: 'unknown-reference',
    })
    expect(
      (await send(app, 'PUT', `/api/tickets/${ticket}/choices/${nextId()}`, { ...plainChoice, kind: 'size', ...table, labels: ['Nobody'] })).body,
    ).toMatchObject({ code: 'unknown-reference' })
  })
})

describe('a file that takes nothing just now', () => {
  it('A09 is 503 with its reason, and a write kept waiting goes in afterwards', async () => {
    const other = new Database(file)
    other.exec('BEGIN IMMEDIATE')
    const write: Write = { id: nextId(), method: 'PUT', url: `/api/owners/${nextId()}`, body: { name: 'Runa', at: AT } }
    const from = Date.now()
    const [locked, read] = await Promise.all([sent(write), send(app, 'GET', '/api/owners')])
    expect(locked).toMatchObject({ status: 503, body: { code: 'cannot-keep-now' } })
    expect([read.status, Date.now() - from < 6000]).toEqual([200, true])
    expect((await send(app, 'GET', '/api/health')).status).toBe(503)
    other.exec('ROLLBACK')
    other.close()
    expect((await sent(write)).status).toBe(200)
    expect((await send(app, 'GET', '/api/health')).status).toBe(200)
  })

  it('A09 a full file says so', async () => {
    const full = await openTestShop()
    const pages = full.app.desk.db.pragma('page_count', { simple: true }) as number
    full.app.desk.db.pragma(`max_page_count = ${pages + 2}`)
    const answers = await Promise.all(
      Array.from({ length: 12 }, () => send(full.app, 'PUT', `/api/owners/${nextId()}`, { name: 'Runa', notes: 'n'.repeat(900), at: AT })),
    )
    expect(answers.at(-1)).toMatchObject({ status: 503, body: { code: 'cannot-keep-now', detail: expect.stringContaining('disk') } })
    await full.close()
  })
})

describe('what is nested too deep', () => {
  it('A18 A05 is 400 before anything is built of it', async () => {
    const dog = nextId()
    await send(app, 'PUT', `/api/dogs/${dog}`, { name: 'Tern', at: AT })
    const deep = (levels: number): unknown => JSON.parse('['.repeat(levels) + ']'.repeat(levels))
    for (const levels of [9, 60]) {
      const answer = await send(app, 'PATCH', `/api/dogs/${dog}`, { changes: [{ field: 'notes', from: deep(levels), to: 'x' }] })
      expect([levels, answer.status, answer.body.code]).toEqual([levels, 400, 'bad-request'])
    }
    const raw = (text: string) => send(app, 'PATCH', `/api/dogs/${dog}`, text, { 'content-type': 'application/json' })
    expect(await raw('['.repeat(2000))).toMatchObject({ status: 400, body: { code: 'bad-request' } })
    expect(await raw(`[${'[],'.repeat(60_000)}[]]`)).toMatchObject({ status: 400 })
  })
})

it('a new record is what was said over what nobody said', () => {
  expect(freshOf(resources.dogs, 'd', { name: 'Tern', at: AT })).toMatchObject({ id: 'd', name: 'Tern', breed: '', weightKg: null, createdAt: AT })
  expect(freshOf(resources.items, 'i', { family: 'H01', way: 'stock', school: null, at: AT })).toEqual({
    id: 'i',
    family: 'H01',
    way: 'stock',
    school: null,
    removed: false,
    purpose: '',
    createdAt: AT,
  })
})
