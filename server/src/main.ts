import { X509Certificate } from 'node:crypto'
import { createServer } from 'node:http'
import { chmodSync, existsSync } from 'node:fs'
import { dirname, join } from 'node:path'
import type { FastifyInstance } from 'fastify'
import { Keeper } from './access/keeper.ts'
import { isLoopback, lanNames, openToLan } from './access/lan.ts'
import { isPassphrase, keptPassphrase, LEAST_LENGTH } from './access/passphrase.ts'
import { accessFile, buildApp } from './app.ts'
import { NewerDatabaseError } from './db/open.ts'
import { UnreadableBookError } from './db/open-eyes.ts'
import { markOpen, openElsewhere } from './one-at-a-time.ts'
import { httpSupplier } from './ports/supplier.ts'
import { standInSupplier } from './stand-ins/supplier.ts'

const { env } = process
const root = join(import.meta.dirname, '..', '..')
/** The address other devices reach it at; loopback: none do. */
const host = env.MERRY_HOST ?? '127.0.0.1'
const usualPort = 4787
const database = env.MERRY_DATABASE ?? join(root, 'data', 'shop.sqlite')
/** After a stop was asked for, requests that are still coming in are cut off so late. */
const STOP_MS = 3000

/** What keeps the server from starting, in a person's words. */
class CannotStart extends Error {
  override name = 'CannotStart'
}

/** The supplier's address; `stand-in` starts a simulated one beside us. */
async function supplierAddress(): Promise<string | null> {
  if (env.MERRY_SUPPLIER === undefined || env.MERRY_SUPPLIER === '') return null
  if (env.MERRY_SUPPLIER === 'stand-in') return standInSupplier().listen({ host: '127.0.0.1', port: 0 })
  if (!URL.canParse(env.MERRY_SUPPLIER) || !/^https?:/.test(env.MERRY_SUPPLIER))
    throw new CannotStart(`MERRY_SUPPLIER is no address: "${env.MERRY_SUPPLIER}". Give one that begins with http, or leave it out.`)
  return env.MERRY_SUPPLIER
}

const portOf = (name: string, usual: number): number => {
  const given = env[name]
  if (given === undefined || given === '') return usual
  if (!/^\d{1,5}$/.test(given) || Number(given) > 65_535) throw new CannotStart(`${name} is no port: "${given}". Give a number from 0 to 65535.`)
  return Number(given)
}

/** Who is let in. A passphrase may be given at the first start; beyond this computer nothing is opened without one. */
async function keeperOf(): Promise<Keeper> {
  let keeper: Keeper
  try {
    keeper = new Keeper(accessFile(database), () => new Date().toISOString())
  } catch {
    throw new CannotStart(`${accessFile(database) ?? ''} cannot be read: it says who is let in. Put it right, or take it away and set the passphrase anew.`)
  }
  if (env.MERRY_PASSPHRASE && keeper.passphrase === null) {
    if (!isPassphrase(env.MERRY_PASSPHRASE)) throw new CannotStart(`MERRY_PASSPHRASE is too short: ${LEAST_LENGTH} characters or more.`)
    keeper.setPassphrase(await keptPassphrase(env.MERRY_PASSPHRASE))
  }
  if (!isLoopback(host) && keeper.passphrase === null)
    throw new CannotStart(
      'Other devices are let in only once the shop has a passphrase. Start once without MERRY_HOST and set it under Shop, Who gets in; or give it as MERRY_PASSPHRASE at this start.',
    )
  return keeper
}

/** Nobody else on this computer reads the shop's files. */
function ownEyesOnly(): void {
  process.umask(0o077)
  for (const [path, mode] of [[dirname(database), 0o700], [database, 0o600], [`${database}-wal`, 0o600], [`${database}-shm`, 0o600]] as const) {
    // The product's own folder is its own; one that was given may be shared with others.
    if (path === dirname(database) && env.MERRY_DATABASE !== undefined) continue
    if (existsSync(path)) chmodSync(path, mode)
  }
} // prettier-ignore

async function listening(app: FastifyInstance, port: number): Promise<string> {
  try {
    return await app.listen({ host: '127.0.0.1', port })
  } catch (error) {
    await app.close()
    const { code } = error as NodeJS.ErrnoException
    if (code === 'EADDRINUSE') throw new CannotStart(`Port ${port} is taken by another program. Stop that one, or set MERRY_PORT to a free port.`)
    if (code === 'EACCES') throw new CannotStart(`Port ${port} may not be opened by this user. Set MERRY_PORT to one above 1023.`)
    throw error
  }
}

