import { Link } from 'react-router'
import { useRemindersQuery } from '../api/queries'
import { dayWords, today } from '../state/today'
import { useNewTicket } from '../state/use-new-ticket'
import { useAppSelector } from '../state/store'
import { againWords } from '../words/reminders'

const SHOWN = 12

/** On screens without a right side the reminders open from the foot. */
export function FoldedReminders() {
  const { data } = useRemindersQuery(today())
  return (
    <details className="group shrink-0 border-t-2 border-ink bg-panel bench:hidden">
      <summary className="flex min-h-11 cursor-pointer items-center justify-between border-b border-tape-ink bg-tape-rest px-4 font-bold text-tape-ink">
        <span>Measure again: {data ? data.again.length : 'not known here'}</span>
        <span>Coming back: {data ? data.back.length : 'not known here'}</span>
      </summary>
      <div className="quiet-scroll max-h-[50dvh]" tabIndex={-1}>
        <ReminderLists />
      </div>
    </details>
  )
}

/** Who is to be measured again and who is expected back, at the right of Today. */
export function Reminders() {
  return (
    <aside aria-label="Reminders" className="quiet-scroll hidden min-h-0 border-l-2 border-ink bg-panel bench:block" tabIndex={-1}>
      <ReminderLists />
    </aside>
  )
}

/** By urgency with the reason, then by day. */
function ReminderLists() {
  const on = today()
  const { data } = useRemindersQuery(on)
  const unit = useAppSelector((state) => state.settings.unit)
  const openTicket = useNewTicket()
  const again = data?.again ?? []
  const back = data?.back ?? []
  return (
    <>
      <h2 className="flex items-baseline justify-between border-b border-rule px-3.5 py-2.5 text-[19px] leading-6">
        Measure again
        <span className="font-text text-[15px] font-normal text-mute">{again.length === 1 ? '1 dog' : `${again.length} dogs`}</span>
      </h2>
      <ul>
        {again.slice(0, SHOWN).map((reminder) => (
          <li key={reminder.dogId} className="border-b border-rule">
            <Link to={`/dogs/${reminder.dogId}`} className="block px-3.5 pt-2 hover:bg-bench">
              <span className="flex items-baseline justify-between gap-2">
                <span className="font-display text-[18px] leading-[22px] font-bold">{reminder.dog}</span>
                <b className={reminder.reasons[0]?.urgency === 'now' ? 'text-snag' : 'text-mute'}>
                  {reminder.reasons[0]?.urgency === 'now' ? 'before use' : 'soon'}
                </b>
              </span>
              <span className="block text-[14px] leading-[18px]">
                {reminder.reasons
                  .slice(0, 2)
                  .map((reason) => againWords(reason, unit))
                  .join('; ')}
              </span>
            </Link>
            <button
              type="button"
              onClick={() => void openTicket({ dogId: reminder.dogId })}
              aria-label={`New ticket for ${reminder.dog}`}
              className="min-h-11 px-3.5 text-[14px] font-semibold underline"
            >
              new ticket
            </button>
          </li>
        ))}
        {again.length === 0 && <li className="px-3.5 py-3 text-mute">Nobody. Tapes are asked for again by growth, weight, season, chafe and what is noted.</li>}
      </ul>
      <h2 className="flex items-baseline justify-between border-b border-rule border-t-2 border-t-ink px-3.5 py-2.5 text-[19px] leading-6">
        Coming back
        <span className="font-text text-[15px] font-normal text-mute">{back.length === 1 ? '1 look' : `${back.length} looks`}</span>
      </h2>
      <ul>
        {back.slice(0, SHOWN).map((each) => (
          <li key={each.ticketId} className="border-b border-rule">
            <Link
              to={`/tickets/${each.ticketId}`}
              className="grid min-h-[54px] grid-cols-[1fr_auto] content-center items-center gap-x-2 px-3.5 py-1.5 hover:bg-bench"
            >
              <span className="font-display text-[18px] leading-[22px] font-bold">{each.dog}</span>
              <b className={each.on < on ? 'text-snag' : ''}>{each.on === on ? 'Today' : dayWords(each.on)}</b>
              <span className="text-[14px] leading-[18px] text-mute">Ticket {each.number}, a look</span>
            </Link>
          </li>
        ))}
        {back.length === 0 && <li className="px-3.5 py-3 text-mute">No look agreed. Set the next look under Finish.</li>}
      </ul>
    </>
  )
}
