import { agree, bodyOf, measures, progressOf, readingsOf, stationOrder, type DogSheet, type TicketSheet } from '@merry-tailor/core'
import { format, parseISO } from 'date-fns'
import { useMemo } from 'react'
import { Link, useParams } from 'react-router'
import { useDogQuery } from '../api/shop-api'
import { readingStyle, valueStyle } from '../app/settings'
import { PlaceFrame } from '../app/Strip'
import { useAppSelector } from '../app/store'
import { today } from '../app/today'
import { useKeys } from '../app/use-keys'
import { useNewTicket } from '../app/use-new-ticket'
import { KeyCap } from '../ui/controls/KeyCap'
import { Length } from '../ui/length/Fraction'
import { SidePlate } from '../ui/plates/SidePlate'
import { Snag, Unrolling } from '../ui/State'
import { Tape } from '../ui/tape/Tape'
import { tapeRange } from '../ui/tape/scale'
import { useBox } from '../ui/use-width'
import { dogLine } from '../words/dogs'
import { problemWords } from '../words/problems'
import { familyName, measureName, stageName } from '../words/stages'

/** One dog: its form from the newest tapes, every reading by date, its tickets. */
export function DogPage() {
  const { dogId = '' } = useParams()
  const { data, error } = useDogQuery(dogId)
  return (
    <PlaceFrame name={data?.dog.name ?? 'Dog'} detail={data ? dogLine(data.dog, today()) : ''}>
      {error ? (
        <div className="p-4">
          <Snag title="This dog can’t be opened.">{problemWords(error)}</Snag>
        </div>
      ) : data ? (
        <DogRoom sheet={data} />
      ) : (
        <Unrolling />
      )}
    </PlaceFrame>
  )
}

function DogRoom({ sheet }: { sheet: DogSheet }) {
  const { dog, owner, tickets } = sheet
  const openTicket = useNewTicket()
  const open = (): void => void openTicket({ counter: false, dogId: dog.id })
  useKeys({ Enter: open })
  const [ref, { width, height }] = useBox<HTMLDivElement>(388, 300)
  /** Newest visit first; each measure's newest agreed value shapes the form. */
  const body = useMemo(() => Object.assign({}, ...[...tickets].reverse().map((ticket) => bodyOf(ticket.readings))) as ReturnType<typeof bodyOf>, [tickets])
  const ids = [...new Set(tickets.flatMap((ticket) => ticket.readings.map((reading) => reading.measure)))].sort(stationOrder)
  return (
    <div className="quiet-scroll min-h-0 flex-1 lg:grid lg:grid-cols-[388px_1fr] lg:overflow-hidden bench:grid-cols-[388px_1fr_300px]" tabIndex={-1}>
      <section aria-label="Form" className="flex min-h-[300px] flex-col lg:border-r-2 lg:border-ink">
        <div ref={ref} className="mat min-h-[240px] flex-1 overflow-hidden lg:max-h-[400px]">
          <SidePlate
            body={body}
            about={dog}
            active={null}
            others={ids.map((measure, i) => ({ measure, row: i + 1, doubt: false }))}
            width={width}
            height={height}
            phone
          />
        </div>
        <div className="border-t-2 border-ink bg-panel px-4 py-3 lg:flex-1">
          <p>{dog.notes || 'No notes yet.'}</p>
          {owner && (
            <p className="mt-1 text-mute">
              {owner.name}
              {owner.contact ? `, ${owner.contact}` : ''}
            </p>
          )}
        </div>
      </section>
      <section aria-label="Readings by date" className="quiet-scroll min-h-0 bg-panel max-lg:border-t-2 max-lg:border-ink">
        <h2 className="sticky top-0 border-b-2 border-ink bg-panel px-4 py-2 text-[19px] leading-6">Every reading by date</h2>
        {ids.length === 0 && <p className="px-4 py-4 text-mute">No tape was laid on {dog.name} yet.</p>}
        {ids.map((id, i) => (
          <MeasureHistory key={id} id={id} row={i + 1} tickets={tickets} />
        ))}
      </section>
      <aside
        aria-label="Tickets"
        className="flex min-h-0 flex-col bg-panel max-bench:border-t-2 max-bench:border-ink lg:max-bench:col-span-2 bench:border-l-2 bench:border-ink"
      >
        <h2 className="border-b-2 border-ink px-4 py-2 text-[19px] leading-6">Tickets</h2>
        <ul className="quiet-scroll min-h-0 flex-1">
          {tickets.map((ticket) => (
            <TicketLine key={ticket.ticket.id} sheet={ticket} />
          ))}
          {tickets.length === 0 && <li className="px-4 py-3 text-mute">No ticket yet.</li>}
        </ul>
        <div className="border-t-2 border-ink p-3">
          <button
            type="button"
            onClick={open}
            className="flex min-h-14 w-full items-center justify-between rounded-[2px] border-2 border-ink bg-tape px-4 text-[18px] font-bold text-tape-ink"
          >
            New ticket <KeyCap tone="tape">Enter</KeyCap>
          </button>
        </div>
      </aside>
    </div>
  )
}

