import { pawSizeOf, READING_WINDOW, type LengthStyle } from '@merry-tailor/core'
import { Mark } from '../../ui/marks/Mark'
import { Worded } from '../../ui/length/Worded'
import type { TapeUnit } from '../../ui/tape/scale'
import { pawName } from '../../words/measuring'
import { REPEAT_MM } from './odd-paw'
import type { PawNow, TapeId } from './paw-data'
import { PawPlate } from './PawPlate'

interface PawCellProps {
  now: PawNow
  by: number
  width: number
  height: number
  live: boolean
  tape: TapeId
  tried: { measure: string; mm: number } | null
  /** A dog is named: a tracing belongs to one. */
  named: boolean
  look: LengthStyle & { unit: TapeUnit }
  say: (mm: number) => string
  onPick: () => void
  onTrace: () => void
}

/** A paw from below with its tapes, how often it was drawn, its nails, and the way to draw it again. */
export function PawCell({ now, by, width, height, live, tape, tried, named, look, say, onPick, onTrace }: PawCellProps) {
  const name = pawName(now.paw)
  const agree = agreement(now)
  return (
    <div className="min-w-0 border-r border-rule">
      <p className="flex flex-wrap items-baseline justify-between gap-x-2 px-2.5 pt-1.5 text-[15.5px] whitespace-nowrap">
        <b>{name}</b>
        {agree ? (
          <span className={`flex items-center gap-1 text-[14.5px] font-bold ${agree.apart ? 'text-chalk' : 'text-holds'}`}>
            <Mark grade={agree.apart ? 'doubt' : 'holds'} basis="seen" size={16} />
            {agree.words}
          </span>
        ) : (
          <span className="text-[14px]">{now.tracing ? 'traced' : now.width?.from === 'read' ? 'by tape' : 'guessed'}</span>
        )}
      </p>
      <button type="button" onClick={onPick} aria-pressed={live} aria-label={`${name}, its tapes`} className="block w-full">
        <PawPlate
          now={now}
          by={by}
          width={width}
          height={height}
          live={live ? tape : null}
          tried={tried}
          look={look}
          label={`${name} from below, ${now.width ? say(now.width.mm) : 'width not read'} wide, ${now.length ? say(now.length.mm) : 'length not read'} long`}
        />
      </button>
      <p className="flex flex-wrap items-center justify-between gap-x-2 px-2.5 text-[14.5px] leading-[18px]">
        <span className={now.tracing?.nails === 'long' ? 'font-bold text-chalk' : ''}>
          {now.tracing ? (now.tracing.nails ? `nails ${now.tracing.nails}` : 'nails not said') : <Worded text={now.width ? `${say(now.width.mm)} wide` : 'width open'} />}
        </span>
        {named ? (
          <button type="button" onClick={onTrace} className="min-h-11 font-bold underline">
            {now.tracing ? 'Trace again' : 'Trace it'}
          </button>
        ) : (
          <span className="text-mute">a tracing belongs to a dog: name it under Ask</span>
        )}
      </p>
    </div>
  ) // prettier-ignore
}

/** Whether this paw's tracings say the same. */
function agreement({ tracings }: PawNow): { words: string; apart: boolean } | null {
  if (tracings.length < 2) return null
  const widths = tracings.flatMap(({ points, toesRad }) => {
    try {
      return [pawSizeOf(points, { windowRad: READING_WINDOW, toesRad }).widthMm]
    } catch {
      return []
    }
  })
  const apart = Math.max(...widths) - Math.min(...widths)
  return apart <= REPEAT_MM ? { words: `${widths.length} agree`, apart: false } : { words: `${widths.length} differ by ${apart.toFixed(0)} mm`, apart: true }
}
