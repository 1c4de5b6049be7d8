import type { FastifyInstance, FastifyRequest } from 'fastify'
import type { ZodTypeProvider } from 'fastify-type-provider-zod'
import { randomUUID } from 'node:crypto'
import type { Db } from '../db/open.ts'
import { answeredBefore, keepAnswer } from '../db/writes.ts'
import { ProblemError, problemOf } from '../problems.ts'
import type { Desk } from '../desk.ts'
import { newsOf } from '../news.ts'

/** A file of routes: one resource, on the app and its desk. */
export type Routes = (app: FastifyInstance, desk: Desk) => void

export const typed = (app: FastifyInstance) => app.withTypeProvider<ZodTypeProvider>()

/** The id a write was given at the keystroke; whoever gives none gets one here, and can't send it again. */
export const writeId = (request: FastifyRequest): string | undefined => {
  const given = request.headers['merry-write']
  return typeof given === 'string' ? given : undefined
}

/** A write that was answered before: whoever runs into it in the middle of a request gives the stored answer. */
export class AnsweredBefore extends Error {
  readonly status: number
  readonly answer: unknown
  constructor(status: number, answer: unknown) {
    super('answered before')
    this.status = status
    this.answer = answer
  }
}

/** Tries while somebody else holds the file, ms: others are let through in between. */
const PAUSES_MS = [20, 40, 80, 160, 320]
const isBusy = (error: unknown): boolean => (error as { code?: string }).code?.startsWith('SQLITE_BUSY') === true

/**
 * Runs one writing request as one transaction that takes the write lock at once, and keeps its answer with it: the same
 * write again gives the same answer, a refusal as well, whatever happened since. What broke (5xx) is never kept.
 */
export function once<T>(desk: Desk, request: FastifyRequest, write: () => T): T | Promise<T> {
  try {
    return onceNow(desk, request, write)
  } catch (error) {
    if (!isBusy(error)) throw error
    return onceLater(desk, request, write)
  }
}

async function onceLater<T>(desk: Desk, request: FastifyRequest, write: () => T): Promise<T> {
  for (const pause of PAUSES_MS) {
    await new Promise((resolve) => setTimeout(resolve, pause))
    try {
      return onceNow(desk, request, write)
    } catch (error) {
      if (!isBusy(error)) throw error
    }
  }
  return onceNow(desk, request, write)
}

/** The one dog a request is about; a list of many is about none, and so is one dog in two records. */
const dogOf = (request: FastifyRequest): string | null =>
  /^\/api\/dogs\/(?![^/]+\/joins\/)/.test(request.url) ? ((request.params as { id?: string }).id ?? null) : null

/** A book's transaction, made once: it takes the write lock at once. */
const locks = new WeakMap<Db, (work: () => unknown) => unknown>()
function locked<T>(db: Db, work: () => T): T {
  let lock = locks.get(db)
  if (!lock) {
    const transaction = db.transaction((each: () => unknown) => each())
    lock = (each) => transaction.immediate(each)
    locks.set(db, lock)
  }
  return lock(work) as T
}

function unlessKnown(db: Db, id: string): void {
  const known = answeredBefore(db, id)
  if (known) throw new AnsweredBefore(known.status, known.answer)
}

function onceNow<T>({ db, head, news, day, now }: Desk, request: FastifyRequest, write: () => T): T {
  const given = writeId(request)
  const id = given ?? randomUUID()
  let answer: T
  try {
    answer = locked(db, () => {
      if (given !== undefined) unlessKnown(db, id)
      const made = write()
      head.seq = keepAnswer(db, id, now(), { status: 200, answer: made })
      return made
    })
  } catch (error) {
    if (!(error instanceof ProblemError) || problemOf(error).status >= 500) throw error
    // What the refused write began is rolled back; that it was refused is kept by itself.
    locked(db, () => {
      unlessKnown(db, id)
      head.seq = keepAnswer(db, id, now(), { status: problemOf(error).status, answer: problemOf(error) })
    })
    throw error
  }
  const told = newsOf(head.seq, id, request)
  news.add(told)
  day.hear(told, dogOf(request))
  return answer
}

/**
 * Keeps a refusal that came before the request reached its handler: what can't be read. Where the file takes nothing just
 * now it is answered all the same, and worked out anew when it is asked again.
 */
export function keepRefusal({ db, head, now }: Desk, request: FastifyRequest, error: ProblemError): void {
  const id = writeId(request)
  const problem = problemOf(error)
  if (id === undefined || problem.status >= 500) return
  try {
    if (!answeredBefore(db, id)) head.seq = locked(db, () => keepAnswer(db, id, now(), { status: problem.status, answer: problem }))
  } catch (error) {
    if ((error as { code?: string }).code?.startsWith('SQLITE_') !== true) throw error
  }
}
