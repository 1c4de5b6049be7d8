import type { TicketSheet } from '@merry-tailor/core'
import type { FastifyInstance } from 'fastify'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { AT, nextId, openTestShop, openTicket, send } from './test/shop.ts'

let app: FastifyInstance
let close: () => Promise<void>
beforeAll(async () => {
  ;({ app, close } = await openTestShop())
})
afterAll(() => close())

const common = { predicted: [], rulesVersion: null, overruled: null, at: AT, by: 'Test' }

it('keeps a garment’s plan beside what was chosen; a second editor is told, and neither plan is lost', async () => {
  const [item, first, second] = [nextId(), nextId(), nextId()]
  const ticket = await openTicket(app)
  await send(app, 'PUT', `/api/tickets/${ticket}/items/${item}`, { family: 'C3', way: 'made', school: null, at: AT })
  const plan = { cloth: 'fleece', ease: { girthMm: 20 }, moves: [{ piece: 'back', edge: 'front', mm: 12.7 }] }
  const put = (id: string, over: object) =>
    send(app, 'PUT', `/api/tickets/${ticket}/choices/${id}`, { ...common, kind: 'pattern', family: 'C3', itemId: item, ...over })
  const series = { ...common, kind: 'series', itemId: item, family: 'K1', label: '36', insideMm: [900, 600, 650] }
  expect((await send(app, 'PUT', `/api/tickets/${ticket}/choices/${nextId()}`, series)).status).toBe(200)
  expect((await put(first, { plan, was: null })).status).toBe(200)
  // Sent twice it counts once.
  expect((await put(first, { plan, was: null })).status).toBe(200)
  const late = await put(second, { plan: { cloth: 'woven' }, was: null })
  expect(late).toMatchObject({ status: 409, body: { code: 'stale-edit', conflicts: [{ field: 'plan', yours: { cloth: 'woven' }, theirs: plan }] } })
  expect((await put(second, { plan: { cloth: 'woven' }, was: first })).status).toBe(200)
  const { choices } = (await send(app, 'GET', `/api/tickets/${ticket}`)).body as unknown as TicketSheet
  expect(choices.map(({ kind }) => kind)).toEqual(['series', 'pattern', 'pattern'])
  // Taken back, the one before it counts again.
  await send(app, 'PUT', `/api/tickets/${ticket}/marks/${nextId()}`, { what: 'choice', about: second, kind: 'struck', why: 'slip', at: AT, by: 'Test' })
  expect((await put(nextId(), { plan: {}, was: second })).status).toBe(409)
  expect((await put(nextId(), { plan: {}, was: first })).status).toBe(200)
})

it('refuses what is no plan, at its field', async () => {
  const item = nextId()
  const ticket = await openTicket(app)
  await send(app, 'PUT', `/api/tickets/${ticket}/items/${item}`, { family: 'C1', way: 'made', school: null, at: AT })
  for (const [plan, path] of [
    [{ cloth: 'tin' }, 'plan.cloth'],
    [{ ease: { girthMm: 1e9 } }, 'plan.ease.girthMm'],
    [{ swatch: { stitches: 0, widthMm: 100, rows: 30, heightMm: 100, grams: null, multiple: 2, edge: 1 } }, 'plan.swatch.stitches'],
    [{ moves: [{ piece: '', edge: 'hem', mm: 3 }] }, 'plan.moves.0.piece'],
  ] as const) {
    const refused = await send(app, 'PUT', `/api/tickets/${ticket}/choices/${nextId()}`, {
      ...common,
      kind: 'pattern',
      family: 'C1',
      itemId: item,
      plan,
      was: null,
    })
    expect([refused.status, refused.body.code]).toEqual([400, 'bad-request'])
    expect(JSON.stringify(refused.body.fields)).toContain(path.split('.').at(-1))
  }
})
