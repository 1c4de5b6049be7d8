import { describe, expect, it } from 'vitest'
import type { DogSheet } from '@merry-tailor/core'
import { AT, nextId, openTestShop, reading, send } from './test/shop.ts'

type App = Awaited<ReturnType<typeof openTestShop>>['app']
const idsOf = (list: readonly { id: string }[]): string[] => list.map(({ id }) => id).sort()

/** A dog with a ticket, a reading, a note and a weighing. */
async function aDog(app: App, more: object = {}) {
  const [dog, ticket, note, weighing] = [nextId(), nextId(), nextId(), nextId()]
  await send(app, 'PUT', `/api/dogs/${dog}`, { name: 'Pebble', at: AT, ...more })
  await send(app, 'PUT', `/api/tickets/${ticket}`, { dogId: dog, ownerId: null, kind: 'real', at: AT, by: '' })
  await send(app, 'PUT', `/api/tickets/${ticket}/readings/${nextId()}`, reading())
  await send(app, 'PUT', `/api/dogs/${dog}/notes/${note}`, { kind: 'lump', text: '', on: '2026-10-01', at: AT, by: '' })
  return { dog, ticket, note, weighing }
}
const sheetOf = async (app: App, id: string): Promise<DogSheet> => (await send(app, 'GET', `/api/dogs/${id}`)).body as unknown as DogSheet
const listed = async (app: App): Promise<string[]> => idsOf((await send(app, 'GET', '/api/dogs')).body as unknown as { id: string }[])

