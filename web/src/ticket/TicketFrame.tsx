import { stages, type Stage, type StageState, type TicketSheet } from '@merry-tailor/core'
import { ChevronLeft } from 'lucide-react'
import { memo, useMemo, useState } from 'react'
import { Link, Navigate, Outlet, useLocation, useNavigate, useParams } from 'react-router'
import { OpenBench, useActs, useOpenTicket } from '../bench'
import { useTicketQuery } from '../api/queries'
import { NotKept, Strip, Warnings } from '../frame/Strip'
import { Refused } from '../frame/Refused'
import { SomebodyElse } from './SomebodyElse'
import { stageOf } from './stage-rooms'
import { useAppSelector } from '../state/store'
import { clock, dayWords } from '../state/today'
import { useToday } from '../state/use-today'
import { useKeys } from '../state/use-keys'
import { useTitle } from '../state/use-title'
import { useOnce } from '../state/use-once'
import { Button } from '../ui/controls/Button'
import { MiniStitch } from '../ui/stitch/MiniStitch'
import { RunningStitch } from '../said/RunningStitch'
import { Snag, Unrolling } from '../ui/State'
import { dogLine } from '../words/dogs'
import { upperFirst } from '../words/first-letter'
import { problemWords } from '../words/problems'
import { stageName } from '../words/stages'

/** Frame of a ticket: the strip with its stitch, and the stage under it. */
export function TicketFrame() {
  const { ticketId = '' } = useParams()
  const { data: sheet, error } = useTicketQuery(ticketId)
  if (!sheet) {
    return error ? (
      <div className="p-6">
        <Snag title="This ticket can’t be opened.">
          <p>{problemWords(error)} Nothing was changed.</p>
          <Link className="inline-flex min-h-11 items-center font-bold underline" to="/">
            Back to Today
          </Link>
        </Snag>
      </div>
    ) : (
      <Unrolling />
    )
  }
  return (
    <OpenBench sheet={sheet}>
      <FramedStage key={ticketId} />
    </OpenBench>
  )
}

function FramedStage() {
  const { sheet, progress, name } = useOpenTicket()
  const { pathname } = useLocation()
  const navigate = useNavigate()
  const here = stageOf(pathname) ?? progress.stage
  useTitle(`${name}, ${stageName(here)}`)
  const at = stages.indexOf(here)
  const base = `/tickets/${sheet.ticket.id}`
  const go = (by: number) => () => {
    // From the address itself: it is ahead of the screen while a stage is still being drawn.
    const now = stages.findIndex((stage) => window.location.pathname.endsWith(`/${stage}`))
    const next = stages[(now < 0 ? at : now) + by]
    if (next) void navigate(`${base}/${next}`, { flushSync: true })
  }
  useKeys({ '[': go(-1), ']': go(1) })
  const closed = sheet.ticket.state === 'closed'
  const room = pathname.split('/').at(-1) ?? ''
  const listed = useMemo(() => stages.map((stage) => ({ stage, state: progress.states[stage], to: `${base}/${stage}` })), [progress.states, base])
  return (
    <div className="relative flex h-dvh flex-col overflow-hidden print:block print:h-auto print:overflow-visible">
      <Strip title={<TicketTitle sheet={sheet} name={name} />}>
        <div className="hidden tablet:block">
          <RunningStitch stages={listed} current={here} />
        </div>
        <PhoneStages current={here} listed={listed} />
      </Strip>
      <Warnings />
      <NotKept />
      <Refused />
      <SomebodyElse ticketId={sheet.ticket.id} />
      {closed && !READ_ONLY_ROOMS.has(room) && <ClosedBar closedAt={sheet.ticket.closedAt} />}
      <main className="flex min-h-0 flex-1 flex-col print:block">
        {closed && !READ_ONLY_ROOMS.has(room) ? (
          // A closed ticket is a record: nothing in it can be pressed or typed, everything can be read and followed.
          <fieldset disabled className="contents">
            <Outlet />
          </fieldset>
        ) : (
          <Outlet />
        )}
      </main>
    </div>
  )
}

/** Rooms that change nothing, and the one that opens a ticket again. */
const READ_ONLY_ROOMS: ReadonlySet<string> = new Set(['finish', 'docket', 'order', 'form', 'cards'])

