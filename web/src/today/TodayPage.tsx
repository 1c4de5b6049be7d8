import { aboutDog, promisedOn, stages, urgencyOf, type DayRow, type Dog, type Urgency } from '@merry-tailor/core'
import { format, parseISO } from 'date-fns'
import { memo, Suspense, useEffect, useMemo, useRef, useState } from 'react'
import { Link, useLocation, useNavigate } from 'react-router'
import { useDayQuery } from '../api/queries'
import { PlaceFrame } from '../frame/Strip'
import { lazyPart } from '../state/lazy-part'
import { dayWords, lateWords } from '../state/today'
import { readingStyle } from '../state/settings'
import { useAppSelector } from '../state/store'
import { typeAhead } from '../state/typed-ahead'
import { useToday } from '../state/use-today'
import { useKeys } from '../state/use-keys'
import { useNewTicket } from '../state/use-new-ticket'
import { Mark } from '../ui/marks/Mark'
import { MiniStitch } from '../ui/stitch/MiniStitch'
import { Button } from '../ui/controls/Button'
import { KeyCap } from '../ui/controls/KeyCap'
import { useWindow } from '../ui/long-list/use-window'
import { Empty, Snag, Unrolling } from '../ui/State'
import { lengthText } from '../ui/length/length-text'
import { upperFirst } from '../words/first-letter'
import { breedWords } from '../words/dogs'
import { problemWords } from '../words/problems'
import { familyName, measureName, stageName, waitsForWords } from '../words/stages'
import { DayTape } from './DayTape'
import { FoldedReminders, Reminders } from './Reminders'

/** What the list can be read without comes after its first draw. */
const Find = lazyPart(async () => (await import('./Find')).Find)
const Counter = lazyPart(async () => (await import('./Counter')).Counter)
const DogOutline = lazyPart(
  async () => (await import('../form')).DogOutline,
  () => null,
)
/** Of their size while they come. */
const notYet = <div aria-hidden className="h-12 border-2 border-ink bg-panel" />

const GROUPS: readonly { urgency: Urgency; title: string }[] = [
  { urgency: 'overdue', title: 'Overdue' },
  { urgency: 'today', title: 'Today' },
  { urgency: 'waiting', title: 'Waiting' },
]

interface Row {
  row: DayRow
  urgency: Urgency
  due: string | null
}

/** A line of the list: the title of a group, or a ticket of it. */
type Line = { urgency: Urgency; title: string; row: null } | { urgency: Urgency; title: string; row: Row }

/** Heights before a line was drawn, px. */
const TITLE_PX = 33
const ROW_PX = 55

