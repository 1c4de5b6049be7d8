import { measures } from '@merry-tailor/core'
import { ChevronDown, Delete, Undo2 } from 'lucide-react'
import { useState } from 'react'
import { Link } from 'react-router'
import { useAppSelector } from '../../state/store'
import { valueStyle } from '../../state/settings'
import { BigInch } from '../../ui/tape/BigInch'
import { Fraction } from '../../ui/length/Fraction'
import { Worded } from '../../ui/length/Worded'
import { aroundOf, entryNote, pinsOf, type EntryPanelProps } from './EntryPanel'
import { rangeWords } from '../../words/expected'
import { PLACES, tapeName } from '../../words/measuring'
import { AtTheDog, usePrompt } from './AtTheDog'
import { BenchTools } from './BenchTools'
import { LengthField } from '../../length-entry'
import { AboutMeasure } from './MeasureHead'
import {
  TapeQuestion,
  RestBlock,
  stateWords,
  useActs,
  useExpected,
  lastTimeWords,
  useLastTime,
  useOpenTicket,
  useQuestion,
  useTapes,
  WhoReads,
  type TapeRow,
} from '../../bench'
import { PhoneTapes } from './PhoneTapes'
import { TakeOverBlock } from './TakeOverBlock'
import { TakenHow } from './TakenHow'
import { PlateView } from './PlateView'
import { ordinal, ReadingsList } from './ReadingsList'

interface PhoneMeasureProps extends EntryPanelProps {
  rows: readonly TapeRow[]
  at: number
  turn: number
  onTurn: () => void
  onSkip: () => void
  onPick: (key: string) => void
  /** Strikes what is asked about and goes to it. */
  onAgain: (measure: string) => void
}

const DIGITS = ['1', '2', '3', '4', '5', '6', '7', '8', '9'] as const
const EIGHTHS = [
  [1, 8],
  [1, 4],
  [3, 8],
  [1, 2],
  [5, 8],
  [3, 4],
  [7, 8],
] as const

