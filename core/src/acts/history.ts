import type { Act, Signed } from './act.ts'
import { againOf, inverseOf } from './kinds.ts'

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

/**
 * Takes the newest act back.
 *
 * @returns the act to send and the history after it, or `null` when there is nothing to take back
 */
export function undo(history: History, signed: Signed): { act: Act; history: History } | null {
  const last = history.done.at(-1)
  if (!last) return null
  return { act: inverseOf(last, signed), history: { done: history.done.slice(0, -1), undone: [...history.undone, last] } }
}

/** Does the newest act taken back once more. */
export function redo(history: History, signed: Signed): { act: Act; history: History } | null {
  const last = history.undone.at(-1)
  if (!last) return null
  return { act: againOf(last, signed), history: { done: [...history.done, last], undone: history.undone.slice(0, -1) } }
}
