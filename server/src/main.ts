import { join } from 'node:path'
import { buildApp } from './app.ts'
import { NewerDatabaseError } from './db/open.ts'
import { httpSupplier } from './ports/supplier.ts'
import { standInSupplier } from './stand-ins/supplier.ts'

const { env } = process
const root = join(import.meta.dirname, '..', '..')
const host = env.MERRY_HOST ?? '127.0.0.1'
const usualPort = 4787

/** The supplier's address; `stand-in` starts a simulated one beside us. */
async function supplierAddress(): Promise<string | null> {
  if (env.MERRY_SUPPLIER !== 'stand-in') return env.MERRY_SUPPLIER ?? null
  return standInSupplier().listen({ host: '127.0.0.1', port: 0 })
}

/** Listens on the port asked for, on the usual one, or on any free one. */
async function listen(): Promise<void> {
  const supplier = await supplierAddress()
  const app = await buildApp({
    database: env.MERRY_DATABASE ?? join(root, 'data', 'shop.sqlite'),
    webRoot: env.MERRY_WEB ?? join(root, 'web', 'dist'),
    hosts: (env.MERRY_HOSTS ?? '').split(',').filter(Boolean),
    log: true,
    ...(supplier ? { supplier: httpSupplier(supplier) } : {}),
  })
  const stop = (): void => {
    void app.close().then(() => process.exit(0))
  }
  process.once('SIGINT', stop)
  process.once('SIGTERM', stop)

  const ports = env.MERRY_PORT ? [Number(env.MERRY_PORT)] : [usualPort, 0]
  for (const [i, port] of ports.entries()) {
    try {
      const address = await app.listen({ host, port })
      process.stdout.write(`Merry Tailor is open at ${address}\n`)
      return
    } catch (error) {
      const taken = (error as NodeJS.ErrnoException).code === 'EADDRINUSE'
      if (!taken || i === ports.length - 1) throw error
    }
  }
}

listen().catch((error: unknown) => {
  process.stderr.write(`${error instanceof NewerDatabaseError ? error.message : String(error)}\n`)
  process.exit(1)
})
