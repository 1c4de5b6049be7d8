import { spawn, type ChildProcess } from 'node:child_process'
import { request as plain } from 'node:http'
import { request as secure } from 'node:https'
import { connect } from 'node:net'
import { mkdtempSync, statSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, afterEach, beforeAll, describe, expect, it } from 'vitest'
import { bundled } from './test/bundled.ts'

/** An address of this computer that is not its own name: for the server, another device's way in. */
const OTHER = '127.0.0.2'
const PASS = 'nine brown dogs'
const started: ChildProcess[] = []
let built: ReturnType<typeof bundled>
beforeAll(() => {
  built = bundled()
})
afterAll(() => built.remove())
afterEach(() => {
  for (const child of started.splice(0)) child.kill('SIGKILL')
})

interface Started {
  child: ChildProcess
  folder: string
  /** What it printed, and how it ended, where it did. */
  said: () => string
  ended: Promise<number | null>
}

function start(env: Record<string, string>, folder = mkdtempSync(join(tmpdir(), 'merry-main-'))): Started {
  const child = spawn(process.execPath, [built.file], {
    env: { PATH: process.env.PATH ?? '', MERRY_DATABASE: join(folder, 'shop', 'shop.sqlite'), ...env },
    stdio: ['ignore', 'pipe', 'pipe'],
  })
  started.push(child)
  let text = ''
  child.stdout.on('data', (bytes: Buffer) => (text += bytes.toString()))
  child.stderr.on('data', (bytes: Buffer) => (text += bytes.toString()))
  return { child, folder, said: () => text, ended: new Promise((resolve) => child.once('exit', (code) => resolve(code))) }
}
async function opened(server: Started): Promise<number> {
  for (let i = 0; i < 300; i++) {
    const port = /127\.0\.0\.1:(\d+)/.exec(server.said())?.[1]
    if (port) return Number(port)
    await new Promise((resolve) => setTimeout(resolve, 100))
  }
  throw new Error(`it did not open: ${server.said()}`)
}
const text = (ask: typeof plain | typeof secure, options: object): Promise<{ status: number; body: string }> =>
  new Promise((resolve, reject) =>
    ask(options, (answer) => {
      let body = ''
      answer.on('data', (bytes: Buffer) => (body += bytes.toString()))
      answer.on('end', () => resolve({ status: answer.statusCode ?? 0, body }))
    })
      .on('error', reject)
      .end(),
  )

describe('the server as it is started', () => {
  it('A27 opens to no other device without a passphrase, and says what to do; other slips are said too', async () => {
    const refused = start({ MERRY_PORT: '0', MERRY_HOST: OTHER })
    expect(await refused.ended).toBe(1)
    expect(refused.said()).toContain('only once the shop has a passphrase')
    const short = start({ MERRY_PORT: '0', MERRY_HOST: OTHER, MERRY_PASSPHRASE: 'short' })
    const supplier = start({ MERRY_PORT: '0', MERRY_SUPPLIER: 'not a url' })
    const port = start({ MERRY_PORT: 'many' })
    expect(await Promise.all([short.ended, supplier.ended, port.ended])).toEqual([1, 1, 1])
    expect(short.said()).toContain('10 characters or more')
    expect(supplier.said()).toContain('MERRY_SUPPLIER is no address')
    expect(port.said()).toContain('MERRY_PORT is no port')
  }, 60_000)

  it('A23 with one it opens by HTTPS of its own, hands out its certificate and nothing else unasked, and keeps its files to itself', async () => {
    const [at, tls, trust] = [46_787, 46_788, 46_789]
    const server = start({ MERRY_PORT: String(at), MERRY_SECURE_PORT: String(tls), MERRY_TRUST_PORT: String(trust), MERRY_HOST: OTHER, MERRY_PASSPHRASE: PASS }) // prettier-ignore
    await opened(server)
    for (let i = 0; i < 50 && !server.said().includes('For other devices'); i++) await new Promise((resolve) => setTimeout(resolve, 100))
    const { body: ca } = await text(plain, { host: OTHER, port: trust, path: '/merry-tailor.crt' })
    expect(ca).toContain('BEGIN CERTIFICATE')
    expect((await text(plain, { host: OTHER, port: trust, path: '/api/dogs' })).body).toContain('Trust this shop')
    const day = { host: OTHER, port: tls, path: '/api/day', ca, headers: { host: `${OTHER}:${tls}` } }
    expect((await text(secure, day)).status).toBe(401)
    // Without trust in it nobody gets that far.
    await expect(text(secure, { ...day, ca: undefined })).rejects.toThrow()
    expect((await text(plain, { host: '127.0.0.1', port: at, path: '/api/day', headers: { host: `localhost:${at}` } })).status).toBe(200)
    for (const name of ['shop.sqlite', 'access.json', join('tls', 'authority.key')]) expect([name, statSync(join(server.folder, 'shop', name)).mode & 0o077]).toEqual([name, 0]) // prettier-ignore
  }, 60_000)

  it('A17 a client that falls silent in the middle of a request does not hold up a stop', async () => {
    const server = start({ MERRY_PORT: '0' })
    const port = await opened(server)
    const silent = connect(port, '127.0.0.1')
    await new Promise<void>((resolve) => silent.once('connect', resolve))
    silent.on('error', () => undefined)
    silent.write(`PUT /api/dogs/x HTTP/1.1\r\nHost: localhost:${port}\r\nContent-Type: application/json\r\nContent-Length: 400\r\n\r\n{"na`)
    await new Promise((resolve) => setTimeout(resolve, 300))
    const asked = Date.now()
    server.child.kill('SIGTERM')
    expect(await server.ended).toBe(0)
    expect(Date.now() - asked).toBeLessThan(8000)
  }, 60_000)
})
