import { spawn, type ChildProcess } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import fc from 'fast-check'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { openDatabase } from './db/open.ts'
import { commands, writesOf, type Write } from './test/any-writes.ts'
import { bundled } from './test/bundled.ts'
import { AT, nextId, reading, sizeTable } from './test/shop.ts'

const ROUNDS = 3
let folder: string
let server: ReturnType<typeof bundled>
beforeAll(() => {
  server = bundled()
  folder = mkdtempSync(join(tmpdir(), 'merry-kill-'))
})
afterAll(() => {
  server.remove()
  rmSync(folder, { recursive: true, force: true })
})

/** Starts the real server in a process of its own; resolves with its address. */
function start(file: string): Promise<{ child: ChildProcess; address: string }> {
  const child = spawn(process.execPath, [server.file], {
    env: { ...process.env, MERRY_DATABASE: file, MERRY_PORT: '0' },
    stdio: ['ignore', 'pipe', 'inherit'],
  })
  return new Promise((resolve, reject) => {
    child.stdout.on('data', (chunk: Buffer) => {
      const address = /http:\/\/\S+/.exec(chunk.toString())?.[0]
      if (address) resolve({ child, address })
    })
    child.once('exit', (code) => reject(new Error(`server ended with ${code}`)))
  })
}

const put = (url: string, body: unknown) => fetch(url, { method: 'PUT', headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) })

it('loses no acknowledged write when the process is killed in the middle of writing', async () => {
  const file = join(folder, 'shop.sqlite')
  const ticket = nextId()
  const acknowledged = new Set<string>()
  const sent = new Set<string>()
  for (let round = 0; round < ROUNDS; round++) {
    const { child, address } = await start(file)
    await put(`${address}/api/tickets/${ticket}`, { dogId: null, ownerId: null, kind: 'counter', at: AT, by: 'Test' })
    let killed = false
    const writer = async (): Promise<void> => {
      while (!killed) {
        const id = nextId()
        sent.add(id)
        try {
          const answer = await put(`${address}/api/tickets/${ticket}/readings/${id}`, reading({ mm: 250 + (sent.size % 90) }))
          if (answer.ok) acknowledged.add(id)
        } catch {
          return
        }
      }
    }
    const writers = [writer(), writer(), writer()]
    // Killed in the middle of writing, however slow the machine: once enough was acknowledged, at another moment each time.
    const enough = acknowledged.size + 12
    const pause = (ms: number): Promise<void> => new Promise((resolve) => setTimeout(resolve, ms))
    while (acknowledged.size < enough) await pause(5)
    await pause(round * 7)
    const gone = new Promise((resolve) => child.once('exit', (_, signal) => resolve(signal)))
    child.kill('SIGKILL')
    expect(await gone).toBe('SIGKILL')
    killed = true
    await Promise.all(writers)
  }

  const db = openDatabase(file)
  const kept = new Set(
    db
      .prepare<[], { id: string }>('SELECT id FROM readings')
      .all()
      .map((row) => row.id),
  )
  const whole = db.pragma('integrity_check', { simple: true })
  db.close()
  expect(acknowledged.size).toBeGreaterThan(20)
  expect([...acknowledged].filter((id) => !kept.has(id))).toEqual([])
  expect([...kept].filter((id) => !sent.has(id))).toEqual([])
  expect(whole).toBe('ok')
}, 300_000)

const KILLS = 4
/** At most so many until every kind of thing was written: how much a server answers before it dies goes by the machine. */
const AT_MOST = 20
const KINDS = ['dogs', 'fitters', 'owners', 'pieces', 'tickets']

it('loses no acknowledged write of any kind over many kills, and answers each again as it did', async () => {
  const file = join(folder, 'every-kind.sqlite')
  const answered: { write: Write; status: number }[] = []
  const sent = (address: string, { id, method, url, body }: Write) =>
    fetch(`${address}${url}`, { method, headers: { 'content-type': 'application/json', 'merry-write': id }, body: JSON.stringify(body) })
  const kinds = (): string[] => [...new Set(answered.map(({ write }) => write.url.split('/')[2] ?? ''))].sort()
  for (let kill = 0; kill < KILLS || (kill < AT_MOST && kinds().length < KINDS.length); kill++) {
    const { child, address } = await start(file)
    if (kill === 0) await put(`${address}/api/size-tables/test-table/1`, sizeTable({ sizes: [{ label: 'M', bands: { M01: [500, 600] } }] }))
    const { writes } = writesOf(fc.sample(commands, { numRuns: 1, seed: 4100 + kill })[0] ?? [])
    // Killed somewhere among them: what was answered before counts.
    const until = 3 + ((kill * 7) % Math.max(1, writes.length - 3))
    const writing = (async () => {
      for (const write of writes) {
        try {
          answered.push({ write, status: (await sent(address, write)).status })
        } catch {
          return
        }
      }
    })()
    const before = answered.length
    while (answered.length < before + until && answered.length < before + writes.length) await new Promise((resolve) => setTimeout(resolve, 1))
    const gone = new Promise((resolve) => child.once('exit', resolve))
    child.kill('SIGKILL')
    await gone
    await writing
  }
  const { child, address } = await start(file)
  const again = await Promise.all(answered.map(async ({ write }) => (await sent(address, write)).status))
  child.kill('SIGKILL')
  expect(answered.length).toBeGreaterThan(KILLS * 3)
  expect(kinds()).toEqual(KINDS)
  expect(answered.every(({ status }) => status < 500)).toBe(true)
  expect(again).toEqual(answered.map(({ status }) => status))
  const db = openDatabase(file)
  const kept = db.prepare<[], { id: string; status: number }>('SELECT id, status FROM writes').all()
  const whole = [db.pragma('integrity_check', { simple: true }), db.pragma('foreign_key_check')]
  db.close()
  const statuses = new Map(kept.map(({ id, status }) => [id, status]))
  expect(answered.filter(({ write, status }) => statuses.get(write.id) !== status)).toEqual([])
  expect(whole).toEqual(['ok', []])
}, 300_000)
