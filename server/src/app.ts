import swagger from '@fastify/swagger'
import fastifyStatic from '@fastify/static'
import Fastify, { type FastifyError, type FastifyInstance, type FastifyRequest, type RouteOptions } from 'fastify'
import { hasZodFastifySchemaValidationErrors, jsonSchemaTransform, serializerCompiler, validatorCompiler } from 'fastify-type-provider-zod'
import helmet from 'helmet'
import { existsSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { Day } from '@merry-tailor/core/schemas'
import { z } from 'zod'
import { Copies, makeCopy } from './copies/copies.ts'
import { keepCopies } from './copies/nightly.ts'
import { DayBoard } from './db/day.ts'
import { readHead, type BookHead } from './db/head.ts'
import { isSoundJson } from './db/nesting.ts'
import { openDatabase, type Db } from './db/open.ts'
import { indexIfEmpty } from './db/search.ts'
import { answeredBefore } from './db/writes.ts'
import type { Desk } from './desk.ts'
import { earOf } from './access/ask-again.ts'
import { guard } from './access/guard.ts'
import { Keeper } from './access/keeper.ts'
import { Tries } from './access/tries.ts'
import { allowedHosts, type HostRule } from './hosts.ts'
import { NewsBoard } from './news.ts'
import { ProblemError, problemOf, type ProblemCode } from './problems.ts'
import { accessRoutes } from './routes/access.ts'
import { bookRoutes } from './routes/book.ts'
import { carRoutes } from './routes/cars.ts'
import { dogRoutes } from './routes/dogs.ts'
import { findRoutes } from './routes/find.ts'
import type { Supplier } from './ports/supplier.ts'
import { ownerRoutes } from './routes/owners.ts'
import { pieceRoutes } from './routes/pieces.ts'
import { rigRoutes } from './routes/rigs.ts'
import { shopRoutes } from './routes/shop.ts'
import { sizeTableRoutes } from './routes/size-tables.ts'
import { standInRoutes } from './routes/stand-ins.ts'
import { supplyRoutes } from './routes/supply.ts'
import { ticketRoutes } from './routes/tickets.ts'
import { AnsweredBefore, keepRefusal, writeId } from './routes/typed-routes.ts'

export interface AppOptions {
  /** SQLite file, or `:memory:`. */
  database: string
  /** Folder of the built interface; without it the server answers the API alone. */
  webRoot?: string
  /** Further host names this server answers to, besides loopback. */
  hosts?: readonly string[]
  log?: boolean
  /** Who is let in; of the file beside the book where none is given. */
  keeper?: Keeper
  /** Where other devices find this server, and where they learn to trust it. */
  lan?: { addresses: readonly { url: string; secure: boolean }[]; trustAt: string; fingerprint: string }
  /** Simulated devices answer. */
  standIns?: boolean
  /** Who sells us pieces; without one nothing is known of shelves. */
  supplier?: Supplier
  /** The clock; the machine's own where none is given. */
  now?: () => Date
  /** Told of every route as it is registered. */
  onRoute?: (route: RouteOptions) => void
}

declare module 'fastify' {
  interface FastifyInstance {
    /** What the routes work with; for whoever runs the server as a value. */
    desk: Desk
  }
}

/** So long a request may take to arrive. */
const SILENT_MS = 30_000
/** Who is let in is kept beside the book, never in it: a copy of the book lets nobody in. */
export const accessFile = (database: string): string | null => (database === ':memory:' ? null : join(dirname(database), 'access.json'))

/** The headers a handler sets, whatever it is asked. */
function headersOf(handler: ReturnType<typeof helmet>): Readonly<Record<string, string>> {
  const set: Record<string, string> = {}
  const reply = { setHeader: (name: string, value: string) => (set[name] = value), removeHeader: () => undefined }
  handler({} as never, reply as never, () => undefined)
  return set
}

/** What a browser may do with our pages: worked out once. */
const SECURE = headersOf(
  helmet({
    contentSecurityPolicy: {
      useDefaults: false,
      directives: {
        defaultSrc: ["'self'"],
        scriptSrc: ["'self'"],
        // Positioning libraries set style attributes; scripts stay strict.
        styleSrc: ["'self'", "'unsafe-inline'"],
        imgSrc: ["'self'", 'data:', 'blob:'],
        workerSrc: ["'self'"],
        manifestSrc: ["'self'"],
        fontSrc: ["'self'"],
        connectSrc: ["'self'"],
        objectSrc: ["'none'"],
        baseUri: ["'none'"],
        formAction: ["'self'"],
        frameAncestors: ["'none'"],
        upgradeInsecureRequests: null,
      },
    },
    strictTransportSecurity: false,
  }),
)

/** The same of an answer that is no page: nothing in it may load, run or be framed. */
const SECURE_API: Readonly<Record<string, string>> = {
  'content-security-policy': "default-src 'none';frame-ancestors 'none'",
  'x-content-type-options': 'nosniff',
  'cross-origin-resource-policy': 'same-origin',
  'referrer-policy': 'no-referrer',
}

/** One request may hold this much; a whole size table is far below. */
const BODY_LIMIT = 512 * 1024

/** Fastify's own refusals, by its error codes. */
const FASTIFY_PROBLEMS: Readonly<Record<string, ProblemCode>> = {
  FST_ERR_CTP_BODY_TOO_LARGE: 'too-large',
  FST_ERR_CTP_INVALID_MEDIA_TYPE: 'unsupported-type',
}

/** The whole server as a value: tests call it without a port. */
export async function buildApp(options: AppOptions): Promise<FastifyInstance> {
  const now = (): string => (options.now?.() ?? new Date()).toISOString()
  const db: Db = openDatabase(options.database, undefined, (old) => copyBeforeMigration(old, options.database, now()))
  indexIfEmpty(db)
  const head = readHead(db)
  const desk: Desk = { db, head, news: new NewsBoard(head.seq), day: new DayBoard(db), copies: new Copies(db, options.database, now), now }
  const stopCopies = keepCopies(db, desk.copies, () => head.seq)
  const keeper = options.keeper ?? new Keeper(accessFile(options.database), now)
  // A device that falls silent in the middle of a request holds nothing up for longer.
  const app = Fastify({ bodyLimit: BODY_LIMIT, logger: options.log ? { level: 'warn' } : false, requestTimeout: SILENT_MS, forceCloseConnections: 'idle' })
  app.setValidatorCompiler(validatorCompiler)
  app.setSerializerCompiler(serializerCompiler)
  if (options.onRoute) app.addHook('onRoute', options.onRoute)
  app.addHook('onClose', () => {
    stopCopies()
    db.close()
  })
  app.decorate('desk', desk)
  app.removeContentTypeParser('application/json')
  app.addContentTypeParser('application/json', { parseAs: 'buffer' }, (_request, body, done) => {
    const bytes = body as Buffer
    if (bytes.length === 0) return done(new ProblemError('bad-request', 'There is nothing in the request.'))
    if (!isSoundJson(bytes)) return done(new ProblemError('bad-request', 'This is nested deeper than anything of ours.'))
    try {
      done(null, JSON.parse(bytes.toString('utf8')) as unknown)
    } catch {
      done(new ProblemError('bad-request', endsEarly(bytes) ? 'This file ends in the middle.' : 'This is no JSON.'))
    }
  })

  // Made once; what is refused has them too.
  app.addHook('onRequest', (request, reply, done) => {
    reply.headers(request.url.startsWith('/api/') ? SECURE_API : SECURE)
    done()
  })
  const rule: HostRule = allowedHosts(options.hosts ?? [])
  app.addHook('onRequest', (request, _reply, done) => {
    done(rule(request.headers.host ?? '') ? undefined : new ProblemError('wrong-host', 'Ask for this server by the address it prints at start.'))
  })
  const isIn = guard(keeper)
  const ear = earOf(keeper, new Tries())
  app.decorateRequest('device', null)
  app.addHook('onRequest', (request, _reply, done) => {
    done(isIn(request) ?? undefined)
  })
  app.addHook('onRequest', (request, reply, done) => {
    if (!request.url.startsWith('/api/')) return done()
    const problem = otherBook(request, head)
    if (problem) return done(problem)
    const id = writeId(request)
    if (id === undefined || request.method === 'GET') return done()
    if (!WRITE_ID.test(id)) return done(new ProblemError('bad-request', 'The id of a write is a UUID.'))
    const known = answeredBefore(db, id)
    if (!known) return done()
    void reply
      .code(known.status)
      .type(known.status < 400 ? 'application/json' : 'application/problem+json')
      .send(JSON.stringify(known.answer))
  })
  app.addHook('onSend', (request, reply, _payload, done) => {
    if (request.url.startsWith('/api/')) {
      // What the shop says is kept by nobody between, and by no browser that is locked out later.
      if (!reply.hasHeader('cache-control')) reply.header('cache-control', 'no-store')
      // Whoever is not in does not learn which book is open.
      if (reply.statusCode === 401) return done()
      const id = writeId(request)
      reply.headers({
        'merry-book': head.book,
        'merry-epoch': head.epoch,
        'merry-seq': head.seq,
        'merry-time': now(),
        ...(id !== undefined && reply.statusCode < 500 ? { 'merry-write': id } : {}),
      })
    }
    done()
  })
  app.setErrorHandler((error: FastifyError | ProblemError, request, reply) => {
    if (error instanceof AnsweredBefore) {
      return reply
        .code(error.status)
        .type(error.status < 400 ? 'application/json' : 'application/problem+json')
        .send(JSON.stringify(error.answer))
    }
    const refusal = toProblem(error)
    const problem = problemOf(refusal)
    if (!UNKEPT.has(refusal.code)) keepRefusal(desk, request, refusal)
    if (problem.status >= 500 && refusal.code !== 'cannot-keep-now') {
      process.stderr.write(`${request.method} ${request.url}: ${error.stack ?? error.message}\n`)
    }
    return reply.code(problem.status).type('application/problem+json').send(JSON.stringify(problem))
  })
  app.setNotFoundHandler((request, reply) => {
    const wantsPage = request.method === 'GET' && !request.url.startsWith('/api/') && !/\.[a-z0-9]+(?:\?|$)/i.test(request.url)
    if (wantsPage && options.webRoot && existsSync(options.webRoot)) return reply.sendFile('index.html', { maxAge: 0 })
    const problem = problemOf(new ProblemError('not-found', `${request.method} ${request.url.split('?')[0] ?? ''} leads nowhere.`))
    return reply.code(404).type('application/problem+json').send(JSON.stringify(problem))
  })

  await app.register(swagger, {
    openapi: {
      openapi: '3.1.0',
      info: { title: 'Merry Tailor', version: '1', description: 'The bench’s own interface. Refusals are RFC 9457 problems with a stable code.' },
    },
    transform: jsonSchemaTransform,
  })
  // A plugin of its own, so that every route is there when the document looks for them.
  await app.register((inner, _options, done) => {
    inner.get('/api/health', () => {
      // Whoever asks wants to know whether something would be kept.
      db.transaction(() => db.prepare('UPDATE book SET epoch = epoch WHERE one = 1').run()).immediate()
      return { ok: true, book: head.book, epoch: head.epoch, seq: head.seq }
    })
    inner.get('/api/day', { schema: { querystring: z.object({ on: Day.optional() }) } }, (request) => {
      const { on } = request.query as { on?: string }
      return desk.day.of(on ?? desk.day.dayAt(now()))
    })
    inner.get('/api/news', { schema: { querystring: z.object({ after: z.coerce.number().int().min(0) }) } }, (request) => {
      const { after } = request.query as { after: number }
      return { seq: head.seq, news: desk.news.after(after) }
    })
    inner.get('/api/openapi.json', () => app.swagger())
    for (const routes of [ticketRoutes, dogRoutes, ownerRoutes, sizeTableRoutes, findRoutes, shopRoutes, pieceRoutes, rigRoutes, carRoutes]) routes(inner, desk)
    if (options.standIns) standInRoutes(inner, desk)
    accessRoutes(inner, { keeper, ear, lan: options.lan ?? null, standIns: options.standIns === true })
    bookRoutes(inner, desk, options.database, ear.asksAgain)
    supplyRoutes(inner, db, options.supplier ?? null)
    done()
  })
  if (options.webRoot && existsSync(options.webRoot)) {
    await app.register(fastifyStatic, {
      root: options.webRoot,
      maxAge: '1h',
      index: 'index.html',
      // The page and its service worker name the files of one build: they are always asked for anew.
      setHeaders: (reply, path) => {
        if (/(?:index\.html|sw\.js)$/.test(path)) reply.header('cache-control', 'no-cache')
      },
    })
  }
  return app
}

/** Refusals that are no word on the write itself. */
const UNKEPT: ReadonlySet<ProblemCode> = new Set([
  'other-book',
  'wrong-host',
  'wrong-origin',
  'who-are-you',
  'wrong-passphrase',
  'too-many-tries',
  'cannot-keep-now',
])
const WRITE_ID = /^[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}$/i

/** A device that means another book, or this one as it was before it was brought back, is told so; nothing is taken. */
function otherBook(request: FastifyRequest, head: BookHead): ProblemError | null {
  const [book, epoch] = [request.headers['merry-book'], request.headers['merry-epoch']]
  if (book === undefined || request.url.startsWith('/api/health')) return null
  if (book !== head.book) return new ProblemError('other-book', 'Another book is open here than the one this device works with.')
  return epoch === undefined || Number(epoch) === head.epoch ? null : new ProblemError('other-book', 'This book was brought back from a copy meanwhile.')
}

/** Did the text stop before its brackets were closed? */
const endsEarly = (bytes: Buffer): boolean => !/[\]}]\s*$/.test(bytes.subarray(-40).toString('utf8'))

