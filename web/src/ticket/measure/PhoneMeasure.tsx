import { measures } from '@merry-tailor/core'
import { ChevronDown, Delete } from 'lucide-react'
import { useAppSelector } from '../../state/store'
import { valueStyle } from '../../state/settings'
import { BigInch } from '../../ui/tape/BigInch'
import { Fraction } from '../../ui/length/Fraction'
import { Worded } from '../../ui/length/Worded'
import { aroundOf, entryNote, pinsOf, type EntryPanelProps } from './EntryPanel'
import { rangeWords } from '../../words/expected'
import { PLACES, tapeName } from '../../words/measuring'
import { BenchTools } from './BenchTools'
import { LengthField } from '../../length-entry'
import { AboutMeasure } from './MeasureHead'
import { RestBlock, useExpected, type TapeRow } from '../../bench'
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
export function PhoneMeasure({ entry, row, kept, pin, onKey, onUnit, rows, at, turn, onTurn, onSkip, onPick }: PhoneMeasureProps) {
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

  return (
    <div className="flex min-h-0 flex-1 flex-col">
      <header className="shrink-0 border-b-2 border-ink bg-bench px-3.5 pt-2">
        <div className="flex items-baseline justify-between gap-2">
          <h1 className="min-w-0 truncate text-[25px] leading-[30px]">{measure?.name}</h1>
          <span className="shrink-0 text-[15px] text-mute">
            {row.tape.place ? `${PLACES[row.tape.place]}, ` : ''}
            {at + 1} of {rows.length}
          </span>
        </div>
        <details className="group text-[15px] leading-[19px]">
          <summary className="flex min-h-11 cursor-pointer list-none items-center gap-2">
            <span className="min-w-0 flex-1 truncate text-mute">{measure?.howTo.howTight ?? measure?.path}</span>
            <b>How</b>
            <ChevronDown size={20} aria-hidden />
          </summary>
          {measure && (
            <div className="space-y-1 pb-1">
              <p>{measure.howTo.stand}</p>
              <p>{measure.howTo.howTight}</p>
              <p className="text-mute">Usual slip: {measure.howTo.usualSlip}</p>
              <AboutMeasure row={row} />
              <TakenHow row={row} />
              <BenchTools rows={rows} onPick={onPick} />
            </div>
          )}
        </details>
      </header>
      <RestBlock />
      <button type="button" onClick={onTurn} aria-label="The form from another side" className="flex min-h-[110px] flex-1 border-b-2 border-ink">
        <PlateView rows={rows} active={row} doubled={entry.oneSide} turn={turn} phone />
      </button>
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
            <Worded text={note} />
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
        <button type="button" onClick={pin} className="border-2 border-ink bg-tape text-[22px] font-bold text-tape-ink">
          Pin it
        </button>
      </div>
    </div>
  )
}
