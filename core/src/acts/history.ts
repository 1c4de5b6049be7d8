import type { MarkedKind } from '../model/index.ts'
import type { Act } from './apply-act.ts'

/** Who takes back or does again, when, and the new mark's id. */
export interface Signed {
  id: string
  at: string
  by: string
}

/** What one device did on one ticket, newest last, and what of it was taken back. */
export interface History {
  done: Act[]
  undone: Act[]
}

export const NO_HISTORY: History = { done: [], undone: [] }

/** As far back as anybody remembers. */
const DEPTH = 200

/** An act was done: it can be taken back, and what was taken back before can no longer be done again. */
export const didAct = (history: History, act: Act): History => ({ done: [...history.done, act].slice(-DEPTH), undone: [] })

const WHAT: Readonly<Record<'read' | 'acknowledge' | 'write-down', MarkedKind>> = {
  read: 'reading',
  acknowledge: 'acknowledgement',
  'write-down': 'as-written',
}

/** The act that takes `act` back: facts stay and are struck, marks are answered by their opposite, fields go back. */
function inverse(act: Act, { id, at, by }: Signed): Act {
  switch (act.act) {
    case 'mark': {
      const kind = act.body.kind === 'struck' ? 'restored' : 'struck'
      return { act: 'mark', id, body: { ...act.body, kind, why: kind === 'restored' ? 'Put back' : 'Taken back', at, by } }
    }
    case 'change':
      return { act: 'change', changes: act.changes.map(({ field, from, to }) => ({ field, from: to, to: from })) }
    case 'answer':
      // An answer counts as long as its reading does.
      return { act: 'mark', id, body: { what: 'reading', about: act.body.readingId, kind: 'struck', why: 'Answer taken back', at, by } }
    default:
      return { act: 'mark', id, body: { what: WHAT[act.act], about: act.id, kind: 'struck', why: 'Unpinned', at, by } }
  }
}

/** The act that does again what `undo` took back. */
function again(act: Act, signed: Signed): Act {
  if (act.act === 'change') return act
  if (act.act === 'mark') return { act: 'mark', id: signed.id, body: { ...act.body, at: signed.at, by: signed.by } }
  const back = inverse(act, signed)
  return back.act === 'mark' ? { ...back, body: { ...back.body, kind: 'restored', why: 'Done again' } } : back
}

/**
 * Takes the newest act back.
 *
 * @returns the act to send and the history after it, or `null` when there is nothing to take back
 */
export function undo(history: History, signed: Signed): { act: Act; history: History } | null {
  const last = history.done.at(-1)
  if (!last) return null
  return { act: inverse(last, signed), history: { done: history.done.slice(0, -1), undone: [...history.undone, last] } }
}

/** Does the newest act taken back once more. */
export function redo(history: History, signed: Signed): { act: Act; history: History } | null {
  const last = history.undone.at(-1)
  if (!last) return null
  return { act: again(last, signed), history: { done: [...history.done, last], undone: history.undone.slice(0, -1) } }
}
