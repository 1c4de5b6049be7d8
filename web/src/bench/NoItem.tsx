import { Link } from 'react-router'
import { Button } from '../ui/controls/Button'
import { Empty } from '../ui/State'
import { useOpenTicket } from './open-ticket'

interface NoItemProps {
  title: string
  children: string
  also?: { label: string; onClick: () => void }
}

/** A stage that waits for an item: what it would show, and the way to choose one. */
export function NoItem({ title, children, also }: NoItemProps) {
  const { sheet } = useOpenTicket()
  return (
    <div className="mat flex-1 p-4">
      <div className="max-w-[600px] border-2 border-ink bg-panel">
        <Empty
          title={title}
          action={
            <div className="flex flex-wrap gap-2">
              <Link
                to={`/tickets/${sheet.ticket.id}/ask`}
                className="inline-flex min-h-11 items-center border-2 border-ink bg-tape px-4 font-bold text-tape-ink"
              >
                Choose an item
              </Link>
              {also && <Button onClick={also.onClick}>{also.label}</Button>}
            </div>
          }
        >
          {children}
        </Empty>
      </div>
    </div>
  )
}
