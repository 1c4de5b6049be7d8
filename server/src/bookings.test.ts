import { describe, expect, it } from 'vitest'
import type { Booking } from '@merry-tailor/core'
import { AT, nextId, openTestShop, send } from './test/shop.ts'

type App = Awaited<ReturnType<typeof openTestShop>>['app']

/** A piece on the rack, and two tickets with an item each. */
async function rack(app: App) {
  const piece = nextId()
  await send(app, 'PUT', `/api/pieces/${piece}`, { tag: 'Peg 1', family: 'H01', maker: '', label: '', tableId: null, flat: {}, sliders: '', home: 'shop', holder: '', wearerId: null, state: 'good', wear: '', at: AT }) // prettier-ignore
  const made = async () => {
    const [ticket, item] = [nextId(), nextId()]
    await send(app, 'PUT', `/api/tickets/${ticket}`, { dogId: null, ownerId: null, kind: 'real', at: AT, by: '' })
    await send(app, 'PUT', `/api/tickets/${ticket}/items/${item}`, { family: 'H01', way: 'stock', school: null, at: AT })
    return { ticket, item }
  }
  const choose = ({ ticket, item }: { ticket: string; item: string }, id = nextId(), at = AT) =>
    send(app, 'PUT', `/api/tickets/${ticket}/choices/${id}`, {
      kind: 'gear',
      pieceId: piece,
      itemId: item,
      predicted: [],
      rulesVersion: 1,
      overruled: null,
      at,
      by: '',
    })
  const mark = (ticket: string, about: string, kind: 'struck' | 'restored') =>
    send(app, 'PUT', `/api/tickets/${ticket}/marks/${nextId()}`, { what: 'choice', about, kind, why: 'undo', at: AT, by: '' })
  const bookings = async () => (await send(app, 'GET', '/api/bookings')).body as unknown as Booking[]
  return { piece, one: await made(), two: await made(), choose, mark, bookings }
}

describe('a piece of ours', () => {
  it('is booked out by the choice of it, once, and the second ticket is told who has it', async () => {
    const { app, close } = await openTestShop()
    const { piece, one, two, choose, bookings } = await rack(app)
    const id = nextId()
    expect((await choose(one, id)).status).toBe(200)
    expect((await choose(one, id)).status).toBe(200)
    expect(await bookings()).toEqual([{ id, pieceId: piece, ticketId: one.ticket, from: '2026-10-05', until: '2026-10-19', backOn: null }])
    const refused = await choose(two)
    expect(refused).toMatchObject({
      status: 409,
      body: { code: 'piece-booked', detail: expect.stringContaining('Peg 1 is out for ticket 101 until 2026-10-19') as string },
    })
    // The ticket that has it may choose it again, and a later day is free.
    expect((await choose(one)).status).toBe(200)
    expect((await choose(two, nextId(), '2026-11-05T09:00:00Z')).status).toBe(200)
    await close()
  })

  it('is freed by undo, by another choice, by the item taken off, and once it is back; put back it is asked again', async () => {
    const { app, close } = await openTestShop()
    const { one, two, choose, mark, bookings } = await rack(app)
    const id = nextId()
    await choose(one, id)
    await mark(one.ticket, id, 'struck')
    expect(await bookings()).toEqual([])
    const second = nextId()
    expect((await choose(two, second)).status).toBe(200)
    expect(await mark(one.ticket, id, 'restored')).toMatchObject({ status: 409, body: { code: 'piece-booked' } })
    // Back: free from that day.
    const back = (to: string | null) => send(app, 'PATCH', `/api/bookings/${second}`, { changes: [{ field: 'backOn', from: null, to }] })
    expect((await back('2026-10-05')).status).toBe(200)
    expect((await mark(one.ticket, id, 'restored')).status).toBe(200)
    expect((await bookings()).map((each) => [each.ticketId, each.backOn])).toEqual([
      [one.ticket, null],
      [two.ticket, '2026-10-05'],
    ])
    await send(app, 'PATCH', `/api/tickets/${one.ticket}/items/${one.item}`, { changes: [{ field: 'removed', from: false, to: true }] })
    expect((await bookings()).map((each) => each.ticketId)).toEqual([two.ticket])
    await close()
  })

  it('keeps its days in order, and goes with the copy of the book', async () => {
    const { app, close } = await openTestShop()
    const { one, choose, bookings } = await rack(app)
    const id = nextId()
    await choose(one, id)
    const change = (field: string, from: unknown, to: unknown) => send(app, 'PATCH', `/api/bookings/${id}`, { changes: [{ field, from, to }] })
    expect(await change('until', '2026-10-19', '2026-10-01')).toMatchObject({ status: 400, body: { code: 'bad-request', fields: [{ path: 'until' }] } })
    expect(await change('until', '2026-10-19', 'soon')).toMatchObject({ status: 400 })
    expect((await change('until', '2026-10-19', '2026-12-01')).status).toBe(200)
    expect(await send(app, 'PATCH', `/api/bookings/${nextId()}`, { changes: [{ field: 'backOn', from: null, to: '2026-10-06' }] })).toMatchObject({
      status: 404,
    })
    const copy = (await app.inject({ url: '/api/book', headers: { host: 'localhost' } })).body
    expect(copy).toContain(`"until":"2026-12-01"`)
    expect(await bookings()).toHaveLength(1)
    await close()
  })
})