/** Listens on this computer at the port asked for, or the usual one; and for other devices where the shop wants it. */
async function listen(): Promise<void> {
  const elsewhere = await openElsewhere(database)
  if (elsewhere !== null) throw new CannotStart(`This book is open already: Merry Tailor is open at ${elsewhere}. Use that one, or stop it first.`)
  ownEyesOnly()
  const port = portOf('MERRY_PORT', usualPort)
  const keeper = await keeperOf()
  const supplier = await supplierAddress()
  const more = (env.MERRY_HOSTS ?? '').split(',').filter(Boolean)
  const names = isLoopback(host) ? more : lanNames(host, more)
  const [securePort, trustPort] = [portOf('MERRY_SECURE_PORT', port + 1), portOf('MERRY_TRUST_PORT', port + 2)]
  const shop = `https://${names[0] ?? host}:${securePort}`
  // What makes certificates is only fetched where one is needed: a server for this computer alone starts sooner.
  const tls = isLoopback(host)
    ? null
    : await (await import('./access/authority.ts')).certificateFor(join(dirname(database), 'tls'), [...names, 'localhost', '127.0.0.1'], new Date())
  const app = await buildApp({
    database,
    webRoot: env.MERRY_WEB ?? join(root, 'web', 'dist'),
    hosts: names,
    keeper,
    standIns: env.MERRY_DEVICES === 'stand-in',
    log: true,
    ...(tls
      ? {
          lan: {
            addresses: names.map((name) => ({ url: `https://${name}:${securePort}`, secure: true })),
            trustAt: `http://${names[0] ?? host}:${trustPort}/`,
            fingerprint: new X509Certificate(tls.authority).fingerprint256,
          },
        }
      : {}),
    ...(supplier ? { supplier: httpSupplier(supplier) } : {}),
  })
  const address = await listening(app, port)
  const lan = tls && (await openToLan(app, { host, port: securePort, trustPort, tls, shop, fingerprint: new X509Certificate(tls.authority).fingerprint256 }).catch(async (error: unknown) => {
    await app.close()
    throw new CannotStart(`${host} cannot be opened at port ${securePort} or ${trustPort}: ${(error as Error).message}. Set MERRY_HOST, MERRY_SECURE_PORT and MERRY_TRUST_PORT to what this computer has free.`)
  })) // prettier-ignore
  const unmark = markOpen(database, address)
  let stopping = false
  const stop = (): void => {
    // A second signal does not wait.
    if (stopping) process.exit(1)
    stopping = true
    // Whoever fell silent in the middle of a request does not hold up the rest.
    setTimeout(() => app.server.closeAllConnections(), STOP_MS).unref()
    void Promise.all([lan?.close(), app.close()]).then(() => {
      unmark()
      process.exit(0)
    })
  }
  process.on('SIGINT', stop)
  process.on('SIGTERM', stop)
  process.stdout.write(`Merry Tailor is open at ${address}\n${tls ? `For other devices: ${shop}\n` : ''}`)
}

/** A book that cannot be opened is said at the address it is looked for, too: whoever comes with a browser reads what to do. */
function tellAtTheDoor(error: UnreadableBookError): void {
  const words = error.message.replace(/[&<>]/g, (sign) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;' })[sign] ?? sign)
  const page = `<!doctype html><html lang="en"><meta charset="utf-8"><meta name="viewport" content="width=device-width"><title>Merry Tailor</title><style>body{font:18px/1.5 system-ui,sans-serif;max-width:36em;margin:3em auto;padding:0 1em;overflow-wrap:anywhere}</style><h1>The book cannot be opened</h1><p>${words}</p></html>`
  createServer((_, reply) => reply.writeHead(503, { 'content-type': 'text/html; charset=utf-8', 'content-security-policy': "default-src 'none'; style-src 'unsafe-inline'" }).end(page)).listen({ host: '127.0.0.1', port: portOf('MERRY_PORT', usualPort) }) // prettier-ignore
}

listen().catch((error: unknown) => {
  if (error instanceof UnreadableBookError) {
    process.stderr.write(`${error.message}\n`)
    process.exitCode = 1
    return tellAtTheDoor(error)
  }
  const known = error instanceof NewerDatabaseError || error instanceof CannotStart
  process.stderr.write(`${known ? error.message : String(error)}\n`)
  process.exit(1)
})