/** One measure to a screen, one thumb: the bottom is our own pad, the system keyboard stays shut. */
export function PhoneMeasure({ entry, row, kept, pin, onKey, onUnit, rows, at, turn, onTurn, onSkip, onPick, onAgain }: PhoneMeasureProps) {
  const settings = useAppSelector((state) => state.settings)
  const { unit, hand } = settings
  const measure = measures[row.tape.measure]
  const expected = useExpected(row, entry.oneSide)
  const look = { ...valueStyle(settings), unit }
  const note = entryNote(entry, unit, look.step, expected && rangeWords(row.tape.measure, expected, look))
  const whole = /^\d*(?:\.\d*)?/.exec(entry.typed.trim())?.[0] ?? ''
  const press = (key: string): void => entry.setTyped(`${entry.typed}${key}`)
  const fraction = (n: number, d: number): void => entry.setTyped(`${whole.split('.')[0] ? `${whole.split('.')[0]} ` : ''}${n}/${d}`)
  const key = 'flex min-h-11 items-center justify-center rounded-[2px] border border-edge bg-panel font-bold active:bg-ink active:text-panel'
  const big = `${key} text-[25px]`
  const small = `${key} text-[15px]`
  const decimal = (share: string): void => entry.setTyped(`${whole.split('.')[0] || '0'}.${share}`)

  const bone = usePrompt(row.tape.measure)?.bone ?? null
  const { sheet } = useOpenTicket()
  const acts = useActs()
  const { agreeing } = useTapes()
  const { question, waiting, later } = useQuestion()
  const [shown, setShown] = useState<'how' | 'tapes' | null>(null)
  const show = (what: 'how' | 'tapes'): void => setShown(shown === what ? null : what)
  const last = useLastTime(row.key)
  const allTaken = rows.every((each) => each.derived !== null || (each.agreed?.state === 'agrees' && !each.doubt))
  const state = stateWords(row, look)
  const said = entry.typed === '' && entry.problem === null && state !== '' ? state : note
  const over =
    shown === 'how' && measure ? (
      <div className="space-y-1 px-3.5 py-2 text-[15px] leading-[19px]">
        <p>{measure.path}.</p>
        <p>{measure.howTo.stand}</p>
        <p>{measure.howTo.howTight}</p>
        <p className="text-mute">Usual slip: {measure.howTo.usualSlip}</p>
        <AboutMeasure row={row} />
        <TakenHow row={row} />
        <BenchTools rows={rows} onPick={onPick} />
      </div>
    ) : shown === 'tapes' ? (
      <PhoneTapes
        rows={rows}
        active={row.key}
        look={look}
        onPick={(key) => {
          setShown(null)
          onPick(key)
        }}
      />
    ) : question ? (
      <div role="alert">
        <TapeQuestion bare question={question} inHand={question.measure === row.tape.measure} onAgain={onAgain} />
        <button type="button" onClick={later} className="min-h-11 px-[18px] font-semibold underline">
          Later{waiting > 1 ? `; ${waiting - 1} more ${waiting === 2 ? 'question' : 'questions'}` : ''}
        </button>
      </div>
    ) : allTaken && entry.typed === '' ? (
      <div className="px-3.5 py-2">
        <p className="font-display text-[22px] leading-7 font-bold">All {rows.length} taken.</p>
        <PhoneTapes rows={rows} active={row.key} look={look} onPick={onPick} />
      </div>
    ) : null

  return (
    <div className="flex min-h-0 flex-1 flex-col">
      <header className="flex shrink-0 items-stretch border-b-2 border-ink bg-bench pl-3.5">
        <div className="flex min-w-0 flex-1 flex-col">
          <h1 className="min-w-0">
            <button
              type="button"
              aria-expanded={shown === 'tapes'}
              title="All tapes"
              onClick={() => show('tapes')}
              className="flex min-h-11 w-full items-center gap-2 text-left font-display text-[23px] leading-[26px] font-bold"
            >
              <span className="min-w-0 truncate">{measure?.name}</span>
              <ChevronDown size={20} aria-hidden className="shrink-0" />
            </button>
          </h1>
          <p className="-mt-1.5 pb-1 text-[14px] leading-[17px] text-mute">
            {row.tape.place ? `${PLACES[row.tape.place]}, ` : ''}
            {at + 1} of {rows.length}, {agreeing} agree
            {last ? `. ${lastTimeWords(row.tape.measure, last, look)}` : ''}
          </p>
        </div>
        <button
          type="button"
          aria-label="Undo"
          aria-disabled={!acts.undo}
          onClick={() => acts.undo?.()}
          className="inline-flex w-11 items-center justify-center aria-disabled:text-mute"
        >
          <Undo2 size={20} aria-hidden />
        </button>
        <button type="button" aria-expanded={shown === 'how'} onClick={() => show('how')} className="px-3 text-[15px] font-bold">
          How
        </button>
      </header>
      <WhoReads />
      <AtTheDog measure={row.tape.measure} />
      <TakeOverBlock />
      <RestBlock />
      <div className="relative flex min-h-[110px] flex-1 border-b-2 border-ink">
        <button type="button" onClick={onTurn} aria-label="The form from another side" className="flex min-h-[110px] flex-1">
          <PlateView rows={rows} active={row} doubled={entry.oneSide} turn={turn} phone bone={bone} />
        </button>
        {over && (
          // What covers the plate covers nothing else: the field and the pad stay under the thumb.
          <div className="quiet-scroll absolute inset-0 z-10 bg-panel">{over}</div>
        )}
      </div>
      <div className="shrink-0 bg-panel px-3.5 pt-2">
        <div className="grid grid-cols-[1fr_124px] gap-3">
          <LengthField
            label={`${tapeName(row.tape.measure, row.tape.place)}${entry.oneSide ? ', one side' : ''}`}
            value={entry.typed}
            onChange={entry.setTyped}
            onKey={onKey}
            unit={entry.weight ? (unit === 'in' ? 'lb' : 'kg') : unit}
            ownPad
            problem={entry.problem}
            describedBy="entry-note"
            size={44}
          />
          {entry.doubling ? (
            <button
              type="button"
              role="switch"
              aria-checked={entry.oneSide}
              onClick={() => entry.setOneSide(!entry.oneSide)}
              className={`min-h-11 border-2 border-ink px-1 text-[14.5px] leading-[17px] font-bold ${entry.oneSide ? 'bg-ink text-panel' : 'bg-panel'}`}
            >
              One side, doubled
            </button>
          ) : (
            <div className="flex flex-col justify-center">
              <p className="font-bold">{ordinal(kept.length + 1)} reading</p>
              <ReadingsList name={measure?.name ?? ''} readings={row.readings} agreed={row.agreed} onStrike={entry.strike} onRestore={entry.restore} />
            </div>
          )}
        </div>
        <div className="flex min-h-[26px] items-center justify-between gap-2">
          <p
            id="entry-note"
            role={entry.problem ? 'alert' : undefined}
            className={`truncate text-[14.5px] ${entry.problem ? 'font-semibold whitespace-normal text-snag' : entry.parsed.ok ? 'font-bold' : 'text-mute'}`}
          >
            <Worded text={said} />
          </p>
          {entry.doubling && kept.length > 0 && <span className="shrink-0 text-[14px] text-mute">{ordinal(kept.length)} pinned</span>}
        </div>
        {entry.weight ? (
          <div className="h-[44px]" />
        ) : (
          <BigInch
            unit={unit}
            mm={entry.mm}
            aroundMm={aroundOf(kept, row.tape.measure, expected)}
            pins={pinsOf(kept)}
            span={0.5}
            height={44}
            onSet={entry.setMm}
          />
        )}
      </div>
      <div className={`grid h-[224px] shrink-0 gap-x-4 bg-bench px-1.5 pt-2 ${hand === 'right' ? 'grid-cols-[1.5fr_1fr]' : 'grid-cols-[1fr_1.5fr]'}`}>
        <div className={`grid grid-cols-3 grid-rows-4 gap-1.5 ${hand === 'left' ? 'order-2' : ''}`}>
          {DIGITS.map((digit) => (
            <button key={digit} type="button" className={big} onClick={() => press(digit)}>
              {digit}
            </button>
          ))}
          <button
            type="button"
            className={small}
            onClick={() => press(unit === 'in' && !entry.weight ? ' ' : '.')}
            aria-label={unit === 'in' && !entry.weight ? 'space' : 'point'}
          >
            {unit === 'in' && !entry.weight ? 'space' : '.'}
          </button>
          <button type="button" className={big} onClick={() => press('0')}>
            0
          </button>
          <button type="button" className={big} aria-label="Take back" onClick={() => entry.setTyped(entry.typed.replace(/(?: ?\d\/\d|.)$/, ''))}>
            <Delete size={26} aria-hidden />
          </button>
        </div>
        <div className="grid grid-cols-2 grid-rows-4 gap-1.5">
          {unit === 'in' && !entry.weight
            ? EIGHTHS.map(([n, d]) => (
                <button
                  key={`${n}/${d}`}
                  type="button"
                  className={`${big} border-2 border-ink aria-pressed:bg-ink aria-pressed:text-panel`}
                  aria-label={`${n}/${d}`}
                  aria-pressed={entry.typed.endsWith(`${n}/${d}`)}
                  onClick={() => fraction(n, d)}
                >
                  <Fraction whole="" numerator={n} denominator={d} stacked />
                </button>
              ))
            : ['1', '2', '3', '4', '5', '6', '8'].map((tenth) => (
                <button
                  key={tenth}
                  type="button"
                  className={`${big} border-2 border-ink aria-pressed:bg-ink aria-pressed:text-panel`}
                  aria-label={`point ${tenth}`}
                  aria-pressed={entry.typed.endsWith(`.${tenth}`)}
                  onClick={() => decimal(tenth)}
                >
                  .{tenth}
                </button>
              ))}
          <button type="button" className={small} onClick={onUnit} aria-label={`Unit: ${unit}, change`}>
            in / cm
          </button>
        </div>
      </div>
      <div className={`grid h-[78px] shrink-0 gap-1.5 bg-bench p-1.5 ${hand === 'right' ? 'grid-cols-[142px_1fr]' : 'grid-cols-[1fr_142px]'}`}>
        <button type="button" onClick={onSkip} className={`border-2 border-ink bg-panel text-[16px] font-bold ${hand === 'left' ? 'order-2' : ''}`}>
          Skip for now
        </button>
        {allTaken && question === null && entry.typed === '' ? (
          <Link
            to={`/tickets/${sheet.ticket.id}/choose`}
            className="flex items-center justify-center border-2 border-ink bg-tape text-[22px] font-bold text-tape-ink"
          >
            Choose
          </Link>
        ) : (
          <button type="button" onClick={pin} className="border-2 border-ink bg-tape text-[22px] font-bold text-tape-ink">
            Pin it
          </button>
        )}
      </div>
    </div>
  )
}
