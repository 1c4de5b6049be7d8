import { Link } from 'react-router'
import { Empty } from '../ui/State'
import { useOpenTicket } from './TicketFrame'

/** A stage that waits for an item: what it would show, and the way to choose one. */
export function NoItem({ title, children }: { title: string; children: string }) {
  const { sheet } = useOpenTicket()
  return (
    <div className="mat flex-1 p-4">
      <div className="max-w-[600px] border-2 border-ink bg-panel">
        <Empty
          title={title}
          action={
            <Link to={`/tickets/${sheet.ticket.id}/ask`} className="inline-flex min-h-11 items-center border-2 border-ink bg-tape px-4 font-bold text-tape-ink">
              Choose an item
            </Link>
          }
        >
          {children}
        </Empty>
      </div>
    </div>
  )
}
