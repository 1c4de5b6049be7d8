import type { FamilyId } from '@merry-tailor/core'
import { Link } from 'react-router'
import { DressingSteps, useOpenTicket } from '../../bench'
import { firstRoundOf } from '../../words/try-on'

/** How this kind goes on this dog and comes off, folded until it is wanted; on paper a page a kind. */
export function HowItGoesOn({ family, build }: { family: FamilyId; build: string | null }) {
  const { sheet, name } = useOpenTicket()
  return (
    <details className="border-b border-rule">
      <summary className="flex min-h-12 cursor-pointer items-center px-5 font-bold">{firstRoundOf(family).how(name)}</summary>
      <DressingSteps family={family} build={build} />
      <p className="px-5 pb-2">
        <Link to={`/tickets/${sheet.ticket.id}/cards`} className="inline-flex min-h-11 items-center font-bold underline">
          As a card to take home
        </Link>
      </p>
    </details>
  )
}
