import { cautionsOf, type FamilyId } from '@merry-tailor/core'
import { Link } from 'react-router'
import { useOpenTicket } from '../../bench'
import { today } from '../../state/today'
import { Mark } from '../../ui/marks/Mark'
import { cautionWords } from '../../words/cautions'

/** What stops this work stands above every number of it. */
export function StopsAbove({ family }: { family: FamilyId }) {
  const { sheet } = useOpenTicket()
  const stops = cautionsOf(sheet, today()).filter(({ level, facts }) => level === 'stop' && (facts.family === undefined || facts.family === family))
  if (stops.length === 0) return null
  return (
    <ul aria-label="Stops" className="shrink-0 border-b-2 border-ink">
      {stops.map((stop) => (
        <li
          key={`${stop.code} ${stop.facts.family ?? ''}`}
          className="flex flex-wrap items-center gap-x-2 border-l-[5px] border-snag bg-snag-bg px-4 py-2 text-[15px] leading-[19px]"
        >
          <Mark grade="fails" basis="seen" size={18} />
          <b>Stop. {cautionWords(stop).title}.</b>
          <Link className="font-bold underline" to={`/tickets/${sheet.ticket.id}/ask`}>
            Why, and whose rule, under Ask
          </Link>
        </li>
      ))}
    </ul>
  )
}
