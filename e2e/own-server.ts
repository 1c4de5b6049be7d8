import { spawn, type ChildProcess } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { createServer } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'

/** The server as the build made it. */
export const SERVER = join(import.meta.dirname, '..', 'server', 'dist', 'main.mjs')

/** A real server process of a journey's own, that can be killed and started again on the same file and port. */
export interface OwnServer {
  address: string
  /** The plug pulled: no goodbye. */
  kill: () => Promise<void>
  start: () => Promise<void>
  end: () => Promise<void>
}

const freePort = (): Promise<number> =>
  new Promise((resolve) => {
    const probe = createServer()
    probe.listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as { port: number }
      probe.close(() => resolve(port))
    })
  })

export async function ownServer(): Promise<OwnServer> {
  const folder = mkdtempSync(join(tmpdir(), 'merry-own-'))
  const port = await freePort()
  let child: ChildProcess | null = null
  const server: OwnServer = {
    address: `http://127.0.0.1:${port}`,
    start: async () => {
      const started = spawn(process.execPath, [SERVER], {
        env: { ...process.env, MERRY_DATABASE: join(folder, 'shop.sqlite'), MERRY_PORT: String(port) },
        stdio: ['ignore', 'pipe', 'inherit'],
      })
      child = started
      await new Promise<void>((resolve, reject) => {
        started.stdout.on('data', (chunk: Buffer) => /http:/.test(chunk.toString()) && resolve())
        started.once('exit', (code) => reject(new Error(`the server ended with ${code}`)))
      })
    },
    kill: async () => {
      const gone = new Promise((resolve) => child?.once('exit', resolve))
      child?.kill('SIGKILL')
      await gone
    },
    end: async () => {
      if (child?.exitCode === null && child.signalCode === null) await server.kill()
      rmSync(folder, { recursive: true, force: true })
    },
  }
  await server.start()
  return server
}
