import type { Problem } from '@merry-tailor/core'
import { deviceStore, type RefusedWrite, type WaitingWrite, type WriteRequest } from './device-store'

/** What became of a write: the server has it, it waits here, or the server refused it. */
export type Sent = { kind: 'sent'; data: unknown } | { kind: 'kept-here' } | { kind: 'refused'; status: number; data: Partial<Problem> }

/** How the outbox stands: told after every change. */
export interface OutboxState {
  waiting: number
  refused: RefusedWrite[]
  reached: boolean
}

type Listener = (state: OutboxState) => void

/** A write as whoever did it named it. */
export interface NamedWrite {
  endpoint: string
  arg: unknown
}

/** How long one request may take before the server counts as gone. */
const TIMEOUT_MS = 15_000
const RETRY_MS = 3_000
/** So many are read from the device at once. */
const BATCH = 50

/** Gateways that stand before a server that is gone answer these. */
const GONE = new Set([502, 503, 504])

const callOf = ({ method, body }: WriteRequest): RequestInit => ({
  method,
  ...(body === undefined ? {} : { headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) }),
})

async function post(request: WriteRequest): Promise<Sent> {
  let answer: Response
  try {
    answer = await fetch(`/api${request.url}`, { ...callOf(request), signal: AbortSignal.timeout(TIMEOUT_MS) })
  } catch {
    return { kind: 'kept-here' }
  }
  if (GONE.has(answer.status)) return { kind: 'kept-here' }
  const data = (await answer.json().catch(() => ({}))) as Partial<Problem>
  return answer.ok ? { kind: 'sent', data } : { kind: 'refused', status: answer.status, data }
}

/**
 * Writes in the order in which they were done, each kept on the device before it is sent, and taken off only when the
 * server has answered. One drain runs at a time over all tabs; ids made here let a write be sent twice and count once.
 */
class Outbox {
  readonly #listeners = new Set<Listener>()
  readonly #arrivedListeners = new Set<() => void>()
  /** Writes of this tab nobody knows the end of, and those begun while a question is out. */
  readonly #underWay = new Set<NamedWrite>()
  readonly #witnesses = new Set<Set<NamedWrite>>()
  /** Writes on their way to this device's shelf: a page that closes now would lose them. */
  readonly #unshelved = new Set<WriteRequest>()
  /** Writes of this tab that somebody awaits. */
  readonly #awaited = new Map<number, (sent: Sent) => void>()
  #timer: ReturnType<typeof setTimeout> | null = null
  #reached = true
  /** A drain under way, and one more that must follow it. */
  #draining: Promise<void> | null = null
  #following: Promise<void> | null = null

  /** @returns stops telling */
  onChange(listener: Listener): () => void {
    this.#listeners.add(listener)
    return () => void this.#listeners.delete(listener)
  }

  /** Told when writes of earlier arrived, or another tab sent some: what is shown may be old. */
  onArrived(listener: () => void): () => void {
    this.#arrivedListeners.add(listener)
    return () => void this.#arrivedListeners.delete(listener)
  }

