import type { Foretold, PredictedCheck, StrapId } from '@merry-tailor/core'
import { createContext, use } from 'react'
import type { LaidState } from '../../bench'

/** One way to get it, and what is foretold of it. */
export interface LaidWay {
  label: string
  foretold: Foretold
}

export interface LaidWays {
  /** The size in hand, the next, a piece of ours and one made to measure, of which anything can be foretold. */
  ways: readonly LaidWay[]
  /** The size in hand as it is shown, with straps drawn by hand or not, and as it has its straps itself. */
  shown: Foretold | null
  own: Foretold | null
  /** Nothing is answered yet. */
  isAsking: boolean
  state: LaidState
  /** It is judged by its pull. */
  pulls: boolean
  riseRad: number
  setState: (state: LaidState) => void
  /** A strap is drawn longer or shorter, mm; its own lengths come back. */
  onStrap: (id: StrapId, mm: number) => void
  onReset: () => void
}

export const LaidWaysContext = createContext<LaidWays | null>(null)

/** What is foretold of the ways to get the item in hand. */
export function useLaidWays(): LaidWays {
  const ways = use(LaidWaysContext)
  if (!ways) throw new Error('nothing is laid here')
  return ways
}

/** Checks that say something in a state, in the order of their numbers; one foretold in both is shown in each. */
export const rowsIn = (checks: readonly PredictedCheck[], state: LaidState, pulls: boolean): PredictedCheck[] =>
  checks.filter((row) => row.grade !== 'none' && (row.state === state || (row.state === 'moving' && (state === 'pulling') === pulls)))
