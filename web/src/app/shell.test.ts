import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import vm from 'node:vm'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'

type Listener = (event: Record<string, unknown>) => void
/** The worker's world as far as it asks: caches by name, and a network that answers as it is told. */
function shelf() {
  const kept = new Map<string, Map<string, string>>()
  const listeners = new Map<string, Listener>()
  const network = { answer: (path: string): Promise<{ status: number; from: string }> => Promise.resolve({ status: 200, from: `network ${path}` }) }
  const asked: string[] = []
  const ask = (request: string | { url: string }): Promise<{ status: number; from: string }> => {
    const path = typeof request === 'string' ? request : new URL(request.url).pathname
    asked.push(path)
    return network.answer(path)
  }
  const cacheOf = (name: string) => {
    const own = kept.get(name) ?? new Map<string, string>()
    kept.set(name, own)
    const add = async (path: string): Promise<void> => {
      const answer = await ask(path)
      if (answer.status !== 200) throw new Error('not there')
      own.set(path, answer.from)
    }
    const found = (path: string) => (own.has(path) ? { status: 200, from: `kept ${path}` } : undefined)
    return { add, addAll: (paths: string[]) => Promise.all(paths.map(add)), match: (path: string) => Promise.resolve(found(path)), put: own.set.bind(own) }
  }
  const caches = {
    open: (name: string) => Promise.resolve(cacheOf(name)),
    keys: () => Promise.resolve([...kept.keys()]),
    delete: (name: string) => Promise.resolve(kept.delete(name)),
    match: (request: { url: string }) => {
      const path = new URL(request.url).pathname
      return Promise.resolve([...kept.values()].some((own) => own.has(path)) ? { status: 200, from: `kept ${path}` } : undefined)
    },
  }
  const self = { addEventListener: (name: string, listener: Listener) => listeners.set(name, listener), skipWaiting: () => undefined, clients: { claim: () => undefined }, location: { origin: 'https://shop' } } // prettier-ignore
  const source = `const FIRST = ['/first.js']; const REST = ['/rest.js', '/more.js']; const BUILD = 'b2';\n${readFileSync(join(import.meta.dirname, '..', '..', 'shell', 'sw.js'), 'utf8')}`
  vm.runInNewContext(source, { self, caches, fetch: ask, URL, setTimeout, Promise, Error, Response: { error: () => ({ status: 0, from: 'nowhere' }) } })
  const fire = async (name: string, over: Record<string, unknown> = {}): Promise<void> => {
    const waits: unknown[] = []
    listeners.get(name)?.({ waitUntil: (each: unknown) => waits.push(each), ...over })
    await Promise.all(waits)
  }
  const get = (path: string, mode = 'no-cors', method = 'GET'): Promise<{ status: number; from: string }> | null => {
    let answer: Promise<{ status: number; from: string }> | null = null
    listeners.get('fetch')?.({ request: { url: `https://shop${path}`, mode, method }, respondWith: (each: typeof answer) => (answer = each) })
    return answer
  }
  return { kept, network, asked, fire, get }
}
const away = (): Promise<never> => Promise.reject(new Error('away'))

describe('the service worker', () => {
  beforeEach(() => void vi.useFakeTimers())
  afterEach(() => void vi.useRealTimers())

  it('puts aside what the first screen needs when it is installed, the rest when the page is quiet, and says when all is there', async () => {
    const worker = shelf()
    await worker.fire('install')
    expect([...(worker.kept.get('merry-tailor-b2')?.keys() ?? [])]).toEqual(['/', '/first.js'])
    const told: unknown[] = []
    const source = { postMessage: (message: unknown) => told.push(message) }
    worker.network.answer = (path) => (path === '/more.js' ? away() : Promise.resolve({ status: 200, from: path }))
    await worker.fire('message', { data: 'quiet', source })
    expect(told).toEqual(['not-all-aside'])
    worker.network.answer = (path) => Promise.resolve({ status: 200, from: path })
    const before = worker.asked.length
    await worker.fire('message', { data: 'quiet', source })
    expect(told).toEqual(['not-all-aside', 'all-aside'])
    // Only what was missing is asked again.
    expect(worker.asked.slice(before)).toEqual(['/more.js'])
  })

  it('opens a page from the network; from what was put aside where it is away, slow, or something else answers', async () => {
    const worker = shelf()
    await worker.fire('install')
    expect((await worker.get('/tickets/1', 'navigate'))?.from).toBe('network /tickets/1')
    worker.network.answer = away
    expect((await worker.get('/tickets/1', 'navigate'))?.from).toBe('kept /')
    for (const status of [502, 503, 504]) {
      worker.network.answer = () => Promise.resolve({ status, from: 'a box between' })
      expect((await worker.get('/', 'navigate'))?.from).toBe('kept /')
    }
    worker.network.answer = () => Promise.resolve({ status: 404, from: 'the server' })
    expect((await worker.get('/', 'navigate'))?.from).toBe('the server')
    worker.network.answer = () => new Promise(() => undefined)
    const slow = worker.get('/', 'navigate')
    await vi.advanceTimersByTimeAsync(1900)
    let open = false
    void slow?.then(() => (open = true))
    await vi.advanceTimersByTimeAsync(50)
    expect(open).toBe(false)
    await vi.advanceTimersByTimeAsync(60)
    expect((await slow)?.from).toBe('kept /')
  })

  it('a first visit on a slow network waits for it: nothing was put aside yet', async () => {
    const worker = shelf()
    worker.network.answer = () => new Promise((resolve) => setTimeout(() => resolve({ status: 200, from: 'late' }), 5000))
    const page = worker.get('/', 'navigate')
    await vi.advanceTimersByTimeAsync(5100)
    expect((await page)?.from).toBe('late')
  })

  it('leaves another’s caches alone, keeps the build before, and never answers a question to the shop or a write', async () => {
    const worker = shelf()
    for (const name of ['somebody-else', 'merry-tailor-b0', 'merry-tailor-b1', 'merry-tailor-b2']) worker.kept.set(name, new Map())
    await worker.fire('activate')
    expect([...worker.kept.keys()]).toEqual(['somebody-else', 'merry-tailor-b1', 'merry-tailor-b2'])
    expect(worker.get('/api/day')).toBeNull()
    expect(worker.get('/', 'navigate', 'POST')).toBeNull()
  })
})
