import type { Booking, Change } from '@merry-tailor/core'
import { useState } from 'react'
import { Link } from 'react-router'
import { useBookingsQuery, useChangeBookingMutation, useDayQuery } from '../api/queries'
import { longDay, today } from '../state/today'
import { useToday } from '../state/use-today'
import { saveField } from '../state/save-field'
import { Button } from '../ui/controls/Button'
import { DayField } from '../ui/date'
import { problemWords } from '../words/problems'
import { Problem } from '../ui/controls/Problem'

/** For which tickets a piece is out, until when, and that it is back. */
export function PieceOut({ pieceId }: { pieceId: string }) {
  const { data: bookings = [] } = useBookingsQuery(undefined)
  const own = bookings.filter((booking) => booking.pieceId === pieceId).sort((a, b) => b.from.localeCompare(a.from))
  if (own.length === 0) return null
  return (
    <section aria-label="Out" className="border-b-2 border-ink px-5 py-3">
      <h2 className="text-[19px] leading-6">Out</h2>
      <ul>
        {own.map((booking) => (
          <OutLine key={booking.id} booking={booking} />
        ))}
      </ul>
    </section>
  )
}

function OutLine({ booking }: { booking: Booking }) {
  const { data: day } = useDayQuery(useToday())
  const [change] = useChangeBookingMutation()
  const [refused, setRefused] = useState<string | null>(null)
  const row = day?.rows.find((each) => each.ticketId === booking.ticketId)
  const send = (changes: Change[]) => change({ id: booking.id, changes })
  const late = booking.backOn === null && booking.until < today()
  return (
    <li className="flex flex-wrap items-end justify-between gap-x-4 gap-y-2 border-b border-rule py-2 last:border-0">
      <p>
        <Link to={`/tickets/${booking.ticketId}`} className="inline-flex min-h-11 items-center font-bold underline">
          {row ? `Ticket ${row.number}${row.dog ? `, ${row.dog.name}` : ''}` : 'Its ticket'}
        </Link>{' '}
        since {longDay(booking.from)}
        {booking.backOn ? `, back ${longDay(booking.backOn)}` : late ? <b className="text-snag">, due back {longDay(booking.until)}</b> : ''}
      </p>
      {booking.backOn === null && (
        <div className="flex items-end gap-2">
          <DayField
            label="Out until"
            value={booking.until}
            onSave={(until, seen) => (until === '' ? Promise.resolve({ kept: false, problem: 'Until which day?' }) : saveField(send, 'until', seen, until))}
          />
          <Button
            onClick={() =>
              void send([{ field: 'backOn', from: null, to: today() }]).then(({ error }) => setRefused(error ? `Not saved. ${problemWords(error)}` : null))
            }
          >
            It is back
          </Button>
        </div>
      )}
      <Problem className="w-full">{refused}</Problem>
    </li>
  )
}