/** Today: the tickets in the order they need the fitter, search, and the counter. */
export function TodayPage() {
  const on = useToday()
  const { data: day, error } = useDayQuery(on)
  const navigate = useNavigate()
  const openTicket = useNewTicket()
  const wish = (useLocation().state as { focus?: 'find' | 'counter' } | null)?.focus
  const findRef = useRef<HTMLInputElement>(null)
  const counterRef = useRef<HTMLInputElement>(null)

  // The server has them in their order.
  const rows = useMemo(() => (day?.rows ?? []).map((row): Row => ({ row, urgency: urgencyOf(row, on), due: promisedOn(row) })), [day, on])
  /** The ticket to do now: the first that is due today, else the most overdue. */
  const now = rows.find((row) => row.urgency === 'today') ?? rows[0]
  const [picked, setPicked] = useState<string | null>(null)
  const lines = useMemo(
    () =>
      GROUPS.flatMap(({ urgency, title }): Line[] => {
        const group = rows.filter((row) => row.urgency === urgency)
        return group.length === 0 ? [] : [{ urgency, title, row: null }, ...group.map((row) => ({ urgency, title, row }))]
      }),
    [rows],
  )
  const scroll = useRef<HTMLDivElement>(null)
  const drawn = useWindow({
    count: lines.length,
    keyOf: (i) => lines[i]?.row?.row.ticketId ?? lines[i]?.title ?? '',
    usualPx: (i) => (lines[i]?.row ? ROW_PX : TITLE_PX),
    scroll,
  })
  const current = rows.find((row) => row.row.ticketId === picked) ?? now
  const count = (urgency: Urgency): number => rows.filter((row) => row.urgency === urgency).length

  useEffect(() => {
    if (wish === 'find') findRef.current?.focus()
    if (wish === 'counter') counterRef.current?.focus()
  }, [wish])

  /** A key pressed before its field is there: what is typed meanwhile goes into it. */
  const [early, setEarly] = useState<'find' | 'counter' | null>(null)
  const wait = (name: 'find' | 'counter'): void => {
    typeAhead()
    setEarly(name)
  }

  const move = (by: number) => () => {
    const at = current ? rows.indexOf(current) : -1
    const next = rows[Math.min(rows.length - 1, Math.max(0, at + by))]
    if (!next) return
    setPicked(next.row.ticketId)
    drawn.bringIntoSight(lines.findIndex(({ row }) => row === next))
  }
  useKeys({
    ArrowDown: move(1),
    ArrowUp: move(-1),
    Enter: () => current && void navigate(`/tickets/${current.row.ticketId}`),
    '/': () => (findRef.current ? findRef.current.focus() : wait('find')),
    c: () => (counterRef.current ? counterRef.current.focus() : wait('counter')),
  })

  return (
    <PlaceFrame
      name="Today"
      detail={rows.length === 0 ? format(parseISO(on), 'EEEE d MMMM') : `${count('overdue')} overdue, ${count('today')} for today, ${count('waiting')} waiting`}
    >
      <div className="grid min-h-0 flex-1 grid-cols-1 bench:grid-cols-[196px_1fr_274px]">
        <aside aria-label="The day so far" className="hidden min-h-0 flex-col border-r-2 border-ink bg-bench pt-2.5 pr-1 pl-1.5 bench:flex">
          <h2 className="shrink-0 px-2 pb-2 text-[19px] leading-6 whitespace-nowrap">
            {format(parseISO(on), 'EEEE')} <span className="font-text text-[14px] font-normal text-mute">{format(parseISO(on), 'd MMM')}</span>
          </h2>
          <DayTape stays={day?.work ?? []} />
        </aside>
        <section aria-label="Tickets" className="flex min-h-0 flex-col bg-panel">
          <div className="grid shrink-0 gap-3 border-b-2 border-ink bg-bench px-4 py-2.5 lg:grid-cols-[236px_1fr]">
            <Suspense fallback={notYet}>
              <Find inputRef={findRef} wished={wish === 'find' || early === 'find'} />
            </Suspense>
            <Suspense fallback={<div className="min-h-[66px]">{notYet}</div>}>
              <Counter inputRef={counterRef} wished={wish === 'counter' || early === 'counter'} />
            </Suspense>
          </div>
          <div ref={scroll} className="quiet-scroll min-h-0 flex-1" tabIndex={-1}>
            {error ? (
              <div className="p-4">
                <Snag title="The tickets can’t be read.">{problemWords(error)} Nothing is lost; try again in a moment.</Snag>
              </div>
            ) : !day ? (
              <Unrolling />
            ) : rows.length === 0 ? (
              <FirstRun onOpen={() => void openTicket({})} />
            ) : (
              <div style={{ paddingTop: drawn.beforePx, paddingBottom: drawn.afterPx }}>
                {GROUPS.map(({ urgency, title }) => {
                  const group = drawn.rows.flatMap(({ index, props }) => (lines[index]?.urgency === urgency ? [{ index, line: lines[index], props }] : []))
                  const head = group.find(({ line }) => line.row === null)
                  const all = count(urgency)
                  return group.length === 0 ? null : (
                    <section key={urgency} aria-label={title}>
                      {head && (
                        <h2
                          {...head.props}
                          className="flex items-baseline gap-3 border-b border-rule px-4 pt-1.5 pb-1 text-[17px] leading-[22px] [section+section>&]:border-t-2 [section+section>&]:border-t-ink"
                        >
                          {title}
                          <span className="font-text text-[15px] font-normal text-mute">{all === 1 ? '1 ticket' : `${all} tickets`}</span>
                        </h2>
                      )}
                      <ul>
                        {group.map(
                          ({ index, line, props }) =>
                            line.row && (
                              <li
                                key={line.row.row.ticketId}
                                {...props}
                                aria-setsize={all}
                                aria-posinset={index - lines.findIndex((each) => each.urgency === urgency)}
                                className="border-b border-rule"
                              >
                                <TicketLink row={line.row} now={line.row === current} on={on} />
                              </li>
                            ),
                        )}
                      </ul>
                    </section>
                  )
                })}
              </div>
            )}
          </div>
          <FoldedReminders />
          <footer className="hidden h-11 shrink-0 items-center gap-4 border-t-2 border-ink px-4 text-mute phone:flex">
            <span className="flex items-center gap-1.5 pointer-coarse:hidden!">
              <KeyCap>↑</KeyCap>
              <KeyCap>↓</KeyCap> move
            </span>
            <span className="flex items-center gap-1.5 pointer-coarse:hidden!">
              <KeyCap>Enter</KeyCap> do the yellow thing
            </span>
            <button type="button" className="flex min-h-11 items-center gap-1.5" onClick={() => void openTicket({})}>
              <KeyCap>N</KeyCap> new ticket
            </button>
            <span className="ml-auto flex items-center gap-1.5 pointer-coarse:hidden!">
              <KeyCap>?</KeyCap> all keys
            </span>
          </footer>
          <div className="border-t-2 border-ink p-2 phone:hidden">
            <Button className="w-full" onClick={() => void openTicket({})}>
              New ticket
            </Button>
          </div>
        </section>
        <Reminders />
      </div>
    </PlaceFrame>
  )
}

