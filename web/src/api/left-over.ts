import type { WaitingWrite } from './kept'

const KEY = 'merry-tailor-left-over'

/** Writes that were not on the shelf yet when the page went: put where putting takes no time, and taken up at the next start. */
export function leaveOver(writes: readonly Omit<WaitingWrite, 'seq'>[]): void {
  if (writes.length === 0) return
  try {
    const before = JSON.parse(localStorage.getItem(KEY) ?? '[]') as unknown[]
    localStorage.setItem(KEY, JSON.stringify([...before, ...writes]))
  } catch {
    // A device that keeps nothing: the last call over the network is all there is.
  }
}

/** What was left over, once. */
export function takeLeftOver(): Omit<WaitingWrite, 'seq'>[] {
  try {
    const left = JSON.parse(localStorage.getItem(KEY) ?? '[]') as Omit<WaitingWrite, 'seq'>[]
    localStorage.removeItem(KEY)
    return left
  } catch {
    return []
  }
}
