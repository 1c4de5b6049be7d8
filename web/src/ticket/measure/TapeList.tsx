import { measures, standsAside, type FormMeasure, type Station } from '@merry-tailor/core'
import { ArrowRight } from 'lucide-react'
import { memo, type CSSProperties } from 'react'
import { Mark } from '../../ui/marks/Mark'
import { PLACES, STATIONS } from '../../words/measuring'
import { ordinal } from './ReadingsList'
import { RowNumber } from '../../length-entry'
import { ExpectedValue } from './ExpectedValue'
import { useBench, useBenchForm, type TapeRow } from '../../bench'

interface TapeListProps {
  rows: readonly TapeRow[]
  active: string
  onPick: (key: string) => void
}

/** The tapes to take, station by station; the active one is the yellow tape. A station can be drawn forward. */
export const TapeList = memo(function TapeList({ rows, active, onPick }: TapeListProps) {
  const [bench, change] = useBench()
  const { form, solved, suspects, next } = useBenchForm()
  const stations = [...new Set(rows.map((row) => measures[row.tape.measure]?.station ?? 5))]
  const forward = (station: Station): void => {
    change({ first: [station, ...bench.first.filter((each) => each !== station)] })
    const target = rows.find((row) => measures[row.tape.measure]?.station === station)
    if (target) onPick(target.key)
  }
  return (
    <div className="quiet-scroll min-h-0 flex-1 max-tablet:flex max-tablet:overflow-x-auto">
      {stations.map((station, s) => (
        <section key={station} aria-label={`Station ${STATIONS[station]}`} className="max-tablet:shrink-0">
          {stations.length > 1 && (
            <div className="flex min-h-8 items-center justify-between border-b border-rule bg-bench pr-1 pl-3.5">
              <h3 className="font-text text-[14px] font-bold text-mute">{STATIONS[station]}</h3>
              {s > 0 && (
                <button
                  type="button"
                  onClick={() => forward(station)}
                  className="min-h-11 px-2.5 text-[14px] font-semibold underline"
                  aria-label={`${STATIONS[station]} first`}
                >
                  take these first
                </button>
              )}
            </div>
          )}
          <ol className="max-tablet:flex">
            {rows.map((row, i) =>
              measures[row.tape.measure]?.station === station ? (
                <TapeItem
                  key={row.key}
                  row={row}
                  suspect={suspects.some((suspect) => suspect.measure === row.tape.measure)}
                  number={i + 1}
                  active={row.key === active}
                  onPick={onPick}
                  expected={solved && !row.agreed ? form.measures[row.tape.measure] : undefined}
                  best={next?.measure === row.tape.measure && !row.agreed}
                />
              ) : null,
            )}
          </ol>
        </section>
      ))}
    </div>
  )
})

interface TapeItemProps {
  row: TapeRow
  /** The form finds it odd beside the rest. */
  suspect: boolean
  number: number
  active: boolean
  onPick: (key: string) => void
  /** Where an untaken tape is expected to land. */
  expected: FormMeasure | undefined
  /** The tape that narrows the chosen items most. */
  best: boolean
}

const TapeItem = memo(function TapeItem({ row, suspect, number, active, onPick, expected, best }: TapeItemProps) {
  const measure = measures[row.tape.measure]
  const doubt = row.doubt || suspect
  const path = row.tape.place ? PLACES[row.tape.place] : measure?.path
  return (
    <li className="border-rule max-tablet:flex max-tablet:w-[304px] max-tablet:border-r tablet:border-b">
      <button
        type="button"
        id={`tape-${row.key}`}
        aria-current={active ? 'true' : undefined}
        onClick={() => onPick(row.key)}
        // Quiet words on the yellow tape are tape ink in both themes.
        style={active ? ({ '--mute': 'var(--tape-ink)' } as CSSProperties) : undefined}
        className={`relative grid w-full grid-cols-[22px_1fr_auto_56px] items-center gap-x-1.5 py-1 pr-3 pl-3.5 text-left ${active ? 'min-h-20 bg-tape pb-3.5 text-tape-ink' : `${row.tape.place ? 'min-h-[54px]' : 'min-h-[66px]'} hover:bg-bench`}`}
      >
        <span className={`text-[14.5px] font-bold ${active ? '' : 'text-mute'}`}>{number}</span>
        <span className="min-w-0">
          <span className="block text-[17px] leading-[21px] font-bold">{measure?.name}</span>
          <span className={`block text-[13.5px] leading-[17px] ${active ? '' : 'text-mute'}`}>
            {/* A narrow list keeps the path of the tape in hand alone; it is drawn on the plate besides. */}
            <span className={active ? 'max-tablet:hidden' : 'max-bench:hidden'}>
              {path}
              {measure?.school ? '; ' : ''}
            </span>
            {measure?.school ? `school ${measure.school}` : ''}
            {best && !active && <b className="block text-ink">Narrows the rest most</b>}
            {row.tape.either && !row.agreed ? `; or ${(measures[row.tape.either]?.name ?? '').toLowerCase()}` : ''}
          </span>
        </span>
        {expected && !row.derived && !active ? (
          <ExpectedValue measure={row.tape.measure} expected={expected} />
        ) : (
          <RowValue row={row} active={active} doubt={doubt} />
        )}
        <RowState row={row} active={active} doubt={doubt} />
        {active && <TickEdge />}
      </button>
    </li>
  )
})

