import {
  aboutDog,
  distinctReadings,
  families,
  type Body,
  type DogSheet,
  type Place,
  progressOf,
  readingsByTape,
  tapeOrder,
  type TicketSheet,
  visitsOf,
  type MeasureId,
} from '@merry-tailor/core'
import { format, parseISO } from 'date-fns'
import { lazy, Suspense, useMemo, useState } from 'react'
import { Link, useParams } from 'react-router'
import { useDogQuery } from '../api/queries'
import { PlaceFrame } from '../frame/Strip'
import { useAppSelector } from '../state/store'
import { today } from '../state/today'
import { useKeys } from '../state/use-keys'
import { useNewTicket } from '../state/use-new-ticket'
import { useShop } from '../state/use-shop'
import { KeyCap } from '../ui/controls/KeyCap'
import { Snag, Unrolling } from '../ui/State'
import { dogLine } from '../words/dogs'
import { problemWords } from '../words/problems'
import { familyName, stageName } from '../words/stages'
import { CompareDates } from './CompareDates'
import { DogNotes } from './DogNotes'
import { DogPhotos } from './DogPhotos'
import { FormByDate } from './FormByDate'
import { GearWorn } from './GearWorn'
import { MeasureHistory } from './MeasureHistory'
import { InBoots } from './InBoots'
import { Ladder } from './Ladder'
import { DogRecord } from '../dog-record'
import { useForm } from '../form'
import { OneDog } from './OneDog'
import { WholeBody } from './WholeBody'

/** Charts are heavy: they come when a dog has been weighed twice. */
const WeightChart = lazy(() => import('./WeightChart').then((module) => ({ default: module.WeightChart })))
const NOBODY: Body = {}
const NO_TAPE: { measure: MeasureId; place: Place | null } = { measure: 'M00', place: null }

/** One dog: its form from the newest tapes, every reading by date, its tickets. */
export function DogPage() {
  const { dogId = '' } = useParams()
  const { data, error } = useDogQuery(dogId)
  const unit = useAppSelector((state) => state.settings.unit)
  return (
    <PlaceFrame name={data?.dog.name ?? 'Dog'} detail={data ? dogLine(data.dog, today(), unit) : ''}>
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
  const { dog, owner, tickets, notes, photos, weighings, outings, joins } = sheet
  // A dog that draws, or has begun to learn it.
  const draws = outings.length > 0 || tickets.some(({ items }) => items.some((item) => !item.removed && families[item.family].shelf === 'drafting'))
  const wearsBoots = sheet.bootOutings.length > 0 || tickets.some(({ items }) => items.some((item) => !item.removed && families[item.family].shelf === 'boot'))
  const rules = useShop()
  const openTicket = useNewTicket()
  const open = (): void => void openTicket({ dogId: dog.id })
  useKeys({ Enter: open })
  const visits = useMemo(() => visitsOf(tickets, rules), [tickets, rules])
  const newest = visits.length - 1
  const [picked, setPicked] = useState<[number, number] | null>(null)
  const at = picked && picked[1] <= newest ? picked : ([Math.max(0, newest - 1), Math.max(0, newest)] as [number, number])
  const tapes = useMemo(() => {
    const byTape = readingsByTape(distinctReadings(tickets.flatMap((ticket) => ticket.readings)))
    return Object.values(byTape).sort((a, b) => tapeOrder(a[0] ?? NO_TAPE, b[0] ?? NO_TAPE))
  }, [tickets])
  const weights = useMemo(
    () =>
      [
        ...visits.flatMap((visit) => (visit.read.M00?.mm != null ? [{ on: visit.on, kg: visit.read.M00.mm }] : [])),
        ...weighings.map(({ on, kg }) => ({ on, kg })),
      ].sort((a, b) => a.on.localeCompare(b.on)),
    [visits, weighings],
  )
  const [then, now] = [visits[at[0]], visits[at[1]]]
  const about = useMemo(() => aboutDog(dog, now?.on ?? today()), [dog, now?.on])
  const form = useForm(now?.known ?? NOBODY, about)
  return (
    <div className="quiet-scroll min-h-0 flex-1 lg:grid lg:grid-cols-[388px_1fr] lg:overflow-hidden bench:grid-cols-[388px_1fr_316px]" tabIndex={-1}>
      <section aria-label="Form" className="quiet-scroll flex min-h-[300px] flex-col bg-panel lg:border-r-2 lg:border-ink">
        <FormByDate dog={dog} visits={visits} at={at} onAt={setPicked} />
        <details className="border-t-2 border-ink px-4">
          <summary className="flex min-h-12 cursor-pointer items-center justify-between gap-3 font-bold">
            <span>The record</span> <span className="font-semibold underline">name, breed, age, weight</span>
          </summary>
          <div className="pb-4">
            <DogRecord key={dog.id} dog={dog} owner={owner} notes={notes} weighings={weighings} />
            <OneDog key={`one ${dog.id}`} dog={dog} joins={joins} />
          </div>
        </details>
        <DogNotes dog={dog} notes={notes} />
        <DogPhotos dogId={dog.id} photos={photos} />
      </section>
      <section aria-label="Readings by date" className="quiet-scroll min-h-0 bg-panel max-lg:border-t-2 max-lg:border-ink">
        {draws && <Ladder dog={dog} outings={outings} />}
        {wearsBoots && <InBoots dog={dog} outings={sheet.bootOutings} />}
        {weights.length > 1 && (
          <section aria-label="Weight" className="border-b-2 border-ink px-4 pt-2">
            <h2 className="text-[19px] leading-6">Weight</h2>
            <Suspense fallback={<div className="h-[150px]" />}>
              <WeightChart points={weights} />
            </Suspense>
          </section>
        )}
        {then && now && then !== now && <CompareDates then={then} now={now} rules={rules} />}
        <h2 className="border-b-2 border-ink bg-panel px-4 py-2 text-[19px] leading-6">Every reading by date</h2>
        {tapes.length === 0 && <p className="px-4 py-4 text-mute">No tape was laid on {dog.name} yet.</p>}
        {tapes.map((readings, i) => (
          <MeasureHistory key={`${readings[0]?.measure ?? ''}${readings[0]?.place ?? ''}`} readings={readings} row={i + 1} rules={rules} />
        ))}
        <WholeBody form={form} name={dog.name} dogId={dog.id} />
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
        <GearWorn dogId={dog.id} />
        <div className="border-t-2 border-ink px-4 py-2">
          {owner && (
            <p className="text-mute">
              {owner.name}
              {owner.contact ? `, ${owner.contact}` : ''}
            </p>
          )}
          <p className="flex flex-wrap gap-x-4">
            <span className="flex min-h-11 items-center">Take the body sheet out:</span>
            <a className="inline-flex min-h-11 min-w-11 items-center font-bold underline" href={`/api/dogs/${dog.id}/body-sheet.json`} download>
              JSON
            </a>
            <a className="inline-flex min-h-11 min-w-11 items-center font-bold underline" href={`/api/dogs/${dog.id}/body-sheet.csv`} download>
              CSV
            </a>
          </p>
        </div>
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
