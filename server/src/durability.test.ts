import { spawn, type ChildProcess } from 'node:child_process'
import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, expect, it } from 'vitest'
import { openDatabase } from './db/open.ts'
import { AT, nextId, reading } from './test/shop.ts'

const ROUNDS = 4
let folder: string
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'merry-kill-'))
})
afterAll(() => rmSync(folder, { recursive: true, force: true }))

/** Starts the real server in a process of its own; resolves with its address. */
function start(file: string): Promise<{ child: ChildProcess; address: string }> {
  const child = spawn(process.execPath, ['--import', 'tsx', join(import.meta.dirname, 'main.ts')], {
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
}, 120_000)
