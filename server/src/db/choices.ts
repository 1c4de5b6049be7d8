import { bookingDays, choiceOf, dayIn, keptPattern, resources, storedChoice, type Choice, type NewChoice } from '@merry-tailor/core'
import { ProblemError } from '../problems.ts'
import { bookFor, requireFree } from './bookings.ts'
import { addFact, factsOf } from './facts.ts'
import { marksOfTicket, newestMarks, withMark } from './marks.ts'
import type { Db } from './open.ts'
import { requirePiece } from './pieces.ts'
import { requireReference } from './references.ts'
import { readShop } from './shop.ts'
import { requireSizeTable } from './size-tables.ts'
import { requireItem, requireOpenTicket, requireTicket } from './tickets.ts'

/** A plan is kept by whoever saw the one before it: two makers at once are told, and neither plan is lost. */
function mustBeSeen(db: Db, ticketId: string, { itemId, plan, was }: Extract<NewChoice, { kind: 'pattern' }>): void {
  const newest = newestMarks(marksOfTicket(db, ticketId))
  const here = keptPattern(
    factsOf(db, resources.choices, ticketId).map((stored) => withMark(choiceOf(stored), newest)),
    itemId,
  )
  if ((here?.id ?? null) === was) return
  throw new ProblemError('stale-edit', 'Somebody kept another plan for this item meanwhile.', {
    conflicts: [{ field: 'plan', yours: plan, theirs: here?.plan ?? null }],
  })
}

/** What a choice points at must be here: its table in its version and the sizes it names, or the piece. */
function mustBeHere(db: Db, ticketId: string, choice: NewChoice): void {
  switch (choice.kind) {
    case 'set-up':
      if (!db.prepare('SELECT 1 FROM set_ups WHERE id = ? AND ticket_id = ? AND item_id = ?').get(choice.setUpId, ticketId, choice.itemId))
        throw new ProblemError('unknown-reference', 'This item has no such set-up.', { fields: [{ path: 'setUpId', message: 'no such set-up' }] })
      return
    case 'pattern':
      mustBeSeen(db, ticketId, choice)
      return
    case 'gear':
      requireReference(() => requirePiece(db, choice.pieceId), 'pieceId')
      return
    case 'series':
      return
    case 'size':
    case 'paws':
    case 'made': {
      requireReference(() => requireSizeTable(db, choice.tableId, choice.tableVersion), 'tableId')
      if (choice.kind === 'made') return
      const known = requireSizeTable(db, choice.tableId, choice.tableVersion).sizes.map((size) => size.label)
      const odd = Object.values(choice.labels).find((label) => !known.includes(label))
      if (odd !== undefined)
        throw new ProblemError('unknown-reference', `This table has no size "${odd}".`, { fields: [{ path: 'labels', message: `no size "${odd}"` }] })
    }
  }
}

/** Keeps what an item was settled on. The newest that counts is the choice; one of our own pieces is booked out with it. */
export function addChoice(db: Db, ticketId: string, id: string, choice: NewChoice): Choice {
  const on = choice.on ?? dayIn(readShop(db).timeZone, choice.at)
  const kept = choiceOf(
    addFact(db, resources.choices, storedChoice({ ...choice, id, on }), { ticketId }, () => {
      requireOpenTicket(db, ticketId)
      requireReference(() => requireItem(db, ticketId, choice.itemId), 'itemId')
      mustBeHere(db, ticketId, choice)
      if (choice.kind !== 'gear') return
      // A piece is out for one ticket at a time.
      const { from, until } = bookingDays(requireTicket(db, ticketId), on)
      requireFree(db, ticketId, choice.pieceId, from, until)
    }),
  )
  // Sent again it is booked already.
  if (kept.kind === 'gear') bookFor(db, ticketId, kept, on)
  return kept
}
