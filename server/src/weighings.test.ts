import { describe, expect, it } from 'vitest'
import { nextId, openTestShop, send } from './test/shop.ts'

const AT = '2026-10-05T09:00:00Z'

describe('weighings', () => {
  it('T11 are kept, never overwritten; the dog weighs what the newest day says', async () => {
    const { app, close } = await openTestShop()
    const [dog, ticket, first, older] = [nextId(), nextId(), nextId(), nextId()]
    await send(app, 'PUT', `/api/dogs/${dog}`, { name: 'Tern', weightKg: 20, at: AT })
    await send(app, 'PUT', `/api/tickets/${ticket}`, { dogId: dog, ownerId: null, kind: 'real', at: AT, by: '' })
    const weigh = (id: string, kg: number, on: string) =>
      send(app, 'PUT', `/api/dogs/${dog}/weighings/${id}`, { kg, asTyped: `${kg}`, unit: 'kg', on, at: AT, by: 'Ylva' })
    expect((await weigh(first, 22, '2026-11-01')).status).toBe(200)
    // Sent twice it counts once; with another number under its id it is refused.
    expect((await weigh(first, 22, '2026-11-01')).status).toBe(200)
    expect((await weigh(first, 23, '2026-11-01')).body).toMatchObject({ code: 'id-taken' })
    await weigh(older, 18, '2025-01-01')
    await send(app, 'PATCH', `/api/dogs/${dog}`, { changes: [{ field: 'weightKg', from: 22, to: 24 }] })
    const { body } = await send(app, 'GET', `/api/tickets/${ticket}`)
    const sheet = body as unknown as { dog: { weightKg: number }; weighings: { kg: number }[] }
    expect(sheet.dog.weightKg).toBe(24)
    expect(sheet.weighings.map(({ kg }) => kg)).toEqual([24, 22, 20, 18])
    expect((await weigh(nextId(), -3, '2026-11-02')).status).toBe(400)
    await close()
  })
})

describe('notes of a dog', () => {
  it('T20 stand on its tickets while they are not over', async () => {
    const { app, close } = await openTestShop()
    const [dog, ticket, note] = [nextId(), nextId(), nextId()]
    await send(app, 'PUT', `/api/dogs/${dog}`, { name: 'Tern', at: AT })
    await send(app, 'PUT', `/api/tickets/${ticket}`, { dogId: dog, ownerId: null, kind: 'real', at: AT, by: '' })
    await send(app, 'PUT', `/api/dogs/${dog}/notes/${note}`, { kind: 'injury', text: '', on: '2026-10-01', at: AT, by: '' })
    expect((await send(app, 'GET', `/api/tickets/${ticket}`)).body).toMatchObject({ dogNotes: [{ kind: 'injury', over: null }] })
    await send(app, 'PATCH', `/api/dogs/${dog}/notes/${note}`, { changes: [{ field: 'over', from: null, to: '2026-10-08' }] })
    expect((await send(app, 'GET', `/api/tickets/${ticket}`)).body).toMatchObject({ dogNotes: [] })
    await close()
  })
})
