import { cautionKey, cautionsOf, newestFor, nextLook, wornFor, readOf, roundVerdict, wornAbout, type Change } from '@merry-tailor/core'
import { format } from 'date-fns'
import { useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { usePiecesQuery } from '../../api/queries'
import { dayWords, today } from '../../state/today'
import { useKeys } from '../../state/use-keys'
import { useOnce } from '../../state/use-once'
import { Button } from '../../ui/controls/Button'
import { KeyCap } from '../../ui/controls/KeyCap'
import { DayField } from '../../ui/date'
import { roundWord } from '../../words/verdicts'
import { VerdictWord } from '../../said/VerdictWord'
import { Snag } from '../../ui/State'
import { cautionWords } from '../../words/cautions'
import { choiceWords } from '../../words/choices'
import { problemWords } from '../../words/problems'
import { familyName, measureName, wayName } from '../../words/stages'
import { saveField } from '../../state/save-field'
import { useOpenTicket, useActs } from '../../bench'
import { FitWidth } from '../../ui/FitWidth'
import { useAppSelector } from '../../state/store'
import { DOCKET_MM, DocketPage } from './Docket'
import { RugPieces } from './RugPieces'
import { ToConfirm } from './ToConfirm'
import { Problem } from '../../ui/controls/Problem'

/** Finish: what was chosen and seen, the day to look again, the docket, and closing the ticket. */
export function FinishStage() {
  const paper = useAppSelector((state) => state.settings.paper)
  const { sheet, progress, name } = useOpenTicket()
  const { ticket } = sheet
  const items = sheet.items.filter((item) => !item.removed)
  const closed = ticket.state === 'closed'
  const acts = useActs()
  const once = useOnce()
  const { data: pieces } = usePiecesQuery(undefined)
  const [problem, setProblem] = useState<string | null>(null)
  const navigate = useNavigate()
  const send = (changes: Change[]) => acts.change(changes)
  const print = (): void => void navigate(`/tickets/${ticket.id}/docket`)
  useKeys({ Enter: print })
  const setState = async (state: 'open' | 'closed'): Promise<void> => {
    const answer = await send([
      { field: 'state', from: ticket.state, to: state },
      { field: 'closedAt', from: ticket.closedAt, to: state === 'closed' ? new Date().toISOString() : null },
    ])
    setProblem(answer.error ? `Not ${state === 'closed' ? 'closed' : 'opened'}. ${problemWords(answer.error)}` : null)
  }
  const missing = [
    ...(items.length === 0 ? ['no item was chosen'] : []),
    ...(progress.waitsFor.code === 'tape' ? [`${measureName(progress.waitsFor.measure).toLowerCase()} was not taken`] : []),
    ...(progress.counts.chosen < items.length ? ['a size is not chosen yet'] : []),
    ...(progress.counts.fitted < items.length ? ['not every check was seen to hold'] : []),
  ]
  const cautions = cautionsOf(sheet, today())
  const proposed = nextLook(sheet.dog, today())
  const stops = cautions.filter((caution) => caution.level === 'stop')
  const confirms = cautions.filter((caution) => caution.level === 'confirm')
  return (
    <div className="min-h-0 flex-1 max-lg:overflow-y-auto lg:grid lg:grid-cols-[404px_1fr]">
      <section aria-label="Finish" className="flex min-h-0 flex-col bg-panel lg:border-r-2 lg:border-ink">
        <div className="quiet-scroll min-h-0 flex-1 px-5 py-3">
          <h1 className="text-[26px] leading-[34px]">
            {closed ? `Closed${ticket.closedAt ? ` ${dayWords(format(new Date(ticket.closedAt), 'yyyy-MM-dd'))}` : ''}` : `Finish for ${name}`}
          </h1>
          <ul className="mt-2">
            {items.map((item) => {
              const choice = wornFor(sheet.choices, item.id)
              const round = newestFor(sheet.tryOns, item.id)
              const verdict = round ? roundVerdict(item.family, round, wornAbout(sheet)) : null
              return (
                <li key={item.id} className="border-t border-rule py-2.5">
                  <p className="text-[17px] font-bold">{familyName(item.family)}</p>
                  <p className="text-mute">
                    {wayName(item.way)}
                    {choice ? `. Chosen: ${choiceWords(choice, pieces)}` : '. No size chosen yet'}
                  </p>
                  <RugPieces item={item} />
                  <p className="mt-1 flex flex-wrap items-center gap-x-3">
                    <VerdictWord grade={verdict?.grade ?? 'none'} basis="seen" {...(verdict ? { word: roundWord(verdict) } : {})} />
                    {round && verdict && (
                      <span className="text-mute">
                        {verdict.word
                          ? `${round.label}, ${verdict.word.by || 'the fitter'}’s word`
                          : `${round.label}, ${verdict.seen} of ${verdict.wanted} checks seen`}
                      </span>
                    )}
                  </p>
                </li>
              )
            })}
          </ul>
          {missing.length > 0 && !closed && (
            <p className="border-t border-rule py-2.5">
              <b>Still open:</b> {missing.join('; ')}. It can be finished all the same; the docket says so.
            </p>
          )}
          {stops.map((stop) => (
            <div key={cautionKey(stop)} className="mb-2">
              <Snag title={cautionWords(stop).title}>
                {readOf(stop, cautions, sheet.acknowledgements) ? 'Answered with a reason; both are on the docket.' : 'Not overruled. It stands on the docket.'}
              </Snag>
            </div>
          ))}
          {confirms.length > 0 && (
            <ul aria-label="To confirm" className="border-t border-rule py-1">
              {confirms.map((each) => (
                <ToConfirm key={cautionKey(each)} caution={each} all={cautions} />
              ))}
            </ul>
          )}
          <div className="grid gap-3 border-t-2 border-ink pt-3">
            <DayField
              label="Next visit on"
              value={ticket.nextLookOn ?? ''}
              hint="Growth, weight and straps change."
              onSave={(day, seen) =>
                closed
                  ? Promise.resolve({ kept: false, problem: 'The ticket is closed. Open it again first.' })
                  : saveField(send, 'nextLookOn', seen || null, day || null)
              }
            />
            {proposed !== null && ticket.nextLookOn === null && !closed && (
              <Button onClick={() => void saveField(send, 'nextLookOn', null, proposed)}>It still grows: look again {dayWords(proposed)}</Button>
            )}
          </div>
          <Problem className="mt-3">{problem}</Problem>
        </div>
        <footer className="flex shrink-0 gap-3 border-t-2 border-ink p-3">
          <Link
            to={`/tickets/${ticket.id}/docket`}
            className="inline-flex min-h-14 flex-1 items-center justify-between rounded-[2px] border-2 border-ink bg-tape px-4 text-[18px] font-bold text-tape-ink"
          >
            Docket <KeyCap tone="tape">Enter</KeyCap>
          </Link>
          <Button className="min-h-14" onClick={() => void once(() => setState(closed ? 'open' : 'closed'))}>
            {closed ? 'Open again' : 'Close the ticket'}
          </Button>
        </footer>
      </section>
      <section aria-label="Docket, as it prints" className="mat quiet-scroll hidden min-h-0 p-5 lg:block" tabIndex={0}>
        <FitWidth widthMm={DOCKET_MM[paper]}>
          <div className="mx-auto w-fit border-[1.5px] border-ink">
            <DocketPage />
          </div>
        </FitWidth>
      </section>
    </div>
  )
}