/** A database of an earlier version is copied before it is changed. */
function copyBeforeMigration(db: Db, file: string, at: string): void {
  if (file === ':memory:') return
  makeCopy(db, join(dirname(file), 'copies'), `book-${at.slice(0, 10)}-before-a-new-version-${at.slice(11, 19).replaceAll(':', '')}.sqlite`)
}

/** Why the file takes nothing just now, in plain words. */
const CANNOT: Readonly<Record<string, string>> = {
  SQLITE_BUSY: 'Another program holds the book’s file. It is tried again by itself.',
  SQLITE_LOCKED: 'Another program holds the book’s file. It is tried again by itself.',
  SQLITE_FULL: 'The disk of the server’s computer is full. Make room; nothing is lost meanwhile.',
  SQLITE_IOERR: 'The disk of the server’s computer does not answer. Look at it; nothing is lost meanwhile.',
  SQLITE_READONLY: 'The book’s file may only be read. Give the server the right to write it; nothing is lost meanwhile.',
}

function toProblem(error: FastifyError | ProblemError): ProblemError {
  if (error instanceof ProblemError) return error
  const sqlite = /^SQLITE_[A-Z]+/.exec(error.code)?.[0]
  if (sqlite && CANNOT[sqlite]) return new ProblemError('cannot-keep-now', CANNOT[sqlite])
  if (sqlite === 'SQLITE_CORRUPT' || sqlite === 'SQLITE_NOTADB')
    return new ProblemError('damaged-book', 'Part of the book’s file cannot be read. Bring the newest copy back under Shop.')
  if (hasZodFastifySchemaValidationErrors(error)) {
    const fields = error.validation.map((issue) => ({
      path: issue.instancePath.replace(/^\//, '').replaceAll('/', '.'),
      message: issue.message ?? 'cannot be read',
    }))
    const first = fields[0]
    return new ProblemError('bad-request', first ? `${first.path || 'The request'}: ${first.message}` : 'The request cannot be read.', { fields })
  }
  const known = FASTIFY_PROBLEMS[error.code]
  if (known) return new ProblemError(known, error.message)
  if ((error.statusCode ?? 500) < 500) return new ProblemError('bad-request', error.message)
  return new ProblemError('unexpected', 'The reason is in the server’s log.')
}