/** Over every stage of a closed ticket: since when, and the way to open it again. */
function ClosedBar({ closedAt }: { closedAt: string | null }) {
  const acts = useActs()
  const once = useOnce()
  const [refused, setRefused] = useState<string | null>(null)
  const open = async (): Promise<void> => {
    const { error } = await acts.change([
      { field: 'state', from: 'closed', to: 'open' },
      { field: 'closedAt', from: closedAt, to: null },
    ])
    setRefused(error ? problemWords(error) : null)
  }
  return (
    <div role="status" className="flex shrink-0 flex-wrap items-center justify-between gap-x-4 border-b-2 border-ink bg-chalk-bg px-5 py-1.5 print:hidden">
      <p>
        <b>Closed{closedAt ? ` ${dayWords(closedAt.slice(0, 10))}` : ''}.</b> It can be read; nothing in it can be changed. {refused ?? ''}
      </p>
      <Button onClick={() => void once(open)}>Open again</Button>
    </div>
  )
}

function TicketTitle({ sheet, name }: { sheet: TicketSheet; name: string }) {
  const on = useToday()
  const saving = useAppSelector((state) => state.saving)
  const unit = useAppSelector((state) => state.settings.unit)
  const { closedAt } = sheet.ticket
  const closed = sheet.ticket.state === 'closed' ? `closed${closedAt ? ` ${dayWords(closedAt.slice(0, 10))}` : ''}` : ''
  const notSent = saving.waiting > 0 ? `Not sent: ${saving.waiting}, kept here. ` : ''
  const saved = saving.waiting > 0 ? '' : saving.failure ? 'not saved' : saving.savedAt ? `saved ${clock(saving.savedAt)}` : ''
  const number = sheet.ticket.number === 0 ? 'New ticket' : `Ticket ${sheet.ticket.number}`
  return (
    <div className="flex min-w-0 items-center gap-2">
      <Link to="/" aria-label="Back to Today" className="-ml-1 flex size-11 shrink-0 items-center justify-center phone:hidden">
        <ChevronLeft size={28} aria-hidden />
      </Link>
      <div className="min-w-0 phone:w-[150px] lg:w-[230px] bench:w-[264px]">
        <p className="flex items-baseline gap-3">
          <span className="truncate font-display text-[20px] leading-6 font-bold phone:text-[25px] phone:leading-[27px]">{name}</span>
          <span className="hidden shrink-0 text-[15.5px] font-semibold text-cloth-mute lg:inline">{number}</span>
        </p>
        <p className="truncate text-[13.5px] leading-[18px] text-cloth-mute phone:text-[14.5px]">
          <span className="phone:hidden">
            {notSent}
            {number}
            {closed ? `, ${closed}` : saved && `, ${saved}`}
          </span>
          <span className="hidden phone:inline">
            {closed && <b>{upperFirst(closed)}. </b>}
            {sheet.dog ? dogLine(sheet.dog, on, unit) : 'No dog record yet'}
          </span>
        </p>
      </div>
    </div>
  )
}

/** On a phone the stages open as full-width rows under the mini stitch. */
const PhoneStages = memo(function PhoneStages({ current, listed }: { current: Stage; listed: readonly { stage: Stage; state: StageState; to: string }[] }) {
  return (
    <details className="group relative tablet:hidden">
      <summary className="flex min-h-11 cursor-pointer list-none flex-col items-end justify-center gap-1 px-3">
        <MiniStitch states={listed} current={current} on="cloth" />
        <span className="text-[14px] leading-4 font-bold text-tape">{stageName(current)}</span>
      </summary>
      <ol className="fixed inset-x-0 top-[54px] z-30 border-b-2 border-ink bg-panel text-ink">
        {listed.map(({ stage, to }) => (
          <li key={stage}>
            <Link
              to={to}
              onClick={(event) => event.currentTarget.closest('details')?.removeAttribute('open')}
              className={`flex min-h-12 items-center border-b border-rule px-4 text-[16px] font-bold ${stage === current ? 'bg-tape text-tape-ink' : ''}`}
            >
              {stageName(stage)}
            </Link>
          </li>
        ))}
      </ol>
    </details>
  )
})

/** `/tickets/:id` leads to the stage the work is at. */
export function TicketStart() {
  const { progress, sheet } = useOpenTicket()
  return <Navigate to={`/tickets/${sheet.ticket.id}/${progress.stage}`} replace />
}
