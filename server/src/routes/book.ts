import { z } from 'zod'
import { Readable } from 'node:stream'
import { copyFileSync, rmSync } from 'node:fs'
import { randomUUID } from 'node:crypto'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { dayIn } from '@merry-tailor/core'
import { isEmpty, newerThan, putInPlace } from '../db/bring-back.ts'
import { copyOut } from '../db/copy-out.ts'
import { broughtForward, OldCopy } from '../db/old-copy.ts'
import { openDatabase } from '../db/open.ts'
import { readHead } from '../db/head.ts'
import { readShop } from '../db/shop.ts'
import { readTop, stage } from '../db/staged.ts'
import type { Ear } from '../access/ask-again.ts'
import type { Desk } from '../desk.ts'
import { ProblemError } from '../problems.ts'
import { typed } from './typed-routes.ts'
import type { FastifyInstance, FastifyRequest } from 'fastify'

const replace = z.object({ replace: z.enum(['yes', 'no']).default('no') })
/** An old copy in one piece, with photographs, may be this large; its brackets are counted before it is read. */
const OLD_COPY_LIMIT = 256 * 1024 * 1024
const HEAD_LIMIT = 64 * 1024

const LINES = 'application/x-ndjson'

/** The whole book, out and in, and the copies in the drawer. */
export function bookRoutes(app: FastifyInstance, desk: Desk, file: string, asksAgain: Ear['asksAgain']): void {
  const { db, head, news, day, copies, now } = desk
  const api = typed(app)
  /** One copy comes in at a time: it takes the machine's memory and disk for itself. */
  let busy = false

  /** A book with records in it is replaced only by who says so, and knows the passphrase. */
  const mustAsk = async (request: FastifyRequest, answer: 'yes' | 'no'): Promise<void> => {
    if (isEmpty(db)) return
    if (answer === 'yes') return asksAgain(request)
    throw new ProblemError('shop-not-empty', 'This shop has records of its own. Bringing a copy back replaces them all; say so to go on.')
  }
  const bringIn = (staged: string): void => {
    if (copies.canCopy && !isEmpty(db)) copies.make('before-bringing-back')
    putInPlace(db, staged)
    Object.assign(head, readHead(db))
    news.forget(head.seq)
    day.forget()
  }
  const alone = async <T>(work: () => Promise<T>): Promise<T> => {
    if (busy) throw new ProblemError('cannot-keep-now', 'A copy is just being brought back. Wait until it is in.')
    busy = true
    try {
      return await work()
    } finally {
      busy = false
    }
  }

  app.addContentTypeParser(LINES, (_request, payload, done) => done(null, payload))

  api.get('/api/book', (_, reply) => {
    const at = now()
    return reply
      .header('content-disposition', `attachment; filename="merry-tailor-${dayIn(readShop(db).timeZone, at)}.book"`)
      .type(LINES)
      .send(Readable.from(copyOut(db, file, at)))
  })
  api.put('/api/book', { bodyLimit: OLD_COPY_LIMIT, schema: { querystring: replace } }, (request) =>
    alone(async () => {
      await mustAsk(request, request.query.replace)
      const { body } = request as { body: unknown }
      const staged = await stage(body instanceof Readable ? body : Readable.from(bytesOf(forward(body))))
      try {
        bringIn(staged.file)
        return { rows: staged.rows, at: staged.top.at }
      } finally {
        staged.drop()
      }
    }),
  )
  api.post('/api/book/look', { bodyLimit: HEAD_LIMIT, schema: { body: z.record(z.string(), z.unknown()) } }, (request) => {
    const top = readTop(request.body)
    return { shop: top.shop, at: top.at, counts: top.counts, same: top.book === head.book, empty: isEmpty(db), newer: newerThan(db, top.at) }
  })

  const drawer = () => ({ folder: copies.folder, copies: copies.list(), failure: copies.failure, damage: copies.damage, canCopy: copies.canCopy })
  api.get('/api/copies', () => drawer())
  api.post('/api/copies', () => {
    copies.make('by-hand')
    return drawer()
  })
  const named = z.object({ name: z.string().max(80) })
  api.get('/api/copies/:name', { schema: { params: named } }, (request) => {
    const found = copies.list().find((copy) => copy.name === request.params.name)
    if (!found) throw new ProblemError('not-found', 'There is no such copy in the drawer.')
    return { ...found, newer: newerThan(db, found.at) }
  })
  api.put('/api/copies/:name/bring-back', { schema: { params: named, querystring: replace } }, (request) =>
    alone(async () => {
      await mustAsk(request, request.query.replace)
      const staged = join(tmpdir(), `merry-tailor-${randomUUID()}.sqlite`)
      copyFileSync(copies.fileOf(request.params.name), staged)
      try {
        // Brought forward where it is of an earlier version; the copy itself stays as it is.
        const opened = openDatabase(staged)
        readHead(opened)
        opened.pragma('wal_checkpoint(TRUNCATE)')
        opened.close()
        bringIn(staged)
        return await Promise.resolve({ ok: true })
      } finally {
        for (const end of ['', '-wal', '-shm']) rmSync(`${staged}${end}`, { force: true })
      }
    }),
  )
}

async function* bytesOf(lines: AsyncGenerator<string>): AsyncGenerator<Uint8Array> {
  for await (const line of lines) yield Buffer.from(line)
}

function forward(body: unknown): AsyncGenerator<string> {
  const { version } = (body ?? {}) as { version?: unknown }
  if (typeof version === 'number' && version > 4)
    throw new ProblemError('bad-document', 'This copy was made by a newer Merry Tailor. Bring it back with that one.')
  const read = OldCopy.safeParse(body)
  if (read.success) return broughtForward(read.data)
  const [issue] = read.error.issues
  throw new ProblemError('bad-document', `This is no copy of a book: ${issue?.path.join('.') ?? ''} ${issue?.message ?? 'cannot be read'}.`)
}