function RowValue({ row, active, doubt }: { row: TapeRow; active: boolean; doubt: boolean }) {
  const kept = row.readings.filter((reading) => !reading.struck)
  const { measure } = row.tape
  if (active && row.agreed?.state !== 'agrees') {
    const last = kept.at(-1)
    return (
      <span className="text-right">
        <span className="block text-[18px] leading-[22px] font-bold">{ordinal(kept.length + 1)} now</span>
        {last && (
          <span className="block text-[15px] leading-[18px]">
            <RowNumber measure={measure} mm={last.mm} fine />
            {last.side === 'one' ? ' × 2' : ''}
          </span>
        )}
      </span>
    )
  }
  if (row.derived) {
    return (
      <span className="text-right">
        <span className="block text-[19px] leading-[24px] font-semibold text-mute">
          <RowNumber measure={measure} mm={row.derived.mm} />
        </span>
        <span className="block text-[13px] leading-[16px] text-mute">derived, not to order by</span>
      </span>
    )
  }
  if (!row.agreed || row.agreed.mm === null) return <span />
  const tone = active ? '' : doubt ? 'text-snag' : ''
  return (
    <span className={`text-right ${tone}`}>
      <span className={`block font-bold ${measures[measure]?.quantity === 'mass' ? 'text-[19px] leading-[24px]' : 'text-[25px] leading-[28px]'}`}>
        <RowNumber measure={measure} mm={row.agreed.mm} stacked />
      </span>
      <span className={`block text-[15px] leading-[18px] ${active ? '' : doubt ? 'text-snag' : 'text-mute'}`}>
        {kept.slice(-3).map((reading) => (
          <span
            key={reading.id}
            className={`ml-2 ${standsAside(reading, row.agreed) ? 'line-through' : ''} ${measures[measure]?.rule !== 'middle' && reading.mm === row.agreed?.mm && kept.length > 1 ? 'font-bold' : ''}`}
          >
            <RowNumber measure={measure} mm={reading.mm} fine />
            {standsAside(reading, row.agreed) && <span className="sr-only"> far off, not counted</span>}
          </span>
        ))}
        {kept[0]?.side === 'one' ? ' × 2' : ''}
      </span>
    </span>
  )
}

const NEED_WORDS = { must: 'to take', warning: 'to check', sheet: 'if you like' } as const

function RowState({ row, active, doubt }: { row: TapeRow; active: boolean; doubt: boolean }) {
  const state = row.agreed?.state ?? 'none'
  if (active)
    return (
      <span className="flex justify-center">
        {row.agreed?.state === 'agrees' ? <span className="text-[13.5px] font-bold">agree</span> : <ArrowRight size={20} strokeWidth={2.6} aria-hidden />}
      </span>
    )
  if (doubt) return <State grade="fails" word="Take again" colour="text-snag" />
  if (state === 'agrees') return <State grade="holds" word="agree" colour="text-holds" />
  if (state === 'third-wanted') return <State grade="doubt" word="3rd wanted" colour="text-chalk" />
  if (state === 'once') return <State grade="none" word="once" colour="text-mute" />
  return <State grade="none" word={NEED_WORDS[row.tape.need]} colour="text-mute" />
}

function State({ grade, word, colour }: { grade: 'holds' | 'doubt' | 'fails' | 'none'; word: string; colour: string }) {
  return (
    <span className={`flex flex-col items-center gap-0.5 text-center text-[13.5px] leading-[15px] font-bold ${colour}`}>
      <Mark grade={grade} basis="seen" size={19} />
      {word}
    </span>
  )
}

/** Ticks along the foot of the active row: it is the live tape. */
function TickEdge() {
  return (
    <svg aria-hidden className="absolute inset-x-0 bottom-0" width="100%" height={12}>
      <defs>
        <pattern id="row-ticks" width={49} height={12} patternUnits="userSpaceOnUse">
          {[0, 1, 2, 3, 4, 5, 6, 7].map((i) => (
            <line
              key={i}
              x1={4 + i * 6.1}
              x2={4 + i * 6.1}
              y1={12}
              y2={12 - (i === 0 ? 11 : i === 4 ? 8 : i % 2 === 0 ? 6 : 4)}
              stroke="var(--tape-ink)"
              strokeWidth={i === 0 ? 2 : 1.2}
            />
          ))}
        </pattern>
      </defs>
      <rect width="100%" height={12} fill="url(#row-ticks)" />
    </svg>
  )
}
