import { createServer, request as ask } from 'node:https'
import { mkdtempSync, readFileSync, statSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { AddressInfo } from 'node:net'
import { X509Certificate } from 'node:crypto'
import type { FastifyInstance, InjectOptions } from 'fastify'
import { afterEach, describe, expect, it } from 'vitest'
import { accessFile, buildApp } from '../app.ts'
import { certificateFor } from './authority.ts'
import { Keeper } from './keeper.ts'
import { isThePassphrase, keptPassphrase } from './passphrase.ts'
import { Tries } from './tries.ts'

const PASS = 'nine brown dogs'
let app: FastifyInstance
afterEach(() => app.close())
const folder = (): string => mkdtempSync(join(tmpdir(), 'merry-'))
const open = async (keeper = new Keeper(null, () => new Date().toISOString())) => {
  app = await buildApp({ database: ':memory:', keeper, hosts: ['bench.local'], lan: { addresses: [{ url: 'https://bench.local:4788', secure: true }], trustAt: 'http://bench.local:4789/', fingerprint: 'AA' } }) // prettier-ignore
  return keeper
}
type Over = Pick<InjectOptions, 'headers' | 'payload' | 'remoteAddress'> & { cookie?: string }
const call = async (method: 'GET' | 'POST' | 'PUT' | 'PATCH' | 'DELETE', url: string, over: Over = {}) => {
  const answer = await app.inject({
    method,
    url,
    remoteAddress: over.remoteAddress ?? '192.168.4.20',
    headers: { host: 'bench.local', ...(over.cookie ? { cookie: over.cookie } : {}), ...over.headers },
    ...(over.payload === undefined ? {} : { payload: over.payload }),
  })
  const setCookie = answer.headers['set-cookie']
  return { status: answer.statusCode, body: answer.body === '' ? null : answer.json<Record<string, unknown>>(), cookie: typeof setCookie === 'string' ? setCookie : '', headers: answer.headers } // prettier-ignore
}
const own = { remoteAddress: '127.0.0.1', headers: { host: 'localhost' } }
const carried = (setCookie: string): string => setCookie.split(';')[0] ?? ''

describe('who gets in', () => {
  it('another computer is refused everything but the way in, and learns neither book nor address', async () => {
    await open()
    for (const url of ['/api/day', '/api/dogs', '/api/book', '/api/copies', '/api/access/devices', '/api/openapi.json', '/api/health']) {
      const { status, body, headers } = await call('GET', url)
      expect([url, status, body?.code]).toEqual([url, 401, 'who-are-you'])
      expect(headers['merry-book']).toBeUndefined()
    }
    expect((await call('PUT', '/api/book?replace=yes', { payload: {} })).status).toBe(401)
    expect((await call('GET', '/api/access')).body).toMatchObject({ in: false, set: false, lan: null })
  })

  it('the server’s own computer is in as before; what another program there passes on is not', async () => {
    await open()
    expect((await call('GET', '/api/day', own)).status).toBe(200)
    expect((await call('GET', '/api/day', { ...own, headers: { host: 'bench.local' } })).status).toBe(401)
    expect((await call('GET', '/api/day', { ...own, headers: { host: 'localhost', 'x-forwarded-for': '192.168.4.20' } })).status).toBe(401)
    expect((await call('GET', '/api/day', { remoteAddress: '192.168.4.20', headers: { host: 'localhost' } })).status).toBe(401)
  })

  it('a passphrase lets a device in, with a cookie no script reads; locked out it is out at once, and in again', async () => {
    await open()
    expect((await call('PUT', '/api/access/passphrase', { ...own, payload: { old: null, passphrase: 'short' } })).body).toMatchObject({ fields: [{ path: 'passphrase' }] })
    expect((await call('PUT', '/api/access/passphrase', { ...own, payload: { old: null, passphrase: PASS } })).status).toBe(200)
    const inside = await call('POST', '/api/access/session', { payload: { passphrase: ` ${PASS} `, name: 'Yard phone' } })
    expect(inside.cookie).toMatch(/HttpOnly; SameSite=Strict/)
    const cookie = carried(inside.cookie)
    expect((await call('GET', '/api/day', { cookie })).status).toBe(200)
    const devices = (await call('GET', '/api/access/devices', { cookie })).body as unknown as { id: string; name: string; this: boolean }[]
    expect(devices).toMatchObject([{ name: 'Yard phone', this: true }])
    expect(JSON.stringify(devices)).not.toContain('token')
    const id = devices[0]?.id ?? ''
    expect((await call('PATCH', `/api/access/devices/${id}`, { ...own, payload: { locked: true } })).status).toBe(200)
    expect((await call('GET', '/api/day', { cookie })).status).toBe(401)
    await call('PATCH', `/api/access/devices/${id}`, { ...own, payload: { locked: false } })
    expect((await call('GET', '/api/day', { cookie })).status).toBe(200)
    await call('DELETE', '/api/access/session', { cookie })
    expect((await call('GET', '/api/day', { cookie })).status).toBe(401)
    expect((await call('PATCH', '/api/access/devices/nobody', { ...own, payload: { locked: true } })).status).toBe(404)
  }) // prettier-ignore

  it('a pairing code lets one device in, once, while it is good; without a passphrase there is none', async () => {
    let at = Date.parse('2026-11-28T10:00:00Z')
    const keeper = await open(new Keeper(null, () => new Date(at).toISOString()))
    expect((await call('POST', '/api/access/pairings', own)).body).toMatchObject({ code: 'no-passphrase' })
    keeper.setPassphrase(await keptPassphrase(PASS))
    const code = async (): Promise<string> => String((await call('POST', '/api/access/pairings', own)).body?.code)
    const first = await code()
    expect(first).toMatch(/^[A-HJKMNP-Z2-9]{12}$/)
    const spoken = `${first.slice(0, 4)}-${first.slice(4, 8)} ${first.slice(8)}`.toLowerCase()
    expect((await call('POST', '/api/access/pair', { payload: { code: spoken, name: 'Phone' } })).status).toBe(200)
    expect((await call('POST', '/api/access/pair', { payload: { code: first, name: 'Phone' } })).status).toBe(403)
    const late = await code()
    at += 6 * 60_000
    expect((await call('POST', '/api/access/pair', { payload: { code: late, name: 'Phone' } })).status).toBe(403)
  })

  it('after five wrong tries the sixth waits, the right one too; another address does not', async () => {
    const keeper = await open()
    keeper.setPassphrase(await keptPassphrase(PASS))
    const attempt = (passphrase: string, remoteAddress: string) => call('POST', '/api/access/session', { remoteAddress, payload: { passphrase, name: 'x' } })
    // Sent at once they are as many.
    const wrong = await Promise.all(Array.from({ length: 8 }, () => attempt('not this one', '192.168.4.66')))
    expect(wrong.map(({ status }) => status).sort()).toEqual([403, 403, 403, 403, 403, 429, 429, 429])
    expect((await attempt(PASS, '192.168.4.66')).status).toBe(429)
    expect((await attempt(PASS, '192.168.4.20')).status).toBe(200)
    let at = 0
    const tries = new Tries(() => at)
    for (let i = 0; i < 5; i++) tries.wrong('a')
    expect(tries.waitMs('a')).toBe(60_000)
    at = 61_000
    expect(tries.waitMs('a')).toBe(0)
  }, 20_000)

  it('asked everywhere, the own computer is asked too, and only who knows the passphrase says so', async () => {
    const keeper = await open()
    keeper.setPassphrase(await keptPassphrase(PASS))
    expect((await call('PUT', '/api/access/everywhere', { ...own, payload: { on: true, passphrase: 'guess' } })).status).toBe(403)
    expect((await call('PUT', '/api/access/everywhere', { ...own, payload: { on: true, passphrase: PASS } })).status).toBe(200)
    expect((await call('GET', '/api/day', own)).status).toBe(401)
    expect((await call('PUT', '/api/access/passphrase', { ...own, payload: { old: null, passphrase: 'another long one' } })).status).toBe(401)
  })

  it('A10 replacing the whole book asks for the passphrase again, of whoever is in', async () => {
    const keeper = await open()
    keeper.setPassphrase(await keptPassphrase(PASS))
    await call('PUT', '/api/dogs/01900000-0000-7000-8000-00000000aaab', { ...own, payload: { name: 'Tern', at: '2026-10-05T09:00:00Z' } })
    const replace = (passphrase: string | null) => call('PUT', '/api/book?replace=yes', { ...own, headers: { ...own.headers, ...(passphrase === null ? {} : { 'merry-passphrase': encodeURIComponent(passphrase) }) }, payload: {} }) // prettier-ignore
    expect((await replace(null)).body).toMatchObject({ code: 'wrong-passphrase', fields: [{ path: 'passphrase' }] })
    expect((await replace('nine white dogs')).status).toBe(403)
    // With it the copy itself is looked at: this one is none.
    expect((await replace(PASS)).body).toMatchObject({ code: 'bad-document' })
    expect((await call('GET', '/api/dogs', own)).body).toHaveLength(1)
  })

  it('a write another page sends is refused, whoever’s browser it is', async () => {
    await open()
    const write = (headers: Record<string, string>) => call('PUT', '/api/dogs/01900000-0000-7000-8000-00000000aaaa', { ...own, headers: { ...own.headers, ...headers }, payload: { name: 'Tern', at: '2026-10-05T09:00:00Z' } }) // prettier-ignore
    expect((await write({ origin: 'http://elsewhere.example' })).body).toMatchObject({ code: 'wrong-origin' })
    expect((await write({ origin: 'null' })).status).toBe(403)
    expect((await write({ 'sec-fetch-site': 'cross-site' })).status).toBe(403)
    expect((await write({ origin: 'http://localhost', 'sec-fetch-site': 'same-origin' })).status).toBe(200)
  })

  it('the file beside the book holds no passphrase and no token, is read by its owner alone, and is taken up again', async () => {
    const database = join(folder(), 'shop.sqlite')
    const file = accessFile(database) ?? ''
    const keeper = new Keeper(file, () => new Date().toISOString())
    app = await buildApp({ database, keeper })
    keeper.setPassphrase(await keptPassphrase(PASS))
    const { token, device } = keeper.admit('Phone')
    const text = readFileSync(file, 'utf8')
    expect(text).not.toContain(PASS)
    expect(text).not.toContain(token)
    expect(statSync(file).mode & 0o077).toBe(0)
    expect(new Keeper(file, () => new Date().toISOString()).deviceOf(token)?.id).toBe(device.id)
    expect(await isThePassphrase(PASS, keeper.passphrase ?? { salt: '', hash: '', N: 2, r: 1, p: 1 })).toBe(true)
    await expect(keptPassphrase('short')).rejects.toThrow(RangeError)
  })
})

describe('the shop’s own certificate', () => {
  it('names its addresses, is signed by its authority, and a client that trusts that one gets through', async () => {
    await open()
    const at = folder()
    const made = await certificateFor(at, ['localhost', '127.0.0.1', '192.168.4.2'], new Date())
    const [shop, authority] = [new X509Certificate(made.cert), new X509Certificate(made.authority)]
    expect(shop.checkIssued(authority)).toBe(true)
    expect(shop.verify(authority.publicKey)).toBe(true)
    expect(authority.ca).toBe(true)
    expect(shop.ca).toBe(false)
    expect(shop.checkIP('192.168.4.2')).toBe('192.168.4.2')
    expect(shop.checkHost('elsewhere.example')).toBeUndefined()
    expect(statSync(join(at, 'authority.key')).mode & 0o077).toBe(0)
    const server = createServer({ cert: made.cert, key: made.key }, (_, answer) => answer.end('open'))
    await new Promise<void>((done) => server.listen(0, '127.0.0.1', done))
    const { port } = server.address() as AddressInfo
    const get = (ca?: string) => new Promise<number>((done, fail) => ask({ host: '127.0.0.1', port, ...(ca ? { ca } : {}) }, (answer) => done(answer.statusCode ?? 0)).on('error', fail).end()) // prettier-ignore
    expect(await get(made.authority)).toBe(200)
    await expect(get()).rejects.toThrow()
    await new Promise((done) => server.close(done))
  })

  it('is kept while it is good, made anew for a new address and before it ends; the authority stays', async () => {
    await open()
    const at = folder()
    const now = new Date('2026-11-28T10:00:00Z')
    const first = await certificateFor(at, ['localhost'], now)
    expect((await certificateFor(at, ['localhost'], now)).cert).toBe(first.cert)
    const more = await certificateFor(at, ['localhost', '10.0.0.7'], now)
    expect(more.cert).not.toBe(first.cert)
    expect(more.authority).toBe(first.authority)
    const later = await certificateFor(at, ['localhost', '10.0.0.7'], new Date('2027-12-20T10:00:00Z'))
    expect(later.cert).not.toBe(more.cert)
    expect(later.authority).toBe(first.authority)
  })
})
