import { aboutDog, bodyOf, progressOf, promisedOn, stages, urgencyOf, type TicketSheet, type Urgency } from '@merry-tailor/core'
import { format } from 'date-fns'
import { useEffect, useMemo, useRef, useState } from 'react'
import { Link, useLocation, useNavigate } from 'react-router'
import { useTicketsQuery } from '../api/shop-api'
import { PlaceFrame } from '../app/Strip'
import { dayWords, lateWords, today } from '../app/today'
import { useKeys } from '../app/use-keys'
import { useShop } from '../app/use-shop'
import { useNewTicket } from '../app/use-new-ticket'
import { DogOutline } from '../ui/plates/DogOutline'
import { Mark } from '../ui/marks/Mark'
import { MiniStitch } from '../ui/stitch/MiniStitch'
import { Button } from '../ui/controls/Button'
import { KeyCap } from '../ui/controls/KeyCap'
import { Empty, Snag, Unrolling } from '../ui/State'
import { breedWords } from '../words/dogs'
import { problemWords } from '../words/problems'
import { familyName, stageName, waitsForWords } from '../words/stages'
import { Counter } from './Counter'
import { DayTape } from './DayTape'
import { Find } from './Find'
import { FoldedReminders, Reminders } from './Reminders'

const GROUPS: readonly { urgency: Urgency; title: string }[] = [
  { urgency: 'overdue', title: 'Overdue' },
  { urgency: 'today', title: 'Today' },
  { urgency: 'waiting', title: 'Waiting' },
]

interface Row {
  sheet: TicketSheet
  progress: ReturnType<typeof progressOf>
  urgency: Urgency
  due: string | null
}