describe('X12: two records of one dog', () => {
  it('become one with everything of both, in every list, and are taken apart as they were', async () => {
    const { app, close } = await openTestShop()
    const stays = await aDog(app, { breed: '', born: '2023-05-01' })
    const other = await aDog(app, { breed: 'Whippet', born: '2022-01-01', sex: 'female', notes: 'Shy.' })
    await send(app, 'PUT', `/api/dogs/${other.dog}/weighings/${other.weighing}`, { kg: 13.5, asTyped: '13.5', unit: 'kg', on: '2026-11-01', at: AT, by: '' })
    const piece = nextId()
    await send(app, 'PUT', `/api/pieces/${piece}`, { tag: 'Peg 1', family: 'H01', maker: '', label: '', tableId: null, flat: {}, sliders: '', home: 'loan', holder: '', wearerId: other.dog, state: 'good', wear: '', at: AT }) // prettier-ignore
    const before = [await sheetOf(app, stays.dog), await sheetOf(app, other.dog)]
    const join = nextId()
    const make = () => send(app, 'PUT', `/api/dogs/${stays.dog}/joins/${join}`, { otherId: other.dog, at: AT, by: 'Ylva' })
    expect((await make()).status).toBe(200)
    // Sent twice it is one.
    expect((await make()).status).toBe(200)
    const one = await sheetOf(app, stays.dog)
    expect(idsOf(one.tickets.map((each) => each.ticket))).toEqual([stays.ticket, other.ticket].sort())
    expect(idsOf(one.notes)).toEqual([stays.note, other.note].sort())
    // What the record said stays, what it left open it is told.
    expect(one.dog).toMatchObject({ breed: 'Whippet', born: '2023-05-01', sex: 'female', notes: 'Shy.', weightKg: 13.5 })
    expect(one.joins).toMatchObject([{ id: join, otherId: other.dog, otherName: 'Pebble', by: 'Ylva' }])
    expect(await listed(app)).toEqual([stays.dog])
    expect((await send(app, 'GET', '/api/dogs/page')).body).toMatchObject({ total: 1 })
    expect((await send(app, 'GET', '/api/find?q=pebble')).body).toMatchObject([{ kind: 'dog', id: stays.dog }, { kind: 'ticket' }, { kind: 'ticket' }])
    const day = (await send(app, 'GET', '/api/day?on=2026-10-05')).body as unknown as { rows: { dog: { id: string } }[] }
    expect(day.rows.map((row) => row.dog.id)).toEqual([stays.dog, stays.dog])
    // An old address still leads to the dog, and what is written to it is not lost.
    expect((await sheetOf(app, other.dog)).dog.id).toBe(stays.dog)
    const late = nextId()
    await send(app, 'PUT', `/api/tickets/${late}`, { dogId: other.dog, ownerId: null, kind: 'real', at: AT, by: '' })
    expect(idsOf((await sheetOf(app, stays.dog)).tickets.map((each) => each.ticket))).toContain(late)
    await send(app, 'PATCH', `/api/tickets/${late}`, { changes: [{ field: 'dogId', from: stays.dog, to: null }] })

    const undo = { changes: [{ field: 'undone', from: null, to: AT }] }
    expect((await send(app, 'PATCH', `/api/dogs/${stays.dog}/joins/${join}`, undo)).status).toBe(200)
    expect([await sheetOf(app, stays.dog), await sheetOf(app, other.dog)]).toEqual(before)
    expect(await listed(app)).toEqual([stays.dog, other.dog].sort())
    expect((await send(app, 'GET', '/api/pieces')).body).toMatchObject([{ id: piece, wearerId: other.dog }])
    await close()
  })

  it('is refused where it makes no sense, each with its code', async () => {
    const { app, close } = await openTestShop()
    const [a, b, c] = [await aDog(app), await aDog(app), await aDog(app)]
    const join = (into: string, otherId: string, id = nextId()) => send(app, 'PUT', `/api/dogs/${into}/joins/${id}`, { otherId, at: AT, by: '' })
    expect((await join(a.dog, a.dog)).body).toMatchObject({ code: 'bad-request' })
    expect((await join(a.dog, nextId())).body).toMatchObject({ code: 'unknown-reference' })
    expect((await join(nextId(), a.dog)).body).toMatchObject({ code: 'not-found' })
    const kept = nextId()
    expect((await join(a.dog, b.dog, kept)).status).toBe(200)
    expect((await join(c.dog, b.dog)).body).toMatchObject({ code: 'already-joined' })
    expect((await join(b.dog, c.dog)).body).toMatchObject({ code: 'already-joined' })
    expect((await join(a.dog, c.dog, kept)).body).toMatchObject({ code: 'id-taken' })
    await send(app, 'PATCH', `/api/dogs/${a.dog}/joins/${kept}`, { changes: [{ field: 'undone', from: null, to: AT }] })
    expect((await send(app, 'PATCH', `/api/dogs/${a.dog}/joins/${kept}`, { changes: [{ field: 'undone', from: AT, to: null }] })).body).toMatchObject({ code: 'bad-request' }) // prettier-ignore
    expect((await send(app, 'PATCH', `/api/dogs/${a.dog}/joins/${nextId()}`, { changes: [] })).status).toBeGreaterThanOrEqual(400)
    await close()
  })
})

describe('X13: a list of dogs', () => {
  it('brings dogs and their visits, and opens no ticket', async () => {
    const { app, close } = await openTestShop()
    const dogs = Array.from({ length: 6 }, (_, i) => ({
      id: nextId(), ownerId: null, ticketId: nextId(), readingIds: [nextId()], owner: '',
      dog: { name: `Dog ${i}`, breed: '', crossWith: '', sex: null, born: null, ageMonths: null, ageSaidOn: null, weightKg: null, coat: null, flatFace: null, sparing: false, notes: '' },
      readings: [reading({ measure: 'M07', mm: 700, side: 'both', asTyped: '70' })],
    })) // prettier-ignore
    const list = { at: AT, by: 'Ylva', dogs }
    expect((await send(app, 'POST', '/api/kennel-list', list)).body).toMatchObject({ dogs: 6, readings: 6 })
    // Sent twice every dog is there once.
    await send(app, 'POST', '/api/kennel-list', list)
    expect(await listed(app)).toHaveLength(6)
    expect((await send(app, 'GET', '/api/day?on=2026-10-05')).body).toMatchObject({ rows: [] })
    expect((await sheetOf(app, dogs[0]?.id ?? '')).tickets).toMatchObject([{ ticket: { state: 'closed' }, readings: [{ measure: 'M07' }] }])
    await close()
  })
})
