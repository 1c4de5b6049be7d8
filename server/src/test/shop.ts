import type { NewReading, SizeTable } from '@merry-tailor/core'
import type { FastifyInstance, InjectOptions } from 'fastify'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { buildApp } from '../app.ts'

/** A shop on a real SQLite file of its own, for tests. */
export async function openTestShop(): Promise<{ app: FastifyInstance; file: string; close: () => Promise<void> }> {
  const folder = mkdtempSync(join(tmpdir(), 'merry-'))
  const file = join(folder, 'shop.sqlite')
  const app = await buildApp({ database: file, standIns: true })
  return {
    app,
    file,
    close: async () => {
      await app.close()
      rmSync(folder, { recursive: true, force: true })
    },
  }
}

let counter = 0
/** A new version 7 UUID, in order, without a clock. */
export function nextId(): string {
  counter += 1
  return `01900000-0000-7000-8000-${counter.toString(16).padStart(12, '0')}`
}

export const AT = '2026-10-05T09:30:00.000Z'

export const reading = (over: Partial<NewReading> = {}): NewReading => ({
  measure: 'M01',
  mm: 287,
  side: 'one',
  asTyped: '28.7 cm',
  unit: 'cm',
  method: 'tape',
  takenAt: AT,
  by: 'Test',
  ...over,
})

export const sizeTable = (over: Partial<SizeTable> = {}): SizeTable => ({
  id: 'test-table',
  version: 1,
  name: 'Test',
  maker: 'Test',
  family: 'H01',
  way: 'stock',
  unit: 'cm',
  between: null,
  sizes: [{ label: 'M', bands: { M01: [500, 600] } }],
  lead: { minWeeks: 0, maxWeeks: 0 },
  ...over,
})

type Method = 'GET' | 'PUT' | 'PATCH' | 'POST' | 'DELETE'

/** Sends one request and gives status, type and parsed body. */
export async function send(app: FastifyInstance, method: Method, url: string, body?: unknown, headers: Record<string, string> = {}) {
  const options: InjectOptions = { method, url, headers: { host: '127.0.0.1', ...headers } }
  if (body !== undefined) options.payload = body as object
  const answer = await app.inject(options)
  const json = /json/.test(String(answer.headers['content-type'])) && !/ndjson/.test(String(answer.headers['content-type']))
  return {
    status: answer.statusCode,
    type: answer.headers['content-type'],
    body: json ? answer.json<Record<string, never>>() : ({} as Record<string, never>),
    text: answer.body,
    headers: answer.headers,
  }
}

/** One size chosen from a table, as it is sent. */
export const sizeChoice = (itemId: string, over: object = {}) => ({
  itemId, kind: 'size', tableId: 'test-table', tableVersion: 1, labels: ['M'], predicted: [], rulesVersion: 1, overruled: null, at: AT, by: 'Test', ...over,
}) // prettier-ignore

/** A piece of our own as it is taken in. */
export const piece = (over: object = {}) => ({
  tag: 'Peg', family: 'H01', maker: '', label: '', tableId: null, flat: {}, sliders: '', home: 'shop', holder: '', wearerId: null, state: 'good', wear: '', at: AT, ...over,
}) // prettier-ignore

/** A round as it is sent: something the fitter only names. */
export const round = (itemId: string, over: object = {}) => ({
  itemId,
  of: { named: true },
  label: 'M',
  settings: [],
  changed: '',
  at: AT,
  by: 'Test',
  ...over,
})

/** Opens a ticket and gives its id. */
export async function openTicket(app: FastifyInstance, over: object = {}): Promise<string> {
  const id = nextId()
  await send(app, 'PUT', `/api/tickets/${id}`, { dogId: null, ownerId: null, kind: 'counter', at: AT, by: 'Test', ...over })
  return id
}
