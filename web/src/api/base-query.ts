import type { BaseQueryFn, FetchBaseQueryError } from '@reduxjs/toolkit/query'
import type { TicketSheet } from '@merry-tailor/core'
import { deviceStore, type WaitingWrite, type WriteRequest } from './device-store'
import { filledUp } from './kept-copies'
import { outbox } from './outbox'
import { withWaiting } from './recipes'

export type Request = string | (WriteRequest & { endpoint: string; arg: unknown })

const TIMEOUT_MS = 15_000
const GONE = new Set([502, 503, 504])

/** Answers worth keeping for when the server is gone; searches and reminders of a day are not. */
const isKept = (path: string): boolean => !path.startsWith('/find') && !path.startsWith('/reminders')

async function keptCopy(path: string): Promise<unknown> {
  const db = await deviceStore()
  const copy = await db.get('kept', path)
  if (copy !== undefined) return copy
  const id = /^\/tickets\/([0-9a-f-]+)$/.exec(path)?.[1]
  if (!id) return null
  const open = ((await db.get('kept', '/tickets?state=open')) ?? []) as TicketSheet[]
  return open.find((sheet) => sheet.ticket.id === id) ?? null
}

/** Those of `before` that no server refused meanwhile. */
async function notRefused(before: readonly WaitingWrite[]): Promise<readonly WaitingWrite[]> {
  if (before.length === 0) return before
  const refused = new Set((await (await deviceStore()).getAll('refused')).map((write) => write.seq))
  return before.filter((write) => !refused.has(write.seq))
}

async function ask(path: string): Promise<{ data: unknown } | { error: FetchBaseQueryError }> {
  // What waits or is begun while the question is out may be on its way in while the answer is on its way out. Done over
  // an answer that has it already it changes nothing.
  const witness = outbox.witness()
  try {
    const before = await outbox.waiting()
    const answer = await fetch(`/api${path}`, { signal: AbortSignal.timeout(TIMEOUT_MS) }).catch(() => null)
    if (answer === null || GONE.has(answer.status)) {
      outbox.reached(false)
      const kept = filledUp(path, await keptCopy(path))
      const now = await outbox.waiting()
      const copy = withWaiting(path, kept, [...now, ...witness.writes])
      return copy === null ? { error: { status: 'FETCH_ERROR', error: 'the server does not answer' } } : { data: copy }
    }
    outbox.reached(true)
    const data: unknown = await answer.json().catch(() => null)
    const passed = await notRefused(before)
    const now = await outbox.waiting()
    if (!answer.ok) {
      // A ticket that waits here to be made is none yet over there.
      const here = answer.status === 404 ? withWaiting(path, null, [...now, ...witness.writes]) : null
      return here === null ? { error: { status: answer.status, data } } : { data: here }
    }
    const here = withWaiting(path, data, [...passed, ...now, ...witness.writes])
    if (isKept(path)) void deviceStore().then((db) => db.put('kept', here, path))
    return { data: here }
  } finally {
    witness.end()
  }
}

/**
 * Questions go to the server, or to the last copy of its answer when it is gone; writes go through the outbox. A write
 * that waits is a success: it is kept, and the strip says so.
 */
export const baseQuery: BaseQueryFn<Request, unknown, FetchBaseQueryError> = async (request) => {
  if (typeof request === 'string') return ask(request)
  const { endpoint, arg, ...write } = request
  const sent = await outbox.write(endpoint, arg, write)
  if (sent.kind === 'refused') return { error: { status: sent.status, data: sent.data } }
  return { data: sent.kind === 'sent' ? sent.data : null, meta: { keptHere: sent.kind === 'kept-here' } }
}
