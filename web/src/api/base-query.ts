import type { BaseQueryFn, FetchBaseQueryError } from '@reduxjs/toolkit/query'
import { whoIsAsked } from './access'
import { deviceBook, isOfBook } from './book-mark'
import { deviceStore } from './device-store'
import { asToday } from './of-before'
import { SHAPE, type BookMark, type KeptAnswer, type WriteRequest } from './kept'
import type { NamedWrite } from './named-writes'
import { outbox, type Arrived } from './outbox'
import { meant, TIMEOUT_MS, toldBy } from './post'
import { withWrites } from './recipes'

/** A question by its path, or a write with its name. `arg` lets a late answer find its place. */
export type Request = { ask: string; arg: unknown } | (WriteRequest & { endpoint: string; arg: unknown })

/** So long a question waits before the last answer is shown in its stead; the new one comes in when it comes. */
const PATIENCE_MS = 1000

/** Answers worth keeping for when the server is gone; searches and reminders of a day are not. */
const isKept = (path: string): boolean => !/^\/(find|news|copies|dogs\/page\?search)/.test(path)

type Answer = { data: unknown } | { error: FetchBaseQueryError }

/** How many writes each shown answer has in it, by its question. */
const seqOf = new Map<string, { seq: number; book: BookMark }>()
/** The newest writes that arrived: an answer that left before one of them gets it done over it. */
const arrivals: Arrived[] = []
const REMEMBERED = 400
outbox.onArrived((arrived) => {
  arrivals.push(...arrived)
  arrivals.splice(0, Math.max(0, arrivals.length - REMEMBERED))
})

/** Has the shown answer to a question this write in it already? */
export function isIn(path: string, write: Pick<Arrived, 'seq' | 'book'>): boolean {
  const shown = seqOf.get(path)
  return shown !== undefined && isOfBook(shown.book, write.book) && shown.seq >= write.seq
}

async function keptAnswer(path: string): Promise<unknown> {
  try {
    const kept = await (await deviceStore()).get('kept', path)
    return kept && kept.shape === SHAPE && isOfBook(kept.book, deviceBook.mark) ? asToday(path, kept.data) : undefined
  } catch {
    return undefined
  }
}

function keepCopy(path: string, data: unknown, seq: number): void {
  if (!isKept(path)) return
  const kept: KeptAnswer = { shape: SHAPE, book: deviceBook.mark, seq, at: new Date().toISOString(), data }
  void deviceStore()
    .then((db) => db.put('kept', kept, path))
    .catch(() => undefined)
}

const away: FetchBaseQueryError = { status: 'FETCH_ERROR', error: 'the server does not answer' }

/** Asks the server. What comes from anybody else, or of another book, is no answer. */
async function fetched(path: string): Promise<Answer | null> {
  const answer = await fetch(`/api${path}`, { headers: meant(deviceBook.mark), signal: AbortSignal.timeout(TIMEOUT_MS) }).catch(() => null)
  const told = answer && toldBy(answer.headers)
  if (answer?.status === 401) whoIsAsked()
  if (!answer || !told) {
    outbox.reached(false)
    return null
  }
  const data: unknown = await answer.json().catch(() => undefined)
  const ours = deviceBook.hear(told)
  outbox.reached(true)
  if (!ours || (data as { code?: string } | undefined)?.code === 'other-book') return { error: { status: 'CUSTOM_ERROR', error: 'other-book' } }
  if (answer.status === 503 || data === undefined) return null
  if (!answer.ok) return { error: { status: answer.status, data } }
  const since = arrivals.filter((write) => write.seq > told.seq && isOfBook(write.book, told))
  const here = withWrites(path, data, since)
  seqOf.set(path, { seq: Math.max(told.seq, ...since.map((write) => write.seq)), book: { book: told.book, epoch: told.epoch } })
  keepCopy(path, here, told.seq)
  return { data: here }
}

/** A record that so far is only here is no error. */
const isOnlyHere = (path: string, writes: readonly NamedWrite[]): boolean => withWrites(path, null, writes) !== null

async function ask(path: string, late: (data: unknown) => void): Promise<Answer> {
  const here = (answer: Answer | null): Answer => {
    if (answer && !('error' in answer && answer.error.status === 404)) return answer
    return isOnlyHere(path, outbox.state.writes) ? { data: null } : (answer ?? { error: away })
  }
  const question = fetched(path)
  const lateIn = (): void =>
    void question.then((answer) => {
      if (answer && 'data' in answer) late(answer.data)
    })
  if (!outbox.isReached) {
    // Known to be away: what is kept is shown at once, and the answer comes in when there is one.
    const kept = await keptAnswer(path)
    if (kept !== undefined) {
      lateIn()
      return { data: kept }
    }
    if (isOnlyHere(path, outbox.state.writes)) return { data: null }
  }
  const first = await Promise.race([question, new Promise<'slow'>((resolve) => setTimeout(() => resolve('slow'), PATIENCE_MS))])
  if (first !== 'slow' && first !== null) return here(first)
  const kept = await keptAnswer(path)
  if (kept !== undefined) {
    if (first === 'slow') lateIn()
    return { data: kept }
  }
  return here(first === 'slow' ? await question : null)
}

/** Told of an answer that came after its question had been answered from what is kept. */
let onLate: (endpoint: string, arg: unknown, data: unknown) => void = () => undefined
export const tellLate = (listener: typeof onLate): void => void (onLate = listener)

/**
 * Questions go to the server, or to the last copy of its answer when it is gone; writes go through the outbox. A write
 * that waits is a success: it is kept, and the strip says so.
 */
export const baseQuery: BaseQueryFn<Request, unknown, FetchBaseQueryError> = async (request, { endpoint: asked }) => {
  if ('ask' in request) return ask(request.ask, (data) => onLate(asked, request.arg, data))
  const { endpoint, arg, ...write } = request
  const sent = await outbox.write(endpoint, arg, write)
  if (sent.kind === 'refused') return { error: { status: sent.status, data: sent.data } }
  return { data: sent.kind === 'sent' ? sent.data : null, meta: { keptHere: sent.kind === 'kept-here' } }
}
