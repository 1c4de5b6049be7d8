import type { Problem } from '@merry-tailor/core'
import { whoIsAsked } from './access'
import type { BookMark, WaitingWrite, WriteRequest } from './kept'

/** What a server said beside its answer: which book, how many writes it has taken, its clock. */
export interface Told extends BookMark {
  seq: number
  at: string
}

/** What became of one sending. `away`: nobody answered who is our server, or it cannot keep anything just now. */
export type Posted =
  | { kind: 'sent'; data: unknown; told: Told }
  | { kind: 'refused'; status: number; data: Partial<Problem>; told: Told }
  | { kind: 'other-book'; told: Told }
  | { kind: 'away'; why: string }

/** How long one request may take before the server counts as gone. */
export const TIMEOUT_MS = 10_000

/** What our server says with every answer; `null` when it was not ours that answered. */
export function toldBy(headers: Headers): Told | null {
  const [book, epoch, seq, at] = ['merry-book', 'merry-epoch', 'merry-seq', 'merry-time'].map((name) => headers.get(name))
  return book && epoch && seq && at ? { book, epoch: Number(epoch), seq: Number(seq), at } : null
}

/** Headers that say which book is meant. */
export const meant = (book: BookMark | null): Record<string, string> => (book ? { 'merry-book': book.book, 'merry-epoch': String(book.epoch) } : {})

function callOf({ method, body }: WriteRequest): RequestInit {
  if (body === undefined) return { method }
  if (typeof Blob !== 'undefined' && body instanceof Blob) return { method, headers: { 'content-type': body.type }, body }
  return { method, headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) }
}

/**
 * Sends one write under its id. Only an answer that names the id is one: a page of some network between, another
 * program on the port, a body that cannot be read and a server that broke leave the write where it is.
 */
export async function post(write: Pick<WaitingWrite, 'id' | 'request'>, book: BookMark | null): Promise<Posted> {
  const call = callOf(write.request)
  let answer: Response
  try {
    answer = await fetch(`/api${write.request.url}`, {
      ...call,
      headers: { ...(call.headers as Record<string, string> | undefined), 'merry-write': write.id, ...meant(book) },
      signal: AbortSignal.timeout(TIMEOUT_MS),
    })
  } catch {
    return { kind: 'away', why: 'The server does not answer.' }
  }
  if (answer.status === 401) {
    whoIsAsked()
    return { kind: 'away', why: 'The shop asks for its passphrase.' }
  }
  const told = toldBy(answer.headers)
  if (!told) return { kind: 'away', why: 'Something else answers in the server’s place.' }
  const data = (await answer.json().catch(() => undefined)) as Partial<Problem> | undefined
  if (data?.code === 'other-book') return { kind: 'other-book', told }
  if (answer.status >= 500) return { kind: 'away', why: data?.detail ?? 'The server broke over it; it is tried again.' }
  if (answer.headers.get('merry-write') !== write.id || data === undefined) return { kind: 'away', why: 'Something else answers in the server’s place.' }
  return answer.ok ? { kind: 'sent', data, told } : { kind: 'refused', status: answer.status, data, told }
}
