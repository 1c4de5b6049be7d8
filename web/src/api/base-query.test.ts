import 'fake-indexeddb/auto'
import { USUAL_SHOP, type TicketSheet } from '@merry-tailor/core'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { baseQuery, type Request } from './base-query'
import { deviceStore } from './device-store'
import { outbox } from './outbox'
import { freshSheet } from './recipes'

const AT = '2026-10-05T09:00:00Z'
const ID = '01900000-0000-7000-8000-000000000190'
const PATH = `/tickets/${ID}`

/** The server's side: questions answer when the test lets them, writes at once. */
const held: ((answer: Response) => void)[] = []
let onWrite: () => Promise<Response>
const json = (body: unknown, status = 200): Response => new Response(JSON.stringify(body), { status })
const sheet = (): TicketSheet => freshSheet(ID, { dogId: null, ownerId: null, counter: true, at: AT, by: '' }, null, null)

const ask = async (request: Request): Promise<unknown> => (await baseQuery(request, {} as never, {})).data
const addItem = (id: string, family: string): Request => ({
  url: `${PATH}/items/${id}`,
  method: 'PUT',
  body: {},
  endpoint: 'addItem',
  arg: { ticketId: ID, id, body: { family, way: 'stock', school: null, at: AT } },
})
/** A question under way: it has left, its answer has not come. */
async function leaves(path: string): Promise<{ comesBack: (answer: unknown) => Promise<unknown> }> {
  const before = held.length
  const asked = ask(path)
  await vi.waitFor(() => expect(held).toHaveLength(before + 1))
  return {
    comesBack: (answer) => {
      held[before]?.(json(answer))
      return asked
    },
  }
}

beforeEach(async () => {
  held.length = 0
  onWrite = () => Promise.resolve(json({}))
  vi.stubGlobal(
    'fetch',
    vi.fn((_url: string, init: { method?: string } = {}) => (init.method ? onWrite() : new Promise<Response>((resolve) => void held.push(resolve)))),
  )
  const db = await deviceStore()
  await Promise.all([db.clear('outbox'), db.clear('refused'), db.clear('kept')])
})
afterEach(async () => {
  onWrite = () => Promise.resolve(json({}))
  await outbox.drain()
  vi.unstubAllGlobals()
})

describe('an answer that left before a write and comes back after it', () => {
  it('still shows a write begun and finished in between, on the ticket and in the list', async () => {
    const one = await leaves(PATH)
    const list = await leaves('/tickets?state=open')
    await ask(addItem('i1', 'H01'))
    await ask(addItem('i2', 'H17'))
    expect(await outbox.waiting()).toEqual([])
    expect(await one.comesBack(sheet())).toMatchObject({ items: [{ family: 'H01' }, { family: 'H17' }] })
    expect(await list.comesBack([sheet()])).toMatchObject([{ items: [{ family: 'H01' }, { family: 'H17' }] }])
    // The copy for when the server is gone has them as well.
    await vi.waitFor(async () => expect(await (await deviceStore()).get('kept', PATH)).toMatchObject({ items: [{ family: 'H01' }, { family: 'H17' }] }))
  })

  it('still shows a write that was under way when it left', async () => {
    let arrives: (answer: Response) => void = () => undefined
    onWrite = vi.fn(() => new Promise<Response>((resolve) => (arrives = resolve)))
    const writing = ask(addItem('i1', 'H03'))
    await vi.waitFor(() => expect(onWrite).toHaveBeenCalled())
    const one = await leaves(PATH)
    arrives(json({}))
    await writing
    expect(await one.comesBack(sheet())).toMatchObject({ items: [{ family: 'H03' }] })
  })

  it('leaves out what the server refused meanwhile, and what was done before it left', async () => {
    await ask(addItem('i0', 'H02'))
    const one = await leaves(PATH)
    onWrite = () => Promise.resolve(json({ code: 'not-takeable' }, 422))
    await ask(addItem('i1', 'H01'))
    expect(await one.comesBack(sheet())).toMatchObject({ items: [] })
  })

  it('changes nothing of an answer that has the write already', async () => {
    const known = sheet()
    known.tryOns.push({ id: 't1', observations: [{ id: 'o1' }], symptoms: [] } as never)
    const one = await leaves(PATH)
    await ask({ url: `${PATH}/try-ons/t1`, method: 'PUT', body: {}, endpoint: 'addTryOn', arg: { ticketId: ID, id: 't1', body: { at: AT } } })
    expect(await one.comesBack(known)).toMatchObject({ tryOns: [{ id: 't1', observations: [{ id: 'o1' }] }] })
  })

  it('keeps a changed field of the shop', async () => {
    const shop = await leaves('/shop')
    await ask({ url: '/shop', method: 'PATCH', body: {}, endpoint: 'changeShop', arg: [{ field: 'name', from: '', to: 'The Knot' }] })
    expect(await shop.comesBack({ ...USUAL_SHOP })).toMatchObject({ name: 'The Knot' })
  })
})
