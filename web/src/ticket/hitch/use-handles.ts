import { useRef, useState } from 'react'
import type { DraftState } from './draft-now'

/** What is moved on the drawing. */
export type HandleId = `load ${number}` | 'loop' | 'hitch' | 'left' | 'right'

/** What a handle needs to be one. */
interface HandleProps {
  inHand: boolean
  onGrab: () => void
  onMove: (alongMm: number, upMm: number) => void
  onDrop: () => void
}

export interface Handles {
  inHand: HandleId | null
  /** The set-up as it was when the handle in hand was taken; `null` when none was moved. */
  from: DraftState | null
  of: (id: HandleId) => HandleProps
  take: (id: HandleId) => void
}

/**
 * One handle in hand at a time; what it moves is told from where it was taken.
 *
 * @param moved the set-up with a handle so far from where it was
 */
export function useHandles(
  state: DraftState,
  onState: (next: DraftState) => void,
  moved: (from: DraftState, id: HandleId, along: number, up: number) => DraftState,
): Handles {
  const [inHand, setInHand] = useState<HandleId | null>(null)
  const [from, setFrom] = useState<DraftState | null>(null)
  const taken = useRef<DraftState>(state)
  return {
    inHand,
    from,
    take: setInHand,
    of: (id) => ({
      inHand: inHand === id,
      onGrab: () => {
        taken.current = state
        setInHand(id)
        setFrom(null)
      },
      onMove: (along, up) => {
        setFrom(along === 0 && up === 0 ? null : taken.current)
        onState(moved(taken.current, id, along, up))
      },
      onDrop: () => setFrom(null),
    }),
  }
}
