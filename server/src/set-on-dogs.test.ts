import type { SetOnDog } from '@merry-tailor/core'
import type { FastifyInstance } from 'fastify'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { AT, nextId, openTestShop, openTicket, send } from './test/shop.ts'

let app: FastifyInstance
let close: () => Promise<void>
beforeAll(async () => {
  ;({ app, close } = await openTestShop())
})
afterAll(() => close())

const put = (url: string, body: unknown) => send(app, 'PUT', url, body)
const sets = async (family: string): Promise<SetOnDog[]> => (await send(app, 'GET', `/api/set-on-dogs?family=${family}`)).body as unknown as SetOnDog[]

async function dogOnTicket(name: string): Promise<{ dog: string; ticket: string }> {
  const dog = nextId()
  await put(`/api/dogs/${dog}`, { name, at: AT })
  return { dog, ticket: await openTicket(app, { dogId: dog }) }
}

it('says how a kind is set on every dog that had it set: the newest of each side, not what was taken back', async () => {
  const one = await dogOnTicket('Thimble')
  const two = await dogOnTicket('Bobbin')
  const [item, other, round] = [nextId(), nextId(), nextId()]
  await put(`/api/tickets/${one.ticket}/items/${item}`, { family: 'H21', way: 'stock', school: null, at: AT })
  await put(`/api/tickets/${two.ticket}/items/${other}`, { family: 'H01', way: 'stock', school: null, at: AT })
  await put(`/api/tickets/${one.ticket}/try-ons/${round}`, { itemId: item, of: { named: true }, label: 'Size 3', settings: [], changed: '', at: AT, by: '' })
  const set = (of: { ticket: string; dog: string }, itemId: string, part: string, side: string, mm: number, id = nextId()) =>
    put(`/api/tickets/${of.ticket}/settings/${id}`, { of: { itemId }, dogId: of.dog, part, side, mm, mark: '', at: AT, by: '' })
  await set(one, item, 'girth', 'both', 700)
  await set(one, item, 'girth', 'left', 712)
  const slip = nextId()
  await set(one, item, 'neck', 'both', 900, slip)
  await put(`/api/tickets/${one.ticket}/marks/${nextId()}`, { what: 'setting', about: slip, kind: 'struck', why: 'Taken back', at: AT, by: '' })
  await set(two, other, 'girth', 'both', 640)

  expect(await sets('H21')).toEqual([
    { dogId: one.dog, dog: 'Thimble', of: { itemId: item }, family: 'H21', label: 'Size 3', at: AT, straps: { girth: { leftMm: 712, rightMm: 700 } } },
  ])
  expect((await sets('H01')).map(({ dog, label }) => [dog, label])).toEqual([['Bobbin', '']])
  expect(await sets('K1')).toEqual([])
  expect((await send(app, 'GET', '/api/set-on-dogs?family=H99')).status).toBe(400)
})
