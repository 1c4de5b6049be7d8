import type { Problem } from '@merry-tailor/core'
import { v7 as uuid } from 'uuid'
import { deviceBook, isOfBook } from './book-mark'
import { deviceStore } from './device-store'
import { SHAPE, type BookMark, type RefusedWrite, type WaitingWrite, type WriteRequest } from './kept'
import { heldBack } from './held-back'
import { whileLeased } from './lease'
import { leaveOver, takeLeftOver } from './left-over'
import type { NamedWrite } from './named-writes'
import { post, type Posted } from './post'

/** What became of a write: the server has it, it waits here, or the server refused it. */
export type Sent = { kind: 'sent'; data: unknown } | { kind: 'kept-here' } | { kind: 'refused'; status: number; data: Partial<Problem> }

/** How the outbox stands: told after every change. */
export interface OutboxState {
  /** Everything done here that no answer has come for, in order: what is shown is the server's answer and this. */
  writes: readonly NamedWrite[]
  /** Of these, how many wait longer than a moment. */
  waiting: number
  /** How many are of another book than the one this device works with. */
  elsewhere: number
  refused: RefusedWrite[]
  /** How many are held back, by the refused write to blame. */
  held: Readonly<Record<number, number>>
  reached: boolean
  /** Why the server could not take what it was sent, in its words; `null` when it did or was not reached. */
  why: string | null
  /** When the server last took something. */
  savedAt: string | null
  /** Why this device can keep nothing; `null` when it can. */
  cannotKeep: string | null
}

/** A write the server has answered, with its place among all writes of that book. */
export interface Arrived extends NamedWrite {
  id: string
  seq: number
  book: BookMark
}

interface Pending extends WaitingWrite {
  /** Whoever did it was told that it is kept. */
  keptHere: boolean
}

type StateListener = (state: OutboxState) => void
type ArrivedListener = (arrived: readonly Arrived[], late: boolean) => void

/** So long, where nothing else is said. */
const PATIENCE_MS = 1000
/** Pauses between tries, growing. */
const PAUSES_MS = [1000, 2000, 4000, 8000, 15_000, 30_000]

type Told = { said: 'added' } | { said: 'settled'; seq: number; sent: Sent; arrived: Arrived | null } | { said: 'decided' }

/**
 * Writes in the order in which they were done, each kept on the device before it is sent, and taken off only when an
 * answer that names its id has come. One drain runs at a time over all tabs, and whoever sends tells the others.
 */
class Outbox {
  readonly #states = new Set<StateListener>()
  readonly #arrivals = new Set<ArrivedListener>()
  /** What waits, over all tabs, by its place. Writes not on the shelf yet stand at its end under places below zero. */
  #pending = new Map<number, Pending>()
  #refused: RefusedWrite[] = []
  /** Writes of this tab that somebody awaits. */
  readonly #awaited = new Map<string, (sent: Sent) => void>()
  /** Ids of what this device did itself: news of them is none. */
  readonly #own = new Set<string>()
  #unshelved = 0
  /** Counts what this tab put on the shelf or took off: a reading of the shelf from before it is of no use. */
  #moves = 0
  /** Off the shelf, and about to be settled by this tab. */
  readonly #leaving = new Set<string>()
  #reached = true
  #tries = 0
  #timer: ReturnType<typeof setTimeout> | null = null
  #why: string | null = null
  #savedAt: string | null = null
  #cannotKeep: string | null = null
  /** No act waits longer than this for a network that swallows packets, ms. */
  patienceMs = PATIENCE_MS
  #draining: Promise<void> | null = null
  #again = false
  /** Counts how often it began anew. */
  #life = 0
  #channel: BroadcastChannel | null = null

  /** @returns stops telling */
  onChange(listener: StateListener): () => void {
    this.#states.add(listener)
    return () => void this.#states.delete(listener)
  }

  /** Told of every write the server has taken, of this tab and of others; `late` when nobody waited for it any more. */
  onArrived(listener: ArrivedListener): () => void {
    this.#arrivals.add(listener)
    return () => void this.#arrivals.delete(listener)
  }

  isOwn(id: string): boolean {
    return this.#own.has(id)
  }

  get isReached(): boolean {
    return this.#reached
  }

  /** Begins to watch: other tabs, the network coming back, and what was left from before. */
  async start(): Promise<void> {
    this.#listen()
    window.addEventListener('online', () => this.#soon())
    document.addEventListener('visibilitychange', () => {
      if (document.visibilityState === 'visible') this.#soon()
    })
    window.addEventListener('pagehide', () => this.#lastCall())
    deviceBook.onChange(() => {
      this.#tell()
      this.#soon()
    })
    for (const write of takeLeftOver()) await this.#shelve(write)
    await this.refresh()
    void (navigator as { storage?: { persist?: () => Promise<boolean> } }).storage?.persist?.().catch(() => false)
    void this.drain()
  }

  #listen(): void {
    if (this.#channel || typeof BroadcastChannel === 'undefined') return
    this.#channel = new BroadcastChannel('merry-tailor-outbox')
    this.#channel.addEventListener('message', ({ data }: MessageEvent<Told>) => {
      if (data.said === 'settled') this.#settle(data.seq, data.sent, data.arrived)
      else void this.refresh()
    })
  }

