/** Both readings of a tape in a row, or one round of all tapes, a rest, and the second round backwards (handbook 4.6). */
export type Rounds = 'together' | 'apart'

export interface Taken {
  key: string
  /** Readings that count so far. */
  n: number
}

export interface Next {
  /** The tape to take next; `null` when all have what they want. */
  key: string | null
  /** A round is done: let the dog rest before the next. */
  rest: boolean
}

/**
 * Where the tape goes after a pin.
 *
 * @param tapes in the order they are taken
 * @param at key of the tape just pinned, its new reading counted
 * @param wanted readings each tape wants
 */
export function nextTape(tapes: readonly Taken[], at: string, rounds: Rounds, wanted: number): Next {
  const here = tapes.findIndex((tape) => tape.key === at)
  if (here < 0) return { key: tapes[0]?.key ?? null, rest: false }
  if (rounds === 'together') {
    if ((tapes[here]?.n ?? 0) < wanted) return { key: at, rest: false }
    const onward = [...tapes.slice(here + 1), ...tapes.slice(0, here)]
    return { key: onward.find((tape) => tape.n < wanted)?.key ?? null, rest: false }
  }
  const round = Math.min(...tapes.map((tape) => tape.n))
  if (round >= wanted) return { key: null, rest: false }
  // Every second round runs backwards: fresh posture, and the last tape of one is the first of the next.
  const backwards = round % 2 === 1
  const order = backwards ? [...tapes].reverse() : [...tapes]
  const place = order.findIndex((tape) => tape.key === at)
  const roundDone = (tapes[here]?.n ?? 0) === round && round > 0
  // A new round begins at its own end; within a round it goes on from here.
  const onward = roundDone ? order : [...order.slice(place + 1), ...order.slice(0, place + 1)]
  const next = onward.find((tape) => tape.n === round)
  return { key: next?.key ?? null, rest: roundDone }
}