  /** Begins to watch: another tab's doings, the network coming back, and what was left from before. */
  start(): void {
    const channel = this.#channel()
    channel?.addEventListener('message', () => {
      void this.#tell()
      for (const arrived of this.#arrivedListeners) arrived()
    })
    window.addEventListener('online', () => void this.drain())
    document.addEventListener('visibilitychange', () => {
      if (document.visibilityState === 'visible') void this.drain()
    })
    window.addEventListener('pagehide', () => this.#lastCall())
    void this.#tell()
    void this.drain()
  }

  /** The page goes away: what is not on the shelf yet is sent so that it outlives the page. Sent twice it counts once. */
  #lastCall(): void {
    for (const request of this.#unshelved) void fetch(`/api${request.url}`, { ...callOf(request), keepalive: true }).catch(() => undefined)
  }

  #held: BroadcastChannel | null = null
  #channel(): BroadcastChannel | null {
    if (typeof BroadcastChannel === 'undefined') return null
    this.#held ??= new BroadcastChannel('merry-tailor-outbox')
    return this.#held
  }

  /** Writes not yet with the server, oldest first. */
  async waiting(): Promise<WaitingWrite[]> {
    const db = await deviceStore()
    return (await db.getAll('outbox')) as WaitingWrite[]
  }

  /**
   * Collects this tab's writes from now on, with those under way, in order and without the refused: an answer that left
   * the server before one of them may come back after it.
   *
   * @returns what was collected, and `end` to stop
   */
  witness(): { writes: ReadonlySet<NamedWrite>; end: () => void } {
    const writes = new Set(this.#underWay)
    this.#witnesses.add(writes)
    return { writes, end: () => void this.#witnesses.delete(writes) }
  }

  /** Keeps a write and sends it, and everything before it. Resolves once it is known what became of it. */
  async write(endpoint: string, arg: unknown, request: WriteRequest): Promise<Sent> {
    const own = { endpoint, arg }
    this.#underWay.add(own)
    for (const writes of this.#witnesses) writes.add(own)
    try {
      const sent = await this.#send(endpoint, arg, request)
      if (sent.kind === 'refused') for (const writes of this.#witnesses) writes.delete(own)
      return sent
    } finally {
      this.#underWay.delete(own)
    }
  }

  async #send(endpoint: string, arg: unknown, request: WriteRequest): Promise<Sent> {
    this.#unshelved.add(request)
    const db = await deviceStore()
    const seq = await db.add('outbox', { endpoint, arg, request, at: new Date().toISOString() }).finally(() => this.#unshelved.delete(request))
    const sent = new Promise<Sent>((resolve) => this.#awaited.set(seq, resolve))
    if (!this.#reached) void this.#tell()
    void this.drain()
    return sent
  }

  /** Sends what waits, in order, until it is empty or the server is gone. Asked for in the middle of a drain, one more follows it. */
  drain(): Promise<void> {
    if (this.#draining) {
      this.#following ??= this.#draining.then(() => {
        this.#following = null
        return this.drain()
      })
      return this.#following
    }
    this.#draining = this.#locked(() => this.#sendAll()).finally(() => {
      this.#draining = null
    })
    return this.#draining
  }

  async #locked(work: () => Promise<void>): Promise<void> {
    // Without locks (an old browser) ids still make a doubled write count once.
    if ('locks' in navigator) await navigator.locks.request('merry-tailor-outbox', work)
    else await work()
  }

  async #sendAll(): Promise<void> {
    const db = await deviceStore()
    let late = 0
    for (;;) {
      const batch = (await db.getAll('outbox', null, BATCH)) as WaitingWrite[]
      if (batch.length === 0) break
      /** Writes the server has answered: taken off together. Sent again after a crash they still count once, by their ids. */
      const done: number[] = []
      for (const write of batch) {
        const sent = await post(write.request)
        this.#reached = sent.kind !== 'kept-here'
        if (sent.kind === 'kept-here') break
        const awaited = this.#awaited.get(write.seq)
        if (sent.kind === 'refused' && !awaited) await db.put('refused', { ...write, problem: sent.data })
        this.#awaited.delete(write.seq)
        done.push(write.seq)
        if (awaited) awaited(sent)
        else late += 1
      }
      const shelf = db.transaction('outbox', 'readwrite')
      await Promise.all([...done.map((seq) => shelf.store.delete(seq)), shelf.done])
      if (!this.#reached) break
    }
    if (!this.#reached) {
      // Whoever awaits is told that it is kept; it goes out later without them.
      for (const resolve of this.#awaited.values()) resolve({ kind: 'kept-here' })
      this.#awaited.clear()
      this.#later()
    } else if (this.#timer) {
      clearTimeout(this.#timer)
      this.#timer = null
    }
    // Nothing to tell anybody of a write that went straight out.
    if (late > 0) {
      for (const arrived of this.#arrivedListeners) arrived()
      this.#channel()?.postMessage('arrived')
    }
    if (late > 0 || this.#told.waiting > 0 || !this.#reached || this.#told.reached !== this.#reached) await this.#tell()
  }

  #later(): void {
    if (this.#timer) return
    this.#timer = setTimeout(() => {
      this.#timer = null
      void this.drain()
    }, RETRY_MS)
  }

  #told = { waiting: 0, reached: true }
  async #tell(): Promise<void> {
    const db = await deviceStore()
    const state: OutboxState = { waiting: await db.count('outbox'), refused: await db.getAll('refused'), reached: this.#reached }
    this.#told = { waiting: state.waiting, reached: state.reached }
    for (const listener of this.#listeners) listener(state)
    if (state.waiting > 0) this.#later()
  }

  /** The server answered a question, or did not: waiting writes go out when it is back. */
  reached(yes: boolean): void {
    if (this.#reached === yes) return
    this.#reached = yes
    void this.#tell()
    if (yes) void this.drain()
    else this.#later()
  }

  /** Decides on a refused write: drops it, or sends it once more, changed where that was chosen. */
  async decide(seq: number, again: WriteRequest | null): Promise<void> {
    const db = await deviceStore()
    const write = await db.get('refused', seq)
    if (!write) return
    await db.delete('refused', seq)
    if (again) await db.add('outbox', { endpoint: write.endpoint, arg: write.arg, request: again, at: write.at })
    await this.#tell()
    await this.drain()
    for (const arrived of this.#arrivedListeners) arrived()
  }
}

export const outbox = new Outbox()
