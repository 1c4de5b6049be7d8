import { Link } from 'react-router'
import { useRigsQuery } from '../../api/queries'
import { useOpenTicket } from '../../bench'
import { StepStrip } from '../../drafting'
import { ReleaseDrill } from './ReleaseDrill'
import { spanWords } from './moves'
import { useElapsed } from './use-elapsed'
import type { TryOnInHand } from './use-try-on'

/** A drafting harness in a round: strap by strap, behind the rig it was set up for. */
export function DraftSteps({ hand: { item, round, isLast } }: { hand: TryOnInHand }) {
  const { sheet } = useOpenTicket()
  const { data: rigs = [] } = useRigsQuery(undefined)
  const setUp = sheet.setUps.findLast((each) => !each.struck && each.itemId === item.id)
  const rig = rigs.find(({ id }) => id === setUp?.rigId) ?? rigs[0]
  const soFar = useElapsed(isLast ? (round?.at ?? null) : null)
  return (
    <div className="flex min-w-0 flex-1 flex-col">
      <StepStrip item={item} rig={rig} begunAt={round?.at ?? null} soFar={soFar === null ? null : spanWords(soFar)} />
      {round && isLast && sheet.ticket.state !== 'closed' && <ReleaseDrill round={round} />}
      {!setUp && (
        <p className="border-t border-rule px-4 py-1 text-[14.5px]">
          No set-up is on this ticket.{' '}
          <Link className="inline-flex min-h-11 items-center font-bold underline" to={`/tickets/${sheet.ticket.id}/draft`}>
            Set the cart up behind it
          </Link>
        </p>
      )}
    </div>
  )
}