/** Today: the tickets in the order they need the fitter, search, and the counter. */
export function TodayPage() {
  const { data: sheets, error } = useTicketsQuery(undefined)
  const navigate = useNavigate()
  const openTicket = useNewTicket()
  const wish = (useLocation().state as { focus?: 'find' | 'counter' } | null)?.focus
  const findRef = useRef<HTMLInputElement>(null)
  const counterRef = useRef<HTMLInputElement>(null)
  const on = today()
  const rules = useShop()

  const rows = useMemo(() => {
    const all = (sheets ?? []).map((sheet): Row => ({
      sheet,
      progress: progressOf(sheet, on, rules),
      urgency: urgencyOf(sheet.ticket, on),
      due: promisedOn(sheet.ticket),
    }))
    const order = GROUPS.map((group) => group.urgency)
    return all.sort(
      (a, b) =>
        order.indexOf(a.urgency) - order.indexOf(b.urgency) ||
        (a.due ?? '9999').localeCompare(b.due ?? '9999') ||
        a.sheet.ticket.number - b.sheet.ticket.number,
    )
  }, [sheets, on, rules])
  /** The ticket to do now: the first that is due today, else the most overdue. */
  const now = rows.find((row) => row.urgency === 'today') ?? rows[0]
  const [picked, setPicked] = useState<string | null>(null)
  const current = rows.find((row) => row.sheet.ticket.id === picked) ?? now
  const count = (urgency: Urgency): number => rows.filter((row) => row.urgency === urgency).length

  useEffect(() => {
    if (wish === 'find') findRef.current?.focus()
    if (wish === 'counter') counterRef.current?.focus()
  }, [wish])

  const move = (by: number) => () => {
    const at = current ? rows.indexOf(current) : -1
    const next = rows[Math.min(rows.length - 1, Math.max(0, at + by))]
    if (!next) return
    setPicked(next.sheet.ticket.id)
    document.getElementById(`ticket-${next.sheet.ticket.id}`)?.scrollIntoView({ block: 'nearest' })
  }
  useKeys({
    ArrowDown: move(1),
    ArrowUp: move(-1),
    Enter: () => current && void navigate(`/tickets/${current.sheet.ticket.id}`),
    '/': () => findRef.current?.focus(),
    c: () => counterRef.current?.focus(),
  })

  return (
    <PlaceFrame
      name="Today"
      detail={rows.length === 0 ? format(new Date(), 'EEEE d MMMM') : `${count('overdue')} overdue, ${count('today')} for today, ${count('waiting')} waiting`}
    >
      <div className="grid min-h-0 flex-1 grid-cols-1 bench:grid-cols-[196px_1fr_274px]">
        <aside aria-label="The day so far" className="hidden min-h-0 flex-col border-r-2 border-ink bg-bench pt-2.5 pr-1 pl-1.5 bench:flex">
          <h2 className="shrink-0 px-2 pb-2 text-[19px] leading-6 whitespace-nowrap">
            {format(new Date(), 'EEEE')} <span className="font-text text-[14px] font-normal text-mute">{format(new Date(), 'd MMM')}</span>
          </h2>
          <DayTape sheets={sheets ?? []} />
        </aside>
        <section aria-label="Tickets" className="flex min-h-0 flex-col bg-panel">
          <div className="grid shrink-0 gap-3 border-b-2 border-ink bg-bench px-4 py-2.5 lg:grid-cols-[236px_1fr]">
            <Find inputRef={findRef} />
            <Counter inputRef={counterRef} />
          </div>
          <div className="quiet-scroll min-h-0 flex-1" tabIndex={-1}>
            {error ? (
              <div className="p-4">
                <Snag title="The tickets can’t be read.">{problemWords(error)} Nothing is lost; try again in a moment.</Snag>
              </div>
            ) : !sheets ? (
              <Unrolling />
            ) : rows.length === 0 ? (
              <FirstRun onOpen={() => void openTicket({ counter: false })} />
            ) : (
              GROUPS.map(({ urgency, title }) => {
                const group = rows.filter((row) => row.urgency === urgency)
                return group.length === 0 ? null : (
                  <section key={urgency} aria-label={title}>
                    <h2 className="flex items-baseline gap-3 border-b border-rule px-4 pt-1.5 pb-1 text-[17px] leading-[22px] not-first:border-t-2 not-first:border-t-ink">
                      {title}
                      <span className="font-text text-[15px] font-normal text-mute">{group.length === 1 ? '1 ticket' : `${group.length} tickets`}</span>
                    </h2>
                    <ul>
                      {group.map((row) => (
                        <TicketRow key={row.sheet.ticket.id} row={row} now={row === current} on={on} />
                      ))}
                    </ul>
                  </section>
                )
              })
            )}
          </div>
          <FoldedReminders />
          <footer className="hidden h-11 shrink-0 items-center gap-4 border-t-2 border-ink px-4 text-mute phone:flex">
            <span className="flex items-center gap-1.5">
              <KeyCap>↑</KeyCap>
              <KeyCap>↓</KeyCap> move
            </span>
            <span className="flex items-center gap-1.5">
              <KeyCap>Enter</KeyCap> do the yellow thing
            </span>
            <button type="button" className="flex min-h-11 items-center gap-1.5" onClick={() => void openTicket({ counter: false })}>
              <KeyCap>N</KeyCap> new ticket
            </button>
            <span className="ml-auto flex items-center gap-1.5">
              <KeyCap>?</KeyCap> all keys
            </span>
          </footer>
          <div className="border-t-2 border-ink p-2 phone:hidden">
            <Button className="w-full" onClick={() => void openTicket({ counter: false })}>
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

function TicketRow({ row, now, on }: { row: Row; now: boolean; on: string }) {
  const { sheet, progress, urgency, due } = row
  const { ticket, dog } = sheet
  const body = useMemo(() => bodyOf(sheet.readings), [sheet.readings])
  const about = useMemo(() => aboutDog(dog, on), [dog, on])
  const items = sheet.items.filter((item) => !item.removed)
  const waits = progress.waitsFor
  const seen = waits.code === 'refit' || waits.code === 'look-again' ? waits.grade : waits.code === 'close' ? 'holds' : null
  const names = items.map((item) => familyName(item.family)).join(', ') || 'No item yet'
  return (
    <li id={`ticket-${ticket.id}`} className="border-b border-rule">
      <Link
        to={`/tickets/${ticket.id}`}
        className={`grid grid-cols-[78px_1fr_auto] items-center gap-x-2.5 pr-4 pl-[11px] max-md:py-1.5 md:grid-cols-[78px_120px_98px_142px_1fr_96px] ${now ? 'min-h-[66px] border-l-[5px] border-ink bg-bench' : `min-h-[54px] border-l-[5px] ${urgency === 'overdue' ? 'border-snag' : 'border-transparent'}`}`}
      >
        <DogOutline body={body} about={about} height={now ? 56 : 50} />
        <span className="min-w-0">
          <span className="block truncate font-display text-[19px] leading-[22px] font-bold">{dog?.name ?? 'Counter'}</span>
          <span className="block truncate text-[14px] leading-[18px] text-mute">
            {dog ? breedWords(dog) || `Ticket ${ticket.number}` : `Ticket ${ticket.number}`}
          </span>
          <span className="block truncate text-[14px] leading-[18px] md:hidden">{waitsForWords(waits)}</span>
        </span>
        <span className="hidden text-[15px] leading-[18px] md:block">{names}</span>
        <span className="hidden md:block">
          <MiniStitch states={stages.map((stage) => ({ stage, state: progress.states[stage] }))} current={progress.stage} />
          <span className="text-[14px] leading-[18px] text-mute">{stageName(progress.stage)}</span>
        </span>
        <span className="hidden items-center gap-2 md:flex">
          {now ? (
            <span className="inline-flex min-h-11 w-full items-center justify-between gap-2 border-2 border-ink bg-tape px-3 py-1 leading-[18px] font-bold text-tape-ink">
              {waitsForWords(waits)} <KeyCap tone="tape">Enter</KeyCap>
            </span>
          ) : (
            <>
              {seen && <Mark grade={seen} basis="seen" />}
              <span className="text-[15px] leading-[18px]">{waitsForWords(waits)}</span>
            </>
          )}
        </span>
        <span className={`text-right leading-[18px] ${urgency === 'overdue' ? 'text-snag' : ''}`}>
          <span className="block text-[15.5px] font-bold whitespace-nowrap">{due === null ? '' : due === on ? 'Today' : dayWords(due)}</span>
          {urgency === 'overdue' && due !== null && <span className="text-[14px]">{lateWords(due, on)}</span>}
        </span>
      </Link>
    </li>
  )
}
