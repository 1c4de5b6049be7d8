import { join } from 'node:path'
import { buildApp } from './app.ts'
import { NewerDatabaseError } from './db/open.ts'
import { markOpen, openElsewhere } from './one-at-a-time.ts'
import { httpSupplier } from './ports/supplier.ts'
import { standInSupplier } from './stand-ins/supplier.ts'

const { env } = process
const root = join(import.meta.dirname, '..', '..')
const host = env.MERRY_HOST ?? '127.0.0.1'
const usualPort = 4787
const database = env.MERRY_DATABASE ?? join(root, 'data', 'shop.sqlite')

/** What keeps the server from starting, in a person's words. */
class CannotStart extends Error {
  override name = 'CannotStart'
}

/** The supplier's address; `stand-in` starts a simulated one beside us. */
async function supplierAddress(): Promise<string | null> {
  if (env.MERRY_SUPPLIER !== 'stand-in') return env.MERRY_SUPPLIER ?? null
  return standInSupplier().listen({ host: '127.0.0.1', port: 0 })
}

/** Listens on the port asked for, or on the usual one. Devices know the shop by its address, so no other is taken in its stead. */
async function listen(): Promise<void> {
  const elsewhere = await openElsewhere(database)
  if (elsewhere !== null) throw new CannotStart(`This book is open already: Merry Tailor is open at ${elsewhere}. Use that one, or stop it first.`)
  const supplier = await supplierAddress()
  const app = await buildApp({
    database,
    webRoot: env.MERRY_WEB ?? join(root, 'web', 'dist'),
    hosts: (env.MERRY_HOSTS ?? '').split(',').filter(Boolean),
    log: true,
    ...(supplier ? { supplier: httpSupplier(supplier) } : {}),
  })
  const port = env.MERRY_PORT ? Number(env.MERRY_PORT) : usualPort
  let address: string
  try {
    address = await app.listen({ host, port })
  } catch (error) {
    await app.close()
    if ((error as NodeJS.ErrnoException).code !== 'EADDRINUSE') throw error
    throw new CannotStart(`Port ${port} is taken by another program. Stop that one, or set MERRY_PORT to a free port.`)
  }
  const unmark = markOpen(database, address)
  const stop = (): void => {
    void app.close().then(() => {
      unmark()
      process.exit(0)
    })
  }
  process.once('SIGINT', stop)
  process.once('SIGTERM', stop)
  process.stdout.write(`Merry Tailor is open at ${address}\n`)
}

listen().catch((error: unknown) => {
  const known = error instanceof NewerDatabaseError || error instanceof CannotStart
  process.stderr.write(`${known ? error.message : String(error)}\n`)
  process.exit(1)
})
