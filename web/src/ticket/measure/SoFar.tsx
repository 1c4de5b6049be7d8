import type { Item, MeasureFit, Offer } from '@merry-tailor/core'
import { memo } from 'react'
import { Link } from 'react-router'
import { DevicePanel, type Device } from '../../device'
import { valueStyle } from '../../state/settings'
import { useAppSelector } from '../../state/store'
import { KeyCap } from '../../ui/controls/KeyCap'
import { VerdictWord } from '../../said/VerdictWord'
import { faceOf } from '../../words/offer-face'
import { familyName, measureName, wayName } from '../../words/stages'
import { SizeTape } from '../../sizes/SizeTape'
import { TapeQuestion, useRanked, useOpenTicket, useQuestions, useBench, useTapes } from '../../bench'
import { LettersBlock } from './LettersBlock'
import { WeightBlock } from './WeightBlock'

interface SoFarProps {
  active: string
  onAgain: (measure: string) => void
  device: Device
  /** The tape a squeeze would pin into. */
  waitsFor: string
}

/** What the tapes say so far: the questions they raise, the numbers that wait, then each item's size as it stands. */
export const SoFar = memo(function SoFar({ active, onAgain, device, waitsFor }: SoFarProps) {
  const { sheet } = useOpenTicket()
  const [bench] = useBench()
  const { rows, left } = useTapes()
  const questions = useQuestions()
  // With nothing left to take or to ask the way on is the thing to do.
  const done = left === 0 && questions.length === 0
  const items = sheet.items.filter((item) => !item.removed)
  const answered = rows.filter((row) => row.agreed).length
  return (
    <aside aria-label="What the tapes say so far" className="flex min-h-0 flex-1 flex-col bg-panel">
      {/* Where it opens from the foot, its handle says so already. */}
      <h2 className="hidden shrink-0 border-b-2 border-ink px-[18px] py-2 text-[19px] leading-6 bench:block">What the tapes say so far</h2>
      <div className="quiet-scroll min-h-0 flex-1">
        {questions.map((question) => (
          <TapeQuestion key={question.key} question={question} inHand={question.measure === active} onAgain={onAgain} />
        ))}
        <LettersBlock />
        <WeightBlock />
        {(bench.method === 'digital' || device.port !== null || device.problem !== null) && <DevicePanel device={device} waitsFor={waitsFor} />}
        {items.map((item) => (
          <ItemSoFar key={item.id} item={item} />
        ))}
        {items.length === 0 && <p className="px-[18px] py-4 text-mute">No item on this ticket yet, so no tape is wanted. Choose one under Ask.</p>}
      </div>
      <Link
        to={`/tickets/${sheet.ticket.id}/choose`}
        className={`flex shrink-0 items-center gap-4 border-t-2 border-ink px-[18px] py-1.5 ${done ? 'min-h-14 bg-tape text-tape-ink' : 'min-h-11 hover:bg-bench'}`}
      >
        <span className="font-display text-[18px] font-bold">Choose</span>
        <span className={`flex-1 text-[13.5px] leading-[16px] ${done ? '' : 'text-mute'}`}>
          answers from {answered === 1 ? '1 tape' : `${answered} tapes`}
          {left > 0 ? `, ${left} more would narrow it` : ''}
        </span>
        <KeyCap tone={done ? 'tape' : 'paper'}>{done ? 'Enter' : ']'}</KeyCap>
      </Link>
    </aside>
  )
})

function ItemSoFar({ item }: { item: Item }) {
  const settings = useAppSelector((state) => state.settings)
  const look = { ...valueStyle(settings), unit: settings.unit }
  const { ranked, body, out, cutHere } = useRanked(item)
  const best = ranked[0]
  const fit = best ? tellingFit(best) : null
  return (
    <section className="border-b border-rule px-[18px] pt-2.5 pb-2.5" aria-label={familyName(item.family)}>
      <div className="flex flex-wrap items-center justify-between gap-x-2">
        <h3 className="text-[18px] leading-[22px]">{familyName(item.family)}</h3>
        {!cutHere && <VerdictWord grade={best?.grade ?? 'none'} basis={best?.basis ?? 'predicted'} size={19} />}
      </div>
      {cutHere ? (
        <p className="text-mute">Cut here from these tapes. Its pieces are drawn under Choose.</p>
      ) : out ? null : !best ? (
        <p className="text-mute">No size table for it yet. Bring one in under Sizes.</p>
      ) : (
        <>
          <p className="text-[13.5px] text-mute">
            {faceOf(best).maker}, {best.kind === 'gear' ? 'ours' : wayName(faceOf(best).way).toLowerCase()}
            {fit ? `; ${measureName(fit.measure)}` : ''}
          </p>
          {fit && <SizeTape table={best.judged} measure={fit.measure} hit={best.best?.label ?? null} body={body} look={look} />}
          <p className="mt-0.5">{saysWords(best)}</p>
        </>
      )}
    </section>
  )
}

/** The measure that tells most about the best size: the one that decides it, else the first. */
function tellingFit(ranked: Offer): MeasureFit | null {
  const { best } = ranked
  return best?.perMeasure.find((fit) => fit.measure === best.because.measure) ?? best?.perMeasure.find((fit) => fit.mm !== null) ?? best?.perMeasure[0] ?? null
}

/** `Neck says Cedar. Overall length says Birch.`: each measure's own best size. */
function saysWords(ranked: Offer) {
  const ids = ranked.best?.perMeasure.filter((fit) => fit.mm !== null && !fit.guess).map((fit) => fit.measure) ?? []
  if (ids.length === 0) return 'No tape yet that this maker sizes by.'
  if (ranked.kind === 'made') return ranked.grade === 'fails' ? 'Outside what this maker cuts.' : 'Within what this maker cuts.'
  return ids.map((id) => {
    const near = ranked.sizes
      .map((size) => ({ label: size.label, fit: size.perMeasure.find((each) => each.measure === id) }))
      .sort((a, b) => Math.abs(a.fit?.byMm ?? 1e9) - Math.abs(b.fit?.byMm ?? 1e9) || (b.fit?.chance ?? 0) - (a.fit?.chance ?? 0))[0]
    const inside = near?.fit?.byMm === 0
    return (
      <span key={id}>
        {measureName(id)} says{' '}
        {inside ? (
          <b>{near.label}</b>
        ) : (
          <>
            none; nearest <b>{near?.label}</b>
          </>
        )}
        .{' '}
      </span>
    )
  })
}
