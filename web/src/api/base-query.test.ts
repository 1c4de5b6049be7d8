import type { DogSheet, ShopFields, TicketSheet } from '@merry-tailor/core'
import { describe, expect, it, vi } from 'vitest'
import { store } from '../state/store'
import { aDog, anItem, AT, aTicket, nextId, testShop, withTestShop } from '../test/shop'
import { deviceStore } from './device-store'
import { outbox } from './outbox'
import { withWrites } from './recipes'
import { requestOf } from './requests'
import { shopApi } from './shop-api'

withTestShop()

const reading = (id: string, mm = 690) => ({
  act: 'read' as const,
  id,
  body: { measure: 'M07' as const, mm, side: 'both' as const, asTyped: String(mm), unit: 'mm' as const, method: 'tape' as const, takenAt: AT, by: 'Ylva' },
})
const act = (ticketId: string, id = nextId(), mm = 690) => outbox.write('act', { ticketId, act: reading(id, mm) }, requestOf(ticketId, reading(id, mm)))
const ticket = async (id: string): Promise<TicketSheet> => {
  const base = (await store.dispatch(shopApi.endpoints.ticket.initiate(id, { forceRefetch: true }))).data
  return withWrites(`/tickets/${id}`, base ?? null, outbox.state.writes) as TicketSheet
}
const seeded = (): string => {
  const sheet = aTicket({ items: [anItem()] })
  testShop().tickets.push(sheet)
  return sheet.ticket.id
}

/** Holds the answer to one question back until it is let go. */
function held(path: string): () => void {
  const there = globalThis.fetch
  let go: () => void = () => undefined
  vi.stubGlobal(
    'fetch',
    vi.fn(async (url: string, init: RequestInit) => {
      const answer = await there(url, init)
      if (url === `/api${path}` && !init.method) await new Promise<void>((resolve) => (go = resolve))
      return answer
    }),
  )
  return () => go()
}

describe('an answer that left before a write and comes back after it', () => {
  it('still shows the write, once', async () => {
    const id = seeded()
    await ticket(id)
    const letGo = held(`/tickets/${id}`)
    const asked = ticket(id)
    await vi.waitFor(() => expect(vi.mocked(fetch).mock.calls.length).toBeGreaterThan(0))
    await act(id)
    letGo()
    expect((await asked).readings.map((each) => each.mm)).toEqual([690])
    expect((await ticket(id)).readings).toHaveLength(1)
  })

  it('C09 shows nothing of what the server refused, and keeps the other device’s row', async () => {
    const id = seeded()
    await ticket(id)
    const theirs = reading(nextId(), 555)
    const refused = act(nextId(), nextId(), 444)
    await fetch(`/api/tickets/${id}/readings/${theirs.id}`, {
      method: 'PUT',
      body: JSON.stringify(theirs.body),
      headers: { 'content-type': 'application/json' },
    })
    expect((await refused).kind).toBe('refused')
    expect((await ticket(id)).readings.map((each) => each.mm)).toEqual([555])
  })

  it('keeps a changed field of the shop', async () => {
    const changes = [{ field: 'restSeconds', from: 180, to: 60 }]
    await store.dispatch(shopApi.endpoints.shop.initiate(undefined))
    void outbox.write('changeShop', changes, { url: '/shop', method: 'PATCH', body: { changes } })
    const shown = () => withWrites('/shop', shopApi.endpoints.shop.select(undefined)(store.getState()).data ?? null, outbox.state.writes) as ShopFields
    expect(shown().restSeconds).toBe(60)
    await outbox.drain()
    expect(shown().restSeconds).toBe(60)
  })
})

it('C08 the dog’s page has what was just pinned, without asking again', async () => {
  const sheet = aTicket({ dog: aDog() })
  testShop().tickets.push(sheet)
  const dogId = sheet.dog!.id
  await store.dispatch(shopApi.endpoints.dog.initiate(dogId))
  await act(sheet.ticket.id)
  const page = shopApi.endpoints.dog.select(dogId)(store.getState()).data as DogSheet
  expect(page.tickets[0]?.readings).toMatchObject([{ mm: 690 }])
})

describe('with the server away', () => {
  it('shows the last answer at once, with what waits done over it', async () => {
    const id = seeded()
    await ticket(id)
    await vi.waitFor(async () => expect(await (await deviceStore()).get('kept', `/tickets/${id}`)).toBeDefined())
    const there = globalThis.fetch
    vi.stubGlobal(
      'fetch',
      vi.fn(() => new Promise(() => undefined)),
    )
    outbox.reached(false)
    await act(id)
    const from = performance.now()
    expect((await ticket(id)).readings).toHaveLength(1)
    expect(performance.now() - from).toBeLessThan(800)
    vi.stubGlobal('fetch', there)
    outbox.forget()
  })

  it('C04 never keeps an answer that is not ours', async () => {
    const id = seeded()
    await ticket(id)
    vi.stubGlobal(
      'fetch',
      vi.fn(() => Promise.resolve(new Response('<html>Sign in</html>', { status: 200 }))),
    )
    expect((await ticket(id)).ticket.id).toBe(id)
    expect((await (await deviceStore()).get('kept', `/tickets/${id}`))?.data).toMatchObject({ ticket: { id } })
    outbox.forget()
  })
})