/** One measure over all visits: values as pins on one tape, and every reading under it. */
function MeasureHistory({ id, row, tickets }: { id: string; row: number; tickets: readonly TicketSheet[] }) {
  const settings = useAppSelector((state) => state.settings)
  const look = { ...valueStyle(settings), unit: settings.unit }
  const fine = readingStyle(settings)
  const visits = tickets
    .map((ticket) => ({ ticket, readings: readingsOf(ticket.readings)[id] ?? [] }))
    .filter((visit) => visit.readings.length > 0)
    .map((visit) => ({ ...visit, agreed: agree(id, visit.readings), on: visit.readings[0]?.takenAt ?? '' }))
    .sort((a, b) => a.on.localeCompare(b.on))
  const values = visits.flatMap((visit) => (visit.agreed.mm === null ? [] : [visit.agreed.mm]))
  const [fromMm, toMm] = tapeRange(settings.unit, values.length > 0 ? values : [300])
  const last = visits.at(-1)
  return (
    <article className="border-b border-rule px-4 py-2.5">
      <div className="flex items-baseline justify-between gap-3">
        <h3 className="font-text text-[17px] leading-[21px] font-bold">
          <span className="mr-2 text-mute">{row}</span>
          {measureName(id)} <span className="text-[13.5px] font-normal text-mute">{measures[id]?.path}</span>
        </h3>
        {last?.agreed.mm ? (
          <span className="text-[22px] leading-7 font-bold">
            <Length mm={last.agreed.mm} look={look} stacked />
          </span>
        ) : null}
      </div>
      <Tape
        look={look}
        fromMm={fromMm}
        toMm={toMm}
        height={24}
        pins={visits.flatMap((visit, i) =>
          visit.agreed.mm === null
            ? []
            : [{ mm: visit.agreed.mm, kind: i === visits.length - 1 ? ('ink' as const) : ('open' as const), label: format(parseISO(visit.on), 'd MMM') }],
        )}
        title={`${measureName(id)} by date`}
        usualWidth={520}
      />
      <ul className="mt-1 text-[14.5px]">
        {[...visits].reverse().map((visit) => (
          <li key={visit.ticket.ticket.id} className="flex flex-wrap gap-x-3">
            <span className="text-mute">{format(parseISO(visit.on), 'd MMM yyyy')}</span>
            {visit.readings.map((reading) => (
              <span
                key={reading.id}
                className={reading.struck ? 'text-mute line-through' : ''}
                title={reading.struck ? `Struck out: ${reading.struck.why}` : `Typed ${reading.asTyped}`}
              >
                <Length mm={reading.mm} look={fine} />
                {reading.side === 'one' ? ' × 2' : ''}
              </span>
            ))}
          </li>
        ))}
      </ul>
    </article>
  )
}

function TicketLine({ sheet }: { sheet: TicketSheet }) {
  const { ticket } = sheet
  const items = sheet.items.filter((item) => !item.removed).map((item) => familyName(item.family))
  const stage = ticket.state === 'closed' ? 'Closed' : stageName(progressOf(sheet, today()).stage)
  return (
    <li className="border-b border-rule">
      <Link to={`/tickets/${ticket.id}`} className="block min-h-[58px] px-4 py-2 hover:bg-bench">
        <span className="flex items-baseline justify-between gap-2">
          <b>Ticket {ticket.number}</b> <span className="text-mute">{format(parseISO(ticket.createdAt), 'd MMM yyyy')}</span>
        </span>
        <span className="block text-[14px] text-mute">
          {items.join(', ') || 'No item'}. {stage}
        </span>
      </Link>
    </li>
  )
}
