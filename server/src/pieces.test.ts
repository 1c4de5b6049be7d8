import type { FastifyInstance } from 'fastify'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { nextId, openTestShop, piece as aPiece, send } from './test/shop.ts'

let app: FastifyInstance
let close: () => Promise<void>
beforeEach(async () => {
  ;({ app, close } = await openTestShop())
})
afterEach(() => close())

const piece = aPiece({ tag: 'Peg 1', family: 'H24', maker: 'Test', label: 'M', flat: { M07: [600, 700] } })
const change = (id: string, field: string, from: unknown, to: unknown) => send(app, 'PATCH', `/api/pieces/${id}`, { changes: [{ field, from, to }] })

describe('pieces', () => {
  it('are kept as they were taken in, and a repeated request changes nothing', async () => {
    const id = nextId()
    const made = await send(app, 'PUT', `/api/pieces/${id}`, piece)
    expect(made).toMatchObject({ status: 200, body: { id, tag: 'Peg 1', flat: { M07: [600, 700] }, retired: null } })
    await send(app, 'PUT', `/api/pieces/${id}`, { ...piece, tag: 'Peg 9' })
    const { body } = await send(app, 'GET', '/api/pieces')
    expect(body).toMatchObject([{ tag: 'Peg 1' }])
  })

  it('change field by field, and say so when somebody else was there first', async () => {
    const id = nextId()
    await send(app, 'PUT', `/api/pieces/${id}`, piece)
    expect((await change(id, 'state', 'good', 'worn')).body).toMatchObject({ state: 'worn' })
    expect(await change(id, 'state', 'good', 'to-mend')).toMatchObject({ status: 409, body: { code: 'stale-edit' } })
    expect((await change(id, 'flat', piece.flat, { M07: [610, 690], M01: [400, 400] })).body).toMatchObject({ flat: { M01: [400, 400] } })
  })

  it('out of use after a crash never come back; worn ones may', async () => {
    const [crashed, worn] = [nextId(), nextId()]
    for (const id of [crashed, worn]) await send(app, 'PUT', `/api/pieces/${id}`, piece)
    const crash = { on: '2026-10-01', why: 'crash' }
    const old = { on: '2026-10-01', why: 'worn-out' }
    expect((await change(crashed, 'retired', null, crash)).status).toBe(200)
    expect(await change(crashed, 'retired', crash, null)).toMatchObject({ status: 409, body: { code: 'retired-for-good' } })
    // Nor by way of another reason.
    expect(await change(crashed, 'retired', crash, old)).toMatchObject({ status: 409, body: { code: 'retired-for-good' } })
    await change(worn, 'retired', null, old)
    expect((await change(worn, 'retired', old, null)).body).toMatchObject({ retired: null })
  })

  it('refuse what cannot be: no name, a dog that is not there, a band the wrong way round, no piece', async () => {
    expect(await send(app, 'PUT', `/api/pieces/${nextId()}`, { ...piece, tag: '  ' })).toMatchObject({ status: 400 })
    expect(await send(app, 'PUT', `/api/pieces/${nextId()}`, { ...piece, wearerId: nextId() })).toMatchObject({
      status: 422,
      body: { code: 'unknown-reference' },
    })
    expect(await send(app, 'PUT', `/api/pieces/${nextId()}`, { ...piece, flat: { M07: [700, 600] } })).toMatchObject({ status: 400 })
    expect(await change(nextId(), 'tag', 'a', 'b')).toMatchObject({ status: 404 })
  })
})
