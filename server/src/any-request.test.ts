import fc from 'fast-check'
import type { FastifyInstance, InjectOptions } from 'fastify'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { AT, nextId, openTestShop, openTicket, reading, send, sizeTable } from './test/shop.ts'

/** As much of JSON Schema as the interface's own description uses. */
interface Schema {
  type?: string
  const?: unknown
  enum?: unknown[]
  anyOf?: Schema[]
  oneOf?: Schema[]
  format?: string
  pattern?: string
  items?: Schema
  prefixItems?: Schema[]
  properties?: Record<string, Schema>
  required?: string[]
}
interface Operation {
  requestBody?: { content?: Record<string, { schema?: Schema }> }
}

let app: FastifyInstance
let close: () => Promise<void>
let ids: string[]
const operations: { method: string; path: string; schema: Schema | null }[] = []
beforeAll(async () => {
  ;({ app, close } = await openTestShop())
  const dog = nextId()
  await send(app, 'PUT', `/api/dogs/${dog}`, { name: 'Tern', at: AT })
  const ticket = await openTicket(app, { dogId: dog, kind: 'real' })
  const taken = nextId()
  await send(app, 'PUT', `/api/tickets/${ticket}/readings/${taken}`, reading())
  await send(app, 'PUT', '/api/size-tables/test-table/1', sizeTable())
  ids = [dog, ticket, taken]
  const { paths } = (await send(app, 'GET', '/api/openapi.json')).body as unknown as { paths: Record<string, Record<string, Operation>> }
  for (const [path, methods] of Object.entries(paths)) {
    for (const [method, { requestBody }] of Object.entries(methods)) {
      operations.push({ method, path, schema: requestBody?.content?.['application/json']?.schema ?? null })
    }
  }
})
afterAll(() => close())

/** Values like the described ones, and about one in eight that is nothing of the kind. */
function nearly(schema: Schema): fc.Arbitrary<unknown> {
  return fc.oneof({ arbitrary: kindOf(schema), weight: 7 }, { arbitrary: fc.jsonValue({ maxDepth: 2 }), weight: 1 })
}

function kindOf(schema: Schema): fc.Arbitrary<unknown> {
  if ('const' in schema) return fc.constant(schema.const)
  if (schema.enum) return fc.constantFrom(...schema.enum)
  const either = schema.anyOf ?? schema.oneOf
  if (either) return fc.oneof(...either.map(nearly))
  switch (schema.type) {
    case 'object':
      return fc.record(Object.fromEntries(Object.entries(schema.properties ?? {}).map(([name, of]) => [name, nearly(of)])), {
        requiredKeys: (schema.required ?? []).filter((name) => schema.properties?.[name]),
      })
    case 'array':
      return schema.prefixItems ? fc.tuple(...schema.prefixItems.map(nearly)) : fc.array(nearly(schema.items ?? {}), { maxLength: 3 })
    case 'integer':
      return fc.integer({ min: -5, max: 4000 })
    case 'number':
      return fc.double({ noNaN: true, noDefaultInfinity: true, min: -100, max: 4000 })
    case 'boolean':
      return fc.boolean()
    case 'null':
      return fc.constant(null)
    case 'string':
      if (schema.format === 'uuid') return fc.oneof(fc.uuid({ version: 7 }), fc.constantFrom(...ids))
      if (schema.format === 'date-time') return fc.constant(AT)
      return fc.oneof(fc.string({ maxLength: 80 }), fc.constantFrom('2026-10-05', 'M07', 'S25', 'state', 'name', '\u0000', 'ß\u{1F43E}'))
    default:
      return fc.jsonValue({ maxDepth: 2 })
  }
}

const place = fc.oneof(
  { arbitrary: fc.nat({ max: 2 }).map((i) => ids[i] ?? ''), weight: 4 },
  { arbitrary: fc.uuid({ version: 7 }), weight: 2 },
  { arbitrary: fc.string({ maxLength: 30 }).map((text) => encodeURIComponent(text)), weight: 1 },
)

describe('any request', () => {
  it('is answered by a success or a coded problem, never by a fault of the server', async () => {
    expect(operations.length).toBeGreaterThan(40)
    let refused = 0
    let done = 0
    for (const { method, path, schema } of operations) {
      const request = fc.record({
        places: fc.array(place, { minLength: 4, maxLength: 4 }),
        body: schema ? nearly(schema) : fc.constant(undefined),
        query: fc.constantFrom('', '?q=te', '?state=closed', '?replace=yes', '?unit=xx'),
      })
      await fc.assert(
        fc.asyncProperty(request, async ({ places, body, query }) => {
          let next = 0
          const url = `${path.replaceAll(/\{\w+\}/g, () => places[next++ % 4] || 'x')}${query}`
          const answer = await app.inject({
            method: method.toUpperCase() as 'GET',
            url,
            headers: { host: '127.0.0.1', ...(body === undefined ? {} : { 'content-type': 'application/json' }) },
            ...(body === undefined ? {} : { payload: JSON.stringify(body) }),
          } as InjectOptions)
          expect(answer.statusCode, `${method} ${url} ${JSON.stringify(body)}: ${answer.body.slice(0, 300)}`).toBeLessThan(500)
          if (answer.statusCode < 400) done += 1
          else {
            refused += 1
            expect(answer.json<{ code?: string }>().code, `${method} ${url}: ${answer.body.slice(0, 300)}`).toMatch(/^[a-z-]+$/)
          }
        }),
        // A passphrase is stretched at each try: a dozen says as much.
        { numRuns: path.startsWith('/api/access') ? 8 : 40 },
      )
    }
    // Both happen, or the requests were not near enough to say anything.
    expect(refused).toBeGreaterThan(100)
    expect(done).toBeGreaterThan(100)
  }, 120_000)

  it('5,000 requests with deep or odd JSON are refused with a code, and leave nothing behind', async () => {
    const book = async (): Promise<string> => (await send(app, 'GET', '/api/book')).text.split('\n').slice(1).filter((line) => !line.startsWith('["writes"')).join('\n') // prettier-ignore
    const before = await book()
    const deep = fc.record({ depth: fc.integer({ min: 1, max: 400 }), kind: fc.nat(3), leaf: fc.jsonValue({ maxDepth: 1 }) }).map(({ depth, kind, leaf }) => {
      let value: unknown = leaf
      for (let i = 0; i < depth; i++)
        value = kind === 0 ? [value] : kind === 1 ? { changes: value } : kind === 2 ? { a: value, b: [value === leaf] } : { __proto__x: value }
      return value
    })
    const writing = operations.filter(({ method, schema }) => method !== 'get' && schema !== null)
    const codes = new Map<string, number>()
    for (const [i, body] of fc.sample(deep, { numRuns: 5000, seed: 77 }).entries()) {
      const { method, path } = writing[i % writing.length]!
      const url = path.replaceAll(/\{\w+\}/g, () => ids[i % ids.length] ?? 'x')
      const answer = await send(app, method.toUpperCase() as 'PUT', url, body)
      const code = String((answer.body as { code?: unknown }).code)
      codes.set(code, (codes.get(code) ?? 0) + 1)
      if (answer.status < 400 || answer.status >= 500 || code === 'undefined')
        expect([method, url, answer.status, code, JSON.stringify(body).slice(0, 80)]).toBe('refused')
    }
    expect([...codes.values()].reduce((sum, n) => sum + n, 0)).toBe(5000)
    expect(await book()).toBe(before)
  }, 60_000)
})
