import type { Supply } from '@merry-tailor/core'
import type { FastifyInstance } from 'fastify'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { buildApp } from './app.ts'
import { httpSupplier } from './ports/supplier.ts'
import { standInSupplier } from './stand-ins/supplier.ts'
import { openTestShop, send, sizeTable } from './test/shop.ts'

let supplier: FastifyInstance
let address: string
let app: FastifyInstance
const NOON = new Date('2026-11-27T12:00:00Z')
beforeEach(async () => {
  supplier = standInSupplier({ delayMs: 0 }, () => NOON)
  address = await supplier.listen({ host: '127.0.0.1', port: 0 })
  app = await buildApp({ database: ':memory:', supplier: httpSupplier(address, 1000) })
  await send(app, 'PUT', '/api/size-tables/test-table/1', sizeTable())
  await send(app, 'PUT', '/api/size-tables/made/1', sizeTable({ id: 'made', way: 'made' }))
})
afterEach(async () => {
  await app.close()
  await supplier.close()
})
const mood = (change: object) => send(supplier, 'PUT', '/mood', change)
const ask = async (): Promise<Supply[]> => (await send(app, 'GET', '/api/supply')).body as unknown as Supply[]

describe('the supplier', () => {
  it('says what stands on its shelf and how many weeks it takes', async () => {
    const [made, stock] = await ask()
    expect(made).toMatchObject({ tableId: 'made', count: {}, lead: { minWeeks: 4, maxWeeks: 6 }, reached: true })
    expect(stock!.count.M).toBeGreaterThanOrEqual(0)
    expect(stock!.countedAt).toBe(NOON.toISOString())
  })

  it.each([
    ['closed', { down: true }],
    ['slower than anybody waits', { delayMs: 3000 }],
    ['answering nonsense', { garbled: true }],
  ])('when it is %s leaves its last word standing, with its age', async (_, change) => {
    const before = await ask()
    await mood(change)
    const after = await ask()
    expect(after.map((each) => each.reached)).toEqual([false, false])
    const said = ({ tableId, count, countedAt, heardAt }: Supply) => ({ tableId, count, countedAt, heardAt })
    expect(after.map(said)).toEqual(before.map(said))
  })

  it('may be reached and still speak of days ago', async () => {
    await mood({ staleHours: 50 })
    const [first] = await ask()
    expect(first).toMatchObject({ reached: true, countedAt: '2026-11-25T10:00:00.000Z' })
  })

  it('gone from the beginning leaves nothing, and refuses no request', async () => {
    await mood({ down: true })
    expect(await ask()).toEqual([])
    const { app: alone, close } = await openTestShop()
    expect(await send(alone, 'GET', '/api/supply')).toMatchObject({ status: 200, body: [] })
    await close()
  })

  it('keeps its own temper in order', async () => {
    expect((await send(supplier, 'PUT', '/mood', { delayMs: -1 })).status).toBe(400)
    expect((await send(supplier, 'POST', '/stock', { tables: 'all' })).status).toBe(400)
  })
})
