import 'fake-indexeddb/auto'
import type { TicketSheet } from '@merry-tailor/core'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { deviceStore } from './device-store'
import { outbox, type OutboxState } from './outbox'
import { freshSheet, withWaiting } from './recipes'

const AT = '2026-10-05T09:00:00Z'
const ok = (): Response => new Response('{"kept":true}', { status: 200 })
const refuse = (status: number, body: object): Response => new Response(JSON.stringify(body), { status })
const request = (n: number) => ({ url: `/tickets/t/readings/${n}`, method: 'PUT' as const, body: { n } })
let answers: (call: { url: string; body: string }) => Response | Promise<Response>
const sent: string[] = []

beforeEach(async () => {
  sent.length = 0
  const db = await deviceStore()
  await db.clear('outbox')
  await db.clear('refused')
  answers = ok
  vi.stubGlobal(
    'fetch',
    vi.fn(async (url: string, init: { body: string }) => {
      const answer = await answers({ url, body: init.body })
      sent.push(url)
      return answer
    }),
  )
  await outbox.drain()
})
afterEach(() => {
  vi.unstubAllGlobals()
})

const away = (): Promise<Response> => Promise.reject(new TypeError('no network'))

describe('the outbox', () => {
  it('sends a write and takes it off when the server has it', async () => {
    expect(await outbox.write('act', {}, request(1))).toEqual({ kind: 'sent', data: { kept: true } })
    expect(await outbox.waiting()).toEqual([])
  })

  it('keeps what cannot be sent and sends it later, in order', async () => {
    answers = away
    for (const n of [1, 2, 3]) expect(await outbox.write('act', { n }, request(n))).toEqual({ kind: 'kept-here' })
    expect((await outbox.waiting()).map((write) => write.request.url)).toEqual([1, 2, 3].map((n) => `/tickets/t/readings/${n}`))
    answers = ok
    expect((await outbox.write('act', { n: 4 }, request(4))).kind).toBe('sent')
    expect(sent).toEqual([1, 2, 3, 4].map((n) => `/api/tickets/t/readings/${n}`))
    expect(await outbox.waiting()).toEqual([])
  })

  it('sends what is not on the shelf yet when the page goes away, so that it outlives the page', async () => {
    outbox.start()
    const writing = outbox.write('act', {}, request(7))
    window.dispatchEvent(new Event('pagehide'))
    expect(vi.mocked(fetch).mock.calls.filter(([, init]) => init?.keepalive)).toMatchObject([['/api/tickets/t/readings/7', { method: 'PUT', body: '{"n":7}' }]])
    await writing
    // Once it is on the shelf, the next start sends it: nothing more to do.
    window.dispatchEvent(new Event('pagehide'))
    expect(vi.mocked(fetch).mock.calls.filter(([, init]) => init?.keepalive)).toHaveLength(1)
  })

  it('counts a gateway without a server as the server gone', async () => {
    answers = () => refuse(503, {})
    expect((await outbox.write('act', {}, request(1))).kind).toBe('kept-here')
    expect(await outbox.waiting()).toHaveLength(1)
  })

  it('tells a refusal to whoever waits for it, and keeps a late one until somebody decides', async () => {
    answers = () => refuse(422, { code: 'not-takeable' })
    expect(await outbox.write('act', {}, request(1))).toMatchObject({ kind: 'refused', status: 422, data: { code: 'not-takeable' } })
    answers = away
    await outbox.write('changeDog', { id: 'd', changes: [] }, { url: '/dogs/d', method: 'PATCH', body: { changes: [{ field: 'weightKg', from: 1, to: 2 }] } })
    answers = () => refuse(409, { code: 'stale-edit', conflicts: [{ field: 'weightKg', yours: 2, theirs: 3 }] })
    const states: OutboxState[] = []
    const stop = outbox.onChange((state) => states.push(state))
    await outbox.drain()
    await vi.waitFor(() => expect(states.at(-1)?.refused).toHaveLength(1))
    const [late] = states.at(-1)?.refused ?? []
    expect(late?.problem.conflicts).toMatchObject([{ theirs: 3 }])
    answers = ok
    await outbox.decide(late?.seq ?? 0, { url: '/dogs/d', method: 'PATCH', body: { changes: [{ field: 'weightKg', from: 3, to: 2 }] } })
    await vi.waitFor(() => expect(states.at(-1)).toMatchObject({ waiting: 0, refused: [] }))
    expect(sent.at(-1)).toBe('/api/dogs/d')
    stop()
  })

  it('tells when late writes have arrived', async () => {
    const arrived = vi.fn()
    const stop = outbox.onArrived(arrived)
    await outbox.write('act', {}, request(1))
    expect(arrived).not.toHaveBeenCalled()
    answers = away
    await outbox.write('act', {}, request(2))
    answers = ok
    await outbox.drain()
    expect(arrived).toHaveBeenCalled()
    stop()
  })
})

describe('withWaiting', () => {
  const sheet = (): TicketSheet => freshSheet('0190', { dogId: null, ownerId: null, counter: true, at: AT, by: '' }, null, null)
  const write = (endpoint: string, arg: unknown) => ({ seq: 1, endpoint, arg, request: request(1), at: AT })
  const reading = { measure: 'M07', mm: 700, side: 'both', asTyped: '70', unit: 'cm', method: 'tape', takenAt: AT, by: '' }

  it('shows waiting readings and edits over the last answer, and leaves the answer itself alone', () => {
    const answer = sheet()
    const waiting = [
      write('act', { ticketId: '0190', act: { act: 'read', id: 'r1', body: reading } }),
      write('changeTicket', { ticketId: '0190', changes: [{ field: 'notes', from: '', to: 'by lamp' }] }),
      write('act', { ticketId: 'another', act: { act: 'read', id: 'r2', body: reading } }),
    ]
    const shown = withWaiting('/tickets/0190', answer, waiting) as TicketSheet
    expect(shown.readings.map((each) => each.id)).toEqual(['r1'])
    expect(shown.ticket.notes).toBe('by lamp')
    expect(answer.readings).toEqual([])
  })

  it('makes a ticket, its dog and its owner of what waits when nothing came from the server', () => {
    const waiting = [
      write('addDog', { id: 'd1', body: { name: 'Tern', ownerId: 'o1', at: AT } }),
      write('addOwner', { id: 'o1', body: { name: 'Runa', at: AT } }),
      write('addTicket', { id: '0191', body: { dogId: 'd1', ownerId: null, counter: false, at: AT, by: '' } }),
      write('addItem', { ticketId: '0191', id: 'i1', body: { family: 'H01', way: 'stock', school: null, at: AT } }),
    ]
    expect(withWaiting('/tickets/0191', null, waiting)).toMatchObject({ dog: { name: 'Tern' }, owner: { name: 'Runa' }, items: [{ family: 'H01' }] })
    expect(withWaiting('/tickets/0199', null, waiting)).toBeNull()
    const list = withWaiting('/tickets?state=open', [sheet()], waiting) as TicketSheet[]
    expect(list.map((each) => each.ticket.id)).toEqual(['0191', '0190'])
    expect(withWaiting('/dogs', [], waiting)).toMatchObject([{ name: 'Tern' }])
    expect(withWaiting('/size-tables', ['as it was'], waiting)).toEqual(['as it was'])
  })
})