function FirstRun({ onOpen }: { onOpen: () => void }) {
  return (
    <Empty
      action={
        <Button tone="primary" onClick={onOpen}>
          Open the first ticket
        </Button>
      }
    >
      The book is empty. Open a ticket for the dog in front of you; breed, owner and date can wait. Size tables come in under{' '}
      <Link className="font-bold underline" to="/sizes">
        Sizes
      </Link>
      .
    </Empty>
  )
}

/** A counter dog by the number it was opened with. */
function CounterLine({ row }: { row: DayRow }) {
  const look = readingStyle(useAppSelector((state) => state.settings))
  const measure = row.counter?.measure
  const value = measure ? row.body[measure] : undefined
  const name = row.number === 0 ? 'New ticket' : `Ticket ${row.number}`
  if (!measure || !value || measure === 'M00') return name
  return (
    <>
      {measureName(measure).toLowerCase()} {lengthText(value.mm, look)}, {name.toLowerCase()}
    </>
  )
}

const TicketLink = memo(function TicketLink({ row: { row, urgency, due }, now, on }: { row: Row; now: boolean; on: string }) {
  const { dog, number } = row
  const about = useMemo(() => aboutDog(dog as Dog | null, on), [dog, on])
  const waits = row.waitsFor
  const ticketName = number === 0 ? 'New ticket' : `Ticket ${number}`
  const names = row.families.map((family) => familyName(family)).join(', ') || 'No item yet'
  return (
    <Link
      to={`/tickets/${row.ticketId}`}
      className={`grid grid-cols-[78px_1fr_auto] items-center gap-x-2.5 pr-4 pl-[11px] max-md:py-1.5 md:grid-cols-[78px_120px_98px_142px_1fr_96px] ${now ? 'min-h-[66px] border-l-[5px] border-ink bg-bench' : `min-h-[54px] border-l-[5px] ${urgency === 'overdue' ? 'border-snag' : 'border-transparent'}`}`}
    >
      <Suspense fallback={<span aria-hidden className="block w-[78px]" style={{ height: now ? 56 : 50 }} />}>
        <DogOutline body={row.body} about={about} height={now ? 56 : 50} />
      </Suspense>
      <span className="min-w-0">
        <span className="block truncate font-display text-[19px] leading-[22px] font-bold">
          {dog?.name ?? (row.counter?.word ? upperFirst(row.counter.word) : 'Counter')}
        </span>
        <span className="block truncate text-[14px] leading-[18px] text-mute">{dog ? breedWords(dog) || ticketName : <CounterLine row={row} />}</span>
        <span className="line-clamp-2 text-[14px] leading-[18px] md:hidden">{waitsForWords(waits)}</span>
      </span>
      <span className="hidden text-[15px] leading-[18px] md:block">{names}</span>
      <span className="hidden md:block">
        <MiniStitch states={stages.map((stage) => ({ stage, state: row.states[stage] }))} current={row.stage} />
        <span className="text-[14px] leading-[18px] text-mute">{stageName(row.stage)}</span>
      </span>
      <span className="hidden items-center gap-2 md:flex">
        {now ? (
          <span className="inline-flex min-h-11 w-full items-center justify-between gap-2 border-2 border-ink bg-tape px-3 py-1 leading-[18px] font-bold text-tape-ink">
            {waitsForWords(waits)} <KeyCap tone="tape">Enter</KeyCap>
          </span>
        ) : (
          <>
            {row.verdict && <Mark grade={row.verdict} basis="seen" />}
            <span className="text-[15px] leading-[18px]">{waitsForWords(waits)}</span>
          </>
        )}
      </span>
      <span className={`text-right leading-[18px] ${urgency === 'overdue' ? 'text-snag' : ''}`}>
        <span className="block text-[15.5px] font-bold whitespace-nowrap">{due === null ? '' : due === on ? 'Today' : dayWords(due)}</span>
        {urgency === 'overdue' && due !== null && <span className="text-[14px]">{lateWords(due, on)}</span>}
      </span>
    </Link>
  )
})
