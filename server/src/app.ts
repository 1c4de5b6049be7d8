import helmet from '@fastify/helmet'
import swagger from '@fastify/swagger'
import fastifyStatic from '@fastify/static'
import Fastify, { type FastifyError, type FastifyInstance, type RouteOptions } from 'fastify'
import { hasZodFastifySchemaValidationErrors, jsonSchemaTransform, serializerCompiler, validatorCompiler } from 'fastify-type-provider-zod'
import { existsSync } from 'node:fs'
import { openDatabase, type Db } from './db/open.ts'
import { indexIfEmpty } from './db/search.ts'
import { allowedHosts, type HostRule } from './hosts.ts'
import { ProblemError, problemOf, type ProblemCode } from './problems.ts'
import { dogRoutes } from './routes/dogs.ts'
import { findRoutes } from './routes/find.ts'
import type { Supplier } from './ports/supplier.ts'
import { ownerRoutes } from './routes/owners.ts'
import { pieceRoutes } from './routes/pieces.ts'
import { shopRoutes } from './routes/shop.ts'
import { sizeTableRoutes } from './routes/size-tables.ts'
import { standInRoutes } from './routes/stand-ins.ts'
import { supplyRoutes } from './routes/supply.ts'
import { ticketRoutes } from './routes/tickets.ts'

export interface AppOptions {
  /** SQLite file, or `:memory:`. */
  database: string
  /** Folder of the built interface; without it the server answers the API alone. */
  webRoot?: string
  /** Further host names this server answers to, besides loopback. */
  hosts?: readonly string[]
  log?: boolean
  /** Who sells us pieces; without one nothing is known of shelves. */
  supplier?: Supplier
  /** Told of every route as it is registered. */
  onRoute?: (route: RouteOptions) => void
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
  const db: Db = openDatabase(options.database)
  indexIfEmpty(db)
  const app = Fastify({ bodyLimit: BODY_LIMIT, logger: options.log ? { level: 'warn' } : false })
  app.setValidatorCompiler(validatorCompiler)
  app.setSerializerCompiler(serializerCompiler)
  if (options.onRoute) app.addHook('onRoute', options.onRoute)
  app.addHook('onClose', () => {
    db.close()
  })

  const rule: HostRule = allowedHosts(options.hosts ?? [])
  app.addHook('onRequest', (request, _reply, done) => {
    done(rule(request.headers.host ?? '') ? undefined : new ProblemError('wrong-host', 'Ask for this server by the address it prints at start.'))
  })
  await app.register(helmet, {
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
  })

  app.setErrorHandler((error: FastifyError | ProblemError, request, reply) => {
    const problem = problemOf(toProblem(error))
    if (problem.status >= 500) {
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
    inner.get('/api/health', () => ({ ok: true }))
    inner.get('/api/openapi.json', () => app.swagger())
    for (const routes of [ticketRoutes, dogRoutes, ownerRoutes, sizeTableRoutes, findRoutes, shopRoutes, pieceRoutes, standInRoutes]) routes(inner, db)
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

function toProblem(error: FastifyError | ProblemError): ProblemError {
  if (error instanceof ProblemError) return error
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
