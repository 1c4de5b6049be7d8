import type { NewReading, TicketSheet } from '@merry-tailor/core'
import { describe, expect, it, vi } from 'vitest'
import { aDog, anItem, AT, aTicket, nextId, testShop, withTestShop } from '../test/shop'
import { deviceBook } from './book-mark'
import { deviceStore } from './device-store'
import type { WaitingWrite } from './kept'
import { takeLeftOver } from './left-over'
import { outbox } from './outbox'
import { toldBy } from './post'
import { put, requestOf } from './requests'

withTestShop()

const body = (mm: number): NewReading => ({ measure: 'M07', mm, side: 'both', asTyped: String(mm), unit: 'mm', method: 'tape', takenAt: AT, by: 'Ylva' })
const read = (ticketId: string, mm: number, id = nextId()) => {
  const act = { act: 'read' as const, id, body: body(mm) }
  return outbox.write('act', { ticketId, act }, requestOf(ticketId, act))
}
const shelf = async (): Promise<WaitingWrite[]> => (await (await deviceStore()).getAll('outbox')) as WaitingWrite[]
const onServer = async (ticketId: string): Promise<TicketSheet> => (await (await fetch(`/api/tickets/${ticketId}`)).json()) as TicketSheet
/** Opens a ticket, and lets the device hear which book is there. */
async function openTicket(): Promise<string> {
  const sheet = aTicket({ items: [anItem()] })
  testShop().tickets.push(sheet)
  deviceBook.hear(toldBy((await fetch('/api/health')).headers)!)
  return sheet.ticket.id
}
/** The server is gone, or somebody else answers, until it is back. */
function away(answer: (url: string) => Promise<Response> = () => Promise.reject(new Error('gone'))): () => void {
  const there = globalThis.fetch
  vi.stubGlobal('fetch', vi.fn(answer))
  return () => vi.stubGlobal('fetch', there)
}

