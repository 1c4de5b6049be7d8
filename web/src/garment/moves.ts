import type { GarmentPlan } from '@merry-tailor/core'

type Moves = NonNullable<GarmentPlan['moves']>
export type Move = Moves[number]
interface Edge {
  piece: string
  edge: string
}

const isAt =
  ({ piece, edge }: Edge) =>
  (each: Edge): boolean =>
    each.piece === piece && each.edge === edge
const isNothing = ({ mm }: Move): boolean => Math.abs(mm) < 0.05

/** How far an edge stands from where it was drafted: the hand’s move and every pin together. */
export function moveOf(moves: Moves | undefined, own: Edge): Move | undefined {
  const all = (moves ?? []).filter(isAt(own))
  const last = all.at(-1)
  return last && { ...last, mm: all.reduce((sum, { mm }) => sum + mm, 0) }
}

/** An edge moved by hand so that it stands there in all; what was pinned stays pinned. */
export function withMove(moves: Moves | undefined, move: Move): Moves {
  const pinned = (moves ?? []).filter((each) => isAt(move)(each) && each.round !== undefined).reduce((sum, { mm }) => sum + mm, 0)
  const { round: _, ...bare } = move
  const hand = { ...bare, mm: move.mm - pinned }
  return [...(moves ?? []).filter((each) => !isAt(move)(each) || each.round !== undefined), ...(isNothing(hand) ? [] : [hand])]
}

/** What was pinned at one place of one round: said again it is said anew, another round’s adds to it. */
export function withPin(moves: Moves | undefined, pin: Move & { round: string }): Moves {
  return [...(moves ?? []).filter((each) => !isAt(pin)(each) || each.round !== pin.round), ...(isNothing(pin) ? [] : [pin])]
}
