import type { Lead, SupplyAnswer } from '@merry-tailor/core'
import { TableWay } from '@merry-tailor/core/schemas'
import Fastify, { type FastifyInstance } from 'fastify'
import { setTimeout as later } from 'node:timers/promises'
import { z } from 'zod'

/** How well the simulated supplier behaves. */
export const Mood = z.object({
  delayMs: z.number().min(0).max(60_000),
  down: z.boolean(),
  /** It answers with what it counted this long ago. */
  staleHours: z.number().min(0).max(10_000),
  /** Its answers cannot be read. */
  garbled: z.boolean(),
})
export type Mood = z.infer<typeof Mood>

const Question = z.object({ tables: z.array(z.object({ id: z.string(), way: TableWay, labels: z.array(z.string()) })).max(2000) })

/** Weeks it takes by way, and in the season. Source: handbook 6.1, common practice; quick-ship from memory, unverified. */
const LEADS: Readonly<Record<TableWay, Lead>> = {
  stock: { minWeeks: 0, maxWeeks: 1 },
  'quick-ship': { minWeeks: 1, maxWeeks: 1 },
  made: { minWeeks: 4, maxWeeks: 6, peak: { months: [9, 10, 11, 12, 1], minWeeks: 6, maxWeeks: 10 } },
}

/** FNV-1a: the same shelf counts the same on every run. */
function hash(text: string): number {
  let h = 0x811c9dc5
  for (const letter of text) h = Math.imul(h ^ letter.charCodeAt(0), 0x01000193) >>> 0
  return h
}

const HOUR = 3_600_000

/** A simulated supplier: shelves that change by the day, weeks by the season, and moods: slow, down, stale, garbled. */
export function standInSupplier(mood: Partial<Mood> = {}, now: () => Date = () => new Date()): FastifyInstance {
  let current: Mood = { delayMs: 60, down: false, staleHours: 0, garbled: false, ...mood }
  const app = Fastify({ logger: false })
  app.put('/mood', (request, reply) => {
    const wished = Mood.partial().safeParse(request.body)
    if (!wished.success) return reply.code(400).send({ code: 'bad-request' })
    current = { ...current, ...wished.data }
    return current
  })
  app.post('/stock', async (request, reply) => {
    await later(current.delayMs)
    if (current.down) return reply.code(503).send({ code: 'closed' })
    if (current.garbled) return reply.type('application/json').send('{"shelf": "full"')
    const question = Question.safeParse(request.body)
    if (!question.success) return reply.code(400).send({ code: 'bad-request' })
    const countedAt = new Date(now().getTime() - current.staleHours * HOUR).toISOString()
    return question.data.tables.map(({ id, way, labels }): SupplyAnswer => {
      // One shelf in four is empty, the fullest holds eleven.
      const onShelf = (label: string): number => Math.max(0, (hash(`${id} ${label} ${countedAt.slice(0, 10)}`) % 16) - 4)
      return { tableId: id, count: way === 'made' ? {} : Object.fromEntries(labels.map((label) => [label, onShelf(label)])), lead: LEADS[way], countedAt }
    })
  })
  return app
}