  #say(told: Told): void {
    this.#listen()
    this.#channel?.postMessage(told)
  }

  /** The page goes away: what is not on the shelf yet is left where the next page finds it. */
  #lastCall(): void {
    const left = [...this.#pending.values()].filter((write) => write.seq < 0)
    leaveOver(left.map(({ seq: _, keptHere: __, ...write }) => write))
    // Nothing stands before them: they may as well go now. Sent twice they count once.
    if (left.length === this.#pending.size) for (const write of left) void post(write, deviceBook.mark)
  }

  /** Reads what waits from the shelf, which other tabs fill too. */
  async refresh(): Promise<void> {
    try {
      const moves = this.#moves
      const shelves = (await deviceStore()).transaction(['outbox', 'refused'])
      const [shelf, refused] = await Promise.all([shelves.objectStore('outbox').getAll() as Promise<WaitingWrite[]>, shelves.objectStore('refused').getAll()])
      // This tab put something on the shelf, or took it off, meanwhile: what was read is of before.
      if (moves !== this.#moves) return await this.refresh()
      const here = new Map<number, Pending>()
      for (const write of shelf) {
        here.set(write.seq, { ...write, keptHere: this.#pending.get(write.seq)?.keptHere ?? !this.#awaited.has(write.id) })
        this.#own.add(write.id)
      }
      // What is on its way to the shelf, and what the shelf would not take, is only here.
      for (const write of this.#pending.values()) if (write.seq < 0 && ![...here.values()].some((each) => each.id === write.id)) here.set(write.seq, write)
      this.#refused = refused
      this.#letGoOfGone(here)
      this.#pending = here
    } catch (error) {
      this.#cannotKeep = whyNot(error)
    }
    this.#tell()
  }

  /** What stood on the shelf and is gone was settled by another tab: nobody waits for it for ever. */
  #letGoOfGone(here: ReadonlyMap<number, Pending>): void {
    for (const write of this.#pending.values()) {
      if (this.#leaving.has(write.id) || here.has(write.seq) || [...here.values()].some((each) => each.id === write.id)) continue
      const refused = this.#refused.find((each) => each.id === write.id)
      this.#awaited.get(write.id)?.(refused ? { kind: 'refused', status: refused.problem.status ?? 400, data: refused.problem } : { kind: 'kept-here' })
      this.#awaited.delete(write.id)
    }
  }

  /** Keeps a write and sends it, and everything before it. Shown at once; resolves once it is known what became of it. */
  async write(endpoint: string, arg: unknown, request: WriteRequest): Promise<Sent> {
    const write: Omit<WaitingWrite, 'seq'> = {
      shape: SHAPE,
      id: uuid(),
      book: deviceBook.mark,
      endpoint,
      arg,
      request,
      at: new Date().toISOString(),
      skewMs: deviceBook.skewMs,
    }
    this.#own.add(write.id)
    const sent = new Promise<Sent>((resolve) => this.#awaited.set(write.id, resolve))
    // Shown in the same frame, before any shelf has answered.
    const place = -(this.#unshelved += 1)
    this.#pending.set(place, { ...write, seq: place, keptHere: false })
    this.#tell()
    const seq = await this.#shelve(write, place)
    if (!this.#reached && seq > 0) this.#keptHere(write.id)
    else {
      const timer = setTimeout(() => this.#keptHere(write.id), this.patienceMs)
      void sent.finally(() => clearTimeout(timer))
    }
    void this.drain()
    return sent
  }

  /** Puts a write on the shelf; where the device keeps nothing it stays in this page. */
  async #shelve(write: Omit<WaitingWrite, 'seq'>, place?: number): Promise<number> {
    try {
      const db = await deviceStore()
      // Strict: "kept here" means on the disk, also when the battery goes flat.
      const shelf = db.transaction('outbox', 'readwrite', { durability: 'strict' })
      const [seq] = await Promise.all([shelf.store.add(write), shelf.done])
      this.#cannotKeep = null
      this.#moves += 1
      if (place !== undefined) {
        const keptHere = this.#pending.get(place)?.keptHere ?? false
        if (this.#pending.delete(place)) this.#pending.set(seq, { ...write, seq, keptHere })
      }
      this.#say({ said: 'added' })
      return seq
    } catch (error) {
      this.#cannotKeep = whyNot(error)
      this.#tell()
      return place ?? 0
    }
  }

  #keptHere(id: string): void {
    const awaited = this.#awaited.get(id)
    if (!awaited) return
    for (const write of this.#pending.values()) if (write.id === id) write.keptHere = true
    this.#awaited.delete(id)
    awaited({ kind: 'kept-here' })
    this.#tell()
  }

  #soon(): void {
    this.#tries = 0
    if (this.#timer) clearTimeout(this.#timer)
    this.#timer = null
    void this.drain()
  }

  /** Sends what waits, in order, until it is empty or the server is gone. Asked for in the middle of a drain, one more follows it. */
  drain(): Promise<void> {
    if (this.#draining) {
      this.#again = true
      return this.#draining
    }
    // Asked anew each time: a write may come while another is sent.
    const more = (): boolean => this.#again && this.#reached
    const draining = this.#locked(async () => {
      do {
        this.#again = false
        await this.#sendAll()
      } while (more())
    }).finally(() => {
      if (this.#draining !== draining) return
      this.#draining = null
      if (this.#again && this.#reached) void this.drain()
    })
    this.#draining = draining
    return draining
  }

  /** Was everything begun anew since? */
  #isOver(life: number): boolean {
    return life !== this.#life
  }

  async #locked(work: () => Promise<void>): Promise<void> {
    // Locks exist on secure addresses alone; elsewhere a lease on the device's own shelf stands in.
    if ('locks' in navigator) await navigator.locks.request('merry-tailor-outbox', work)
    else await whileLeased('outbox', work)
  }

  async #sendAll(): Promise<void> {
    const sent = new Set<string>()
    const life = this.#life
    for (;;) {
      await this.refresh()
      if (this.#isOver(life)) return
      const next = this.#sendable().find((write) => !sent.has(write.id))
      if (!next) return
      sent.add(next.id)
      const posted = await post(next, next.book ?? deviceBook.mark)
      if (this.#isOver(life) || !(await this.#take(next, posted))) return
    }
  }

  /** What may be sent now, in order: on the shelf (where there is one), of this book, and not held back by something refused. */
  #sendable(): Pending[] {
    if (deviceBook.other) return []
    const writes = this.#inOrder().filter((write) => (write.seq > 0 || this.#cannotKeep !== null) && isOfBook(write.book, deviceBook.mark))
    const held = heldBack(writes, this.#refused)
    return writes.filter((write) => !held.has(write.seq))
  }

  #inOrder(): Pending[] {
    const shelved = [...this.#pending.values()].filter((write) => write.seq > 0).sort((a, b) => a.seq - b.seq)
    const not = [...this.#pending.values()].filter((write) => write.seq <= 0).sort((a, b) => b.seq - a.seq)
    return [...shelved, ...not]
  }

  /** @returns whether the next may be sent */
  async #take(write: Pending, posted: Posted): Promise<boolean> {
    if (posted.kind === 'away') {
      this.#why = posted.why
      this.#gone()
      return false
    }
    this.#back()
    if (!deviceBook.hear(posted.told) || posted.kind === 'other-book') return false
    this.#why = null
    const arrived: Arrived | null =
      posted.kind === 'sent'
        ? { id: write.id, endpoint: write.endpoint, arg: write.arg, seq: posted.told.seq, book: { book: posted.told.book, epoch: posted.told.epoch } }
        : null
    const sent: Sent = posted.kind === 'sent' ? { kind: 'sent', data: posted.data } : { kind: 'refused', status: posted.status, data: posted.data }
    this.#leaving.add(write.id)
    await this.#takeOff(write, posted)
    this.#leaving.delete(write.id)
    this.#settle(write.seq, sent, arrived)
    this.#say({ said: 'settled', seq: write.seq, sent, arrived })
    return true
  }

  /** Off the shelf it goes, and onto the other where nobody waits for the refusal: in one transaction. */
  async #takeOff(write: Pending, posted: Posted): Promise<void> {
    try {
      const db = await deviceStore()
      const shelves = db.transaction(['outbox', 'refused'], 'readwrite')
      const { keptHere: _, ...plain } = write
      if (posted.kind === 'refused' && !this.#awaited.has(write.id)) await shelves.objectStore('refused').put({ ...plain, problem: posted.data })
      if (write.seq > 0) await shelves.objectStore('outbox').delete(write.seq)
      await shelves.done
      this.#refused = await db.getAll('refused')
    } catch (error) {
      // Sent again after the next start it still counts once.
      this.#cannotKeep = whyNot(error)
    }
  }

  /** The end of a write is known: shown no more as waiting, and whoever waits is told. */
  #settle(seq: number, sent: Sent, arrived: Arrived | null): void {
    const write = this.#pending.get(seq)
    this.#moves += 1
    this.#pending.delete(seq)
    const id = write?.id ?? arrived?.id
    const awaited = id === undefined ? undefined : this.#awaited.get(id)
    if (id !== undefined) this.#awaited.delete(id)
    if (arrived) {
      this.#own.add(arrived.id)
      this.#savedAt = new Date().toISOString()
      for (const listener of this.#arrivals) listener([arrived], awaited === undefined)
    }
    this.#tell()
    awaited?.(sent)
  }

  /** The server answered a question, or did not: waiting writes go out when it is back. */
  reached(yes: boolean): void {
    if (yes) this.#back()
    else this.#gone()
  }

  #back(): void {
    this.#tries = 0
    if (this.#reached) return
    this.#reached = true
    this.#tell()
    void this.drain()
  }

  #gone(): void {
    // What is not on the shelf yet is said to be kept once it is.
    for (const write of [...this.#pending.values()]) if (write.seq > 0 || this.#cannotKeep !== null) this.#keptHere(write.id)
    if (this.#reached) {
      this.#reached = false
      this.#tell()
    }
    if (this.#timer) return
    const pause = PAUSES_MS[Math.min(this.#tries, PAUSES_MS.length - 1)] ?? 30_000
    this.#tries += 1
    this.#timer = setTimeout(() => {
      this.#timer = null
      void this.drain()
    }, pause)
  }

  /** Decides on a refused write: sends it once more under a new id, in its old place and changed where that was chosen, or drops it and what hangs on it. */
  async decide(seq: number, again: WriteRequest | null): Promise<void> {
    const db = await deviceStore()
    const shelves = db.transaction(['outbox', 'refused'], 'readwrite')
    const [outbox, refused] = [shelves.objectStore('outbox'), shelves.objectStore('refused')]
    const write = await refused.get(seq)
    if (write) {
      const { problem: _, ...plain } = write
      // Put where it goes before it is taken from where it was: a full disk in between leaves it there.
      if (again) await outbox.put({ ...plain, id: uuid(), request: again })
      await refused.delete(seq)
      if (!again) {
        const waiting = (await outbox.getAll()) as WaitingWrite[]
        for (const [held] of heldBack(waiting, [write])) if (this.#isLost(waiting, write, held)) await outbox.delete(held)
      }
    }
    await shelves.done
    await this.refresh()
    this.#say({ said: 'decided' })
    await this.drain()
  }

  /** Does a held write need a record that now will never be made? */
  #isLost(waiting: readonly WaitingWrite[], dropped: RefusedWrite, held: number): boolean {
    const changesOnly = heldBack(waiting, [{ ...dropped, endpoint: 'changeDog', arg: { id: 'none', changes: [] } }])
    return !changesOnly.has(held) && /^(add|act|take)/.test(dropped.endpoint) && !/^change/.test(dropped.endpoint)
  }

  /** Takes over what waits for another book, or for this one as it was, under the book this device works with now. */
  async takeOver(): Promise<void> {
    const db = await deviceStore()
    const shelf = db.transaction('outbox', 'readwrite')
    for (const write of (await shelf.store.getAll()) as WaitingWrite[]) {
      if (write.book?.book === deviceBook.mark?.book) await shelf.store.put({ ...write, book: deviceBook.mark })
    }
    await shelf.done
    await this.refresh()
    void this.drain()
  }

  /** How it stands; the very same object until something changes. */
  get state(): OutboxState {
    return (this.#state ??= this.#makeState())
  }

  #state: OutboxState | null = null
  #makeState(): OutboxState {
    const { mark } = deviceBook
    const all = this.#inOrder()
    const writes = all.filter((write) => isOfBook(write.book, mark))
    const held: Record<number, number> = {}
    for (const blame of heldBack(writes, this.#refused).values()) held[blame] = (held[blame] ?? 0) + 1
    return {
      writes,
      waiting: writes.filter((write) => write.keptHere).length,
      elsewhere: all.length - writes.length,
      refused: this.#refused,
      held,
      reached: this.#reached,
      why: this.#why,
      savedAt: this.#savedAt,
      cannotKeep: this.#cannotKeep,
    }
  }

  #tell(): void {
    this.#state = this.#makeState()
    const state = this.#state
    for (const listener of this.#states) listener(state)
  }

  /** As at the first start: for tests. */
  forget(): void {
    if (this.#timer) clearTimeout(this.#timer)
    this.#timer = null
    this.#life += 1
    this.#draining = null
    this.#again = false
    this.#pending.clear()
    this.#refused = []
    this.#awaited.clear()
    this.#reached = true
    this.#tries = 0
    this.#why = null
    this.#savedAt = null
    this.#tell()
  }
}

/** Why the device keeps nothing, in plain words. */
function whyNot(error: unknown): string {
  const name = (error as { name?: string }).name ?? ''
  return name === 'QuotaExceededError' ? 'its disk is full' : 'its storage is closed'
}

export const outbox = new Outbox()
