import type { Dog, DogsPage } from '@merry-tailor/core'
import { v7 as uuid } from 'uuid'
import { afterEach, beforeEach, expect, it } from 'vitest'
import { buildApp } from './app.ts'

let app: Awaited<ReturnType<typeof buildApp>>
beforeEach(async () => {
  app = await buildApp({ database: ':memory:' })
})
afterEach(() => app.close())

const headers = { host: 'localhost' }
const ask = async (query: string): Promise<DogsPage> => (await app.inject({ url: `/api/dogs/page${query}`, headers })).json()
async function add(name: string, ownerId: string | null = null): Promise<string> {
  const id = uuid()
  const answer = await app.inject({ method: 'PUT', url: `/api/dogs/${id}`, headers, payload: { name, ownerId, at: '2026-03-01T09:00:00Z' } })
  expect(answer.statusCode).toBe(200)
  return id
}
const names = ({ dogs }: DogsPage): string[] => dogs.map(({ name }) => name)

it('gives the dogs a page at a time in the reader’s order: accents as their letters, numbers counted', async () => {
  for (const name of ['Pup 10', 'Åse', 'Pup 2', 'bramble', 'Alder', 'Pup 1']) await add(name)
  const whole = await ask('')
  expect(names(whole)).toEqual(['Alder', 'Åse', 'bramble', 'Pup 1', 'Pup 2', 'Pup 10'])
  expect(whole.total).toBe(6)
  expect(names(await ask('?offset=2&limit=3'))).toEqual(['bramble', 'Pup 1', 'Pup 2'])
  expect(names(await ask('?offset=6'))).toEqual([])
  // The same records as the whole list has, field by field.
  const all: Dog[] = (await app.inject({ url: '/api/dogs', headers })).json()
  expect([...whole.dogs].sort((a, b) => a.id.localeCompare(b.id))).toEqual([...all].sort((a, b) => a.id.localeCompare(b.id)))
})

it('finds by parts of words, of one owner, and what was written a moment ago', async () => {
  const owner = uuid()
  await app.inject({ method: 'PUT', url: `/api/owners/${owner}`, headers, payload: { name: 'Nils Quayside', at: '2026-03-01T09:00:00Z' } })
  const moss = await add('Moss of the Fen', owner)
  await add('Moss')
  expect(names(await ask('?search=fen%20mo'))).toEqual(['Moss of the Fen'])
  expect(names(await ask(`?owner=${owner}`))).toEqual(['Moss of the Fen'])
  await app.inject({ method: 'PATCH', url: `/api/dogs/${moss}`, headers, payload: { changes: [{ field: 'name', from: 'Moss of the Fen', to: 'Heath' }] } })
  expect(names(await ask('?search=heath'))).toEqual(['Heath'])
  expect((await ask('?search=moss')).total).toBe(1)
})

it('says what is wrong with a page that can’t be', async () => {
  for (const query of ['?offset=-1', '?limit=0', '?limit=5000', '?owner=somebody', `?search=${'x'.repeat(300)}`]) {
    const answer = await app.inject({ url: `/api/dogs/page${query}`, headers })
    expect([query, answer.statusCode]).toEqual([query, 400])
  }
})