describe('the outbox', () => {
  it('sends a write and takes it off once an answer names its id', async () => {
    const ticket = await openTicket()
    expect(await read(ticket, 690)).toMatchObject({ kind: 'sent', data: { mm: 690 } })
    expect(await shelf()).toEqual([])
    expect((await onServer(ticket)).readings).toMatchObject([{ mm: 690 }])
  })

  it('keeps what cannot be sent and sends it later, in order', async () => {
    const ticket = await openTicket()
    const back = away()
    expect(await read(ticket, 690)).toEqual({ kind: 'kept-here' })
    expect(await read(ticket, 692)).toEqual({ kind: 'kept-here' })
    expect(outbox.state).toMatchObject({ waiting: 2, reached: false })
    back()
    outbox.reached(true)
    await outbox.drain()
    expect((await onServer(ticket)).readings.map((each) => each.mm)).toEqual([690, 692])
    expect(await shelf()).toEqual([])
  })

  it('C04 an answer that is not ours takes nothing off the shelf: a captive page, another program, an unreadable body, a server that broke', async () => {
    const ticket = await openTicket()
    const said = { 'merry-book': deviceBook.mark!.book, 'merry-epoch': '1', 'merry-seq': '1', 'merry-time': new Date().toISOString() }
    const answers: (() => Response)[] = [
      () => new Response('<html>Sign in</html>', { status: 200 }),
      () => new Response('{"ok":true}', { status: 200 }),
      () => new Response('not json', { status: 200, headers: said }),
      () => new Response('{"ok":true}', { status: 200, headers: said }),
      () => new Response('{"code":"unexpected"}', { status: 500, headers: said }),
      () => new Response('{"code":"cannot-keep-now","detail":"The disk is full."}', { status: 503, headers: said }),
    ]
    for (const answer of answers) {
      const back = away(() => Promise.resolve(answer()))
      expect((await read(ticket, 690)).kind).toBe('kept-here')
      back()
    }
    expect(await shelf()).toHaveLength(answers.length)
    expect(outbox.state.why).toBe('The disk is full.')
    outbox.reached(true)
    await outbox.drain()
    expect((await onServer(ticket)).readings).toHaveLength(answers.length)
  })

  it('C12 a network that swallows packets costs no act more than a second, and none once it is known', async () => {
    const ticket = await openTicket()
    outbox.patienceMs = 1000
    const back = away(() => new Promise(() => undefined))
    const from = performance.now()
    expect((await read(ticket, 690)).kind).toBe('kept-here')
    expect(performance.now() - from).toBeLessThan(1900)
    outbox.reached(false)
    const known = performance.now()
    expect((await read(ticket, 691)).kind).toBe('kept-here')
    expect(performance.now() - known).toBeLessThan(700)
    back()
    outbox.forget()
  })

  it('A32 C05 a write sent again under its id counts once, whatever was done since', async () => {
    const dog = aDog({ weightKg: 20 })
    testShop().dogs.push(dog)
    const change = (from: number, to: number) => ({ url: `/dogs/${dog.id}`, method: 'PATCH' as const, body: { changes: [{ field: 'weightKg', from, to }] } })
    await outbox.write('changeDog', { id: dog.id, changes: [] }, change(20, 21))
    const first = vi.mocked(fetch).mock.calls.find(([url, init]) => (url as string).includes(dog.id) && init?.method === 'PATCH')
    await outbox.write('changeDog', { id: dog.id, changes: [] }, change(21, 20))
    const again = await fetch(first![0], first![1])
    expect([again.status, ((await again.json()) as { weightKg: number }).weightKg]).toEqual([200, 21])
    const now = (await (await fetch(`/api/dogs/${dog.id}`)).json()) as { dog: { weightKg: number } }
    expect(now.dog.weightKg).toBe(20)
  })

  it('tells a refusal to whoever waits for it', async () => {
    expect(await read(nextId(), 690)).toMatchObject({ kind: 'refused', status: 404, data: { code: 'not-found' } })
    expect(await shelf()).toEqual([])
    expect(outbox.state.refused).toEqual([])
  })

  it('C14 a late refusal holds back what hangs on it, once, and lets the rest through', async () => {
    const ticket = await openTicket()
    const gone = nextId()
    const back = away()
    await outbox.write('addTicket', { id: gone, body: {} }, put(`/tickets/${gone}`, { dogId: nextId(), ownerId: null, kind: 'real', at: AT, by: '' }))
    await read(gone, 690)
    await read(gone, 691)
    await read(ticket, 700)
    back()
    outbox.reached(true)
    await outbox.drain()
    expect((await onServer(ticket)).readings).toMatchObject([{ mm: 700 }])
    const [refused] = outbox.state.refused
    expect([outbox.state.refused.length, refused?.endpoint, outbox.state.held[refused!.seq]]).toEqual([1, 'addTicket', 2])
    // Sent again as it can be: under a new id, in its old place, and what hung on it follows.
    await outbox.decide(refused!.seq, put(`/tickets/${gone}`, { dogId: null, ownerId: null, kind: 'counter', at: AT, by: '' }))
    expect((await onServer(gone)).readings.map((each) => each.mm)).toEqual([690, 691])
    expect([await shelf(), outbox.state.refused]).toEqual([[], []])
  })

  it('C19 a refused write that cannot be put in line again stays where it was', async () => {
    const ticket = await openTicket()
    const gone = nextId()
    const back = away()
    await read(gone, 690)
    back()
    outbox.reached(true)
    await outbox.drain()
    const { seq, request } = outbox.state.refused[0]!
    const full = vi.spyOn(IDBObjectStore.prototype, 'put').mockImplementationOnce(() => {
      throw new DOMException('No room.', 'QuotaExceededError')
    })
    await expect(outbox.decide(seq, request)).rejects.toThrow('No room.')
    full.mockRestore()
    expect(await (await deviceStore()).getAll('refused')).toHaveLength(1)
    // With room again it goes where it can be.
    await outbox.decide(seq, { ...request, url: request.url.replace(gone, ticket) })
    expect((await onServer(ticket)).readings).toMatchObject([{ mm: 690 }])
    expect([await shelf(), await (await deviceStore()).getAll('refused')]).toEqual([[], []])
  })

  it('lets a refused write go with what can never be without it', async () => {
    const gone = nextId()
    const back = away()
    await outbox.write('addTicket', { id: gone, body: {} }, put(`/tickets/${gone}`, { dogId: nextId(), ownerId: null, kind: 'real', at: AT, by: '' }))
    await read(gone, 690)
    back()
    outbox.reached(true)
    await outbox.drain()
    await outbox.decide(outbox.state.refused[0]!.seq, null)
    expect([await shelf(), outbox.state.refused, outbox.state.writes]).toEqual([[], [], []])
  })

  it('C03 is told by another tab what became of its write, and waits for none for ever', async () => {
    const ticket = await openTicket()
    let answered: (answer: Response) => void = () => undefined
    const back = away(() => new Promise((resolve) => (answered = resolve)))
    const mine = read(ticket, 690)
    await vi.waitFor(async () => expect(await shelf()).toHaveLength(1))
    // The other tab sends it, takes it off the shelf, and goes before it can tell.
    const db = await deviceStore()
    await db.delete('outbox', (await shelf())[0]!.seq)
    await outbox.refresh()
    expect((await mine).kind).toBe('kept-here')
    expect(outbox.state.writes).toEqual([])
    answered(new Response('gone', { status: 502 }))
    back()
  })

  it('shows and counts what comes onto the shelf, and what leaves it, while the shelf is being read', async () => {
    const ticket = await openTicket()
    const shelves = (await deviceStore()) as unknown as { transaction: (...of: unknown[]) => unknown }
    /** Does something in the middle of a reading of the shelves. */
    const meanwhile = async (work: () => Promise<unknown>): Promise<void> => {
      const real = shelves.transaction
      let done: Promise<unknown> | undefined
      shelves.transaction = (...of) => {
        const opened = real.apply(shelves, of)
        if (Array.isArray(of[0]) && of[1] === undefined) done ??= work()
        return opened
      }
      await outbox.refresh()
      delete (shelves as { transaction?: unknown }).transaction
      await done
    }
    const back = away()
    outbox.reached(false)
    for (const mm of [700, 701]) await meanwhile(() => read(ticket, mm))
    expect(outbox.state).toMatchObject({ waiting: 2, writes: [{}, {}] })
    // The server is found to be away again while a write is on its way to the shelf.
    const third = read(ticket, 702)
    outbox.reached(false)
    expect(await third).toEqual({ kind: 'kept-here' })
    expect(outbox.state.waiting).toBe(3)
    back()
    await meanwhile(() => {
      outbox.reached(true)
      return outbox.drain()
    })
    expect(outbox.state).toMatchObject({ waiting: 0, writes: [] })
    expect((await onServer(ticket)).readings.map((each) => each.mm)).toEqual([700, 701, 702])
  })

  it('A24 leaves what is not on the shelf where the next page finds it', async () => {
    const ticket = await openTicket()
    await outbox.start()
    const done = read(ticket, 690)
    window.dispatchEvent(new Event('pagehide'))
    expect(takeLeftOver()).toMatchObject([{ endpoint: 'act', arg: { ticketId: ticket } }])
    expect(takeLeftOver()).toEqual([])
    await done
  })

  it('A15 puts a write on the disk, not only in memory', async () => {
    const db = await deviceStore()
    const asked = vi.spyOn(db, 'transaction')
    await read(await openTicket(), 690)
    expect(asked).toHaveBeenCalledWith('outbox', 'readwrite', { durability: 'strict' })
  })

  it('A02 sends nothing to another book, and tells the two apart', async () => {
    const ticket = await openTicket()
    deviceBook.adopt({ book: nextId(), epoch: 1 })
    expect(await Promise.race([read(ticket, 690), new Promise((resolve) => setTimeout(() => resolve('waits'), 300))])).toBe('waits')
    expect(deviceBook.other).not.toBeNull()
    expect(await shelf()).toHaveLength(1)
    // The book it was done in is open again: it goes in there alone.
    deviceBook.adopt(deviceBook.other!)
    expect([outbox.state.writes.length, outbox.state.elsewhere]).toEqual([0, 1])
    expect((await onServer(ticket)).readings).toEqual([])
    outbox.forget()
  })
})
