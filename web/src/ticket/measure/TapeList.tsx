import type { CSSProperties } from 'react'
import { measures } from '@merry-tailor/core'
import { ArrowRight } from 'lucide-react'
import { readingStyle, valueStyle } from '../../app/settings'
import { useAppSelector } from '../../app/store'
import { Length } from '../../ui/length/Fraction'
import { Mark } from '../../ui/marks/Mark'
import { ordinal } from './ReadingsList'
import type { TapeRow } from './use-tapes'

/** The tapes to take, in station order; the active one is the yellow tape. */
export function TapeList({ rows, active, onPick }: { rows: readonly TapeRow[]; active: string; onPick: (measure: string) => void }) {
  return (
    <ol className="quiet-scroll min-h-0 flex-1">
      {rows.map((row, i) => (
        <li key={row.tape.measure} className="border-b border-rule">
          <button
            type="button"
            id={`tape-${row.tape.measure}`}
            aria-current={row.tape.measure === active ? 'true' : undefined}
            onClick={() => onPick(row.tape.measure)}
            // Quiet words on the yellow tape are tape ink in both themes.
            style={row.tape.measure === active ? ({ '--mute': 'var(--tape-ink)' } as CSSProperties) : undefined}
            className={`relative grid w-full grid-cols-[22px_1fr_auto_46px] items-center gap-x-2 pr-3 pl-3.5 text-left ${row.tape.measure === active ? 'min-h-20 bg-tape pb-2 text-tape-ink' : 'min-h-[70px] hover:bg-bench'}`}
          >
            <span className={`text-[14.5px] font-bold ${row.tape.measure === active ? '' : 'text-mute'}`}>{i + 1}</span>
            <span className="min-w-0">
              <span className="block text-[17px] leading-[21px] font-bold">{measures[row.tape.measure]?.name}</span>
              <span className={`block text-[13.5px] leading-[17px] ${row.tape.measure === active ? '' : 'text-mute'}`}>
                {measures[row.tape.measure]?.path}
                {row.tape.either && !row.agreed ? `; or ${(measures[row.tape.either]?.name ?? '').toLowerCase()}` : ''}
              </span>
            </span>
            <RowValue row={row} active={row.tape.measure === active} />
            <RowState row={row} active={row.tape.measure === active} />
            {row.tape.measure === active && <TickEdge />}
          </button>
        </li>
      ))}
    </ol>
  )
}

function RowValue({ row, active }: { row: TapeRow; active: boolean }) {
  const settings = useAppSelector((state) => state.settings)
  const [look, fine] = [valueStyle(settings), readingStyle(settings)]
  const kept = row.readings.filter((reading) => !reading.struck)
  if (active && row.agreed?.state !== 'agrees') {
    const last = kept.at(-1)
    return (
      <span className="text-right">
        <span className="block text-[18px] leading-[22px] font-bold">{ordinal(kept.length + 1)} now</span>
        {last && (
          <span className="block text-[15px] leading-[18px]">
            <Length mm={last.mm} look={fine} unit={false} />
            {last.side === 'one' ? ' × 2' : ''}
          </span>
        )}
      </span>
    )
  }
  if (!row.agreed || row.agreed.mm === null) return <span />
  const tone = active ? '' : row.doubt ? 'text-snag' : ''
  return (
    <span className={`text-right ${tone}`}>
      <span className="block text-[25px] leading-[28px] font-bold">
        <Length mm={row.agreed.mm} look={look} stacked />
      </span>
      <span className={`block text-[15px] leading-[18px] ${active ? '' : row.doubt ? 'text-snag' : 'text-mute'}`}>
        {kept.slice(-3).map((reading) => (
          <span
            key={reading.id}
            className={`ml-2 ${measures[reading.measure]?.rule !== 'middle' && reading.mm === row.agreed?.mm && kept.length > 1 ? 'font-bold' : ''}`}
          >
            <Length mm={reading.mm} look={fine} unit={false} />
          </span>
        ))}
        {kept[0]?.side === 'one' ? ' × 2' : ''}
      </span>
    </span>
  )
}

function RowState({ row, active }: { row: TapeRow; active: boolean }) {
  const state = row.agreed?.state ?? 'none'
  const tone = active ? 'text-tape-ink' : undefined
  if (active)
    return (
      <span className="flex justify-center">
        {row.agreed?.state === 'agrees' ? <span className="text-[13.5px] font-bold">agree</span> : <ArrowRight size={20} strokeWidth={2.6} aria-hidden />}
      </span>
    )
  if (row.doubt) return <State grade="fails" word="Take again" colour={tone ?? 'text-snag'} />
  if (state === 'agrees') return <State grade="holds" word="agree" colour={tone ?? 'text-holds'} />
  if (state === 'third-wanted') return <State grade="doubt" word="3rd wanted" colour={tone ?? 'text-chalk'} />
  if (state === 'once') return <State grade="none" word="once" colour={tone ?? 'text-mute'} />
  return <State grade="none" word={row.tape.need === 'warning' ? 'to check' : 'to take'} colour={tone ?? 'text-mute'} />
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
