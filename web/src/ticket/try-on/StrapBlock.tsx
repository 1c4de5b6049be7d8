import type { StrapId, StrapSides } from '@merry-tailor/core'
import type { valueStyle } from '../../state/settings'
import { lengthText } from '../../ui/length/length-text'
import { Worded } from '../../ui/length/Worded'
import { PairTape } from '../../ui/tape/PairTape'
import { Tape } from '../../ui/tape/Tape'
import { tapeRange } from '../../ui/tape/scale'
import { strapName } from '../../words/foretold'
import { holeMm, marksOf } from './marks'
import type { StrapSide } from './use-strap-plan'

interface StrapBlockProps {
  id: StrapId
  n: number
  ring: boolean
  now: StrapSides | null
  /** Where it is foretold to hold, and how far it may stand from there. */
  goalMm: number | null
  holds: readonly [number, number] | null
  range: { leastMm: number; mostMm: number } | null
  look: ReturnType<typeof valueStyle> & { unit: 'in' | 'cm' }
  apart: boolean
  current: boolean
  onPick: () => void
  onMove: (side: StrapSide, byMm: number) => void
}

/** One strap: where it stands on its tape, its marks, and a mark shorter or longer. */
export function StrapBlock({ id, n, ring, now, goalMm, holds, range, look, apart, current, onPick, onMove }: StrapBlockProps) {
  const leftMm = now?.leftMm ?? null
  const rightMm = now?.rightMm ?? leftMm
  const uneven = leftMm !== null && rightMm !== null && Math.abs(leftMm - rightMm) > 1
  const pair = leftMm !== null && rightMm !== null && (apart || uneven)
  const near = [leftMm ?? goalMm ?? 0, rightMm ?? goalMm ?? 0, ...(goalMm === null ? [] : [goalMm])]
  const [fromMm, toMm] = tapeRange(look.unit, [Math.min(...near) - 18, Math.max(...near) + 18])
  const marks = range && leftMm !== null ? marksOf(leftMm, range, look.unit) : null
  const open = goalMm === null || (leftMm !== null && Math.abs(leftMm - goalMm) < 2 && !uneven) ? null : goalMm
  const title = `${strapName(id)} ${leftMm === null ? 'is not set' : `stands at ${lengthText(leftMm, look, true)}${uneven ? ` left, ${lengthText(rightMm, look, true)} right` : ''}`}${goalMm === null ? '' : `; foretold to hold at ${lengthText(goalMm, look, true)}`}${marks ? `; mark ${marks.at} of ${marks.count}` : ''}`
  return (
    <div
      role="group"
      aria-label={strapName(id)}
      onPointerDown={onPick}
      className={`min-w-[272px] flex-1 border-l-[5px] px-2.5 py-1 max-phone:min-w-full ${current ? 'border-ink bg-bench' : 'border-transparent'}`}
    >
      <p className="flex items-baseline justify-between gap-x-2 text-[14.5px] leading-5 whitespace-nowrap">
        <span>
          <b className="text-[16px]">
            {n} {strapName(id)}
          </b>{' '}
          <span className="text-mute">{ring ? 'round' : 'one side'}</span>
        </span>
        {leftMm === null ? (
          <span className="text-mute">not set</span>
        ) : (
          !pair && (
            <b>
              <Worded text={lengthText(leftMm, look, true)} />
            </b>
          )
        )}
      </p>
      <div className="flex items-end gap-2">
        <div className="min-w-0 flex-1">
          {pair ? (
            <PairTape look={look} fromMm={fromMm} toMm={toMm} leftMm={leftMm} rightMm={rightMm} goalMm={open} title={title} />
          ) : (
            <Tape
              look={look}
              fromMm={fromMm}
              toMm={toMm}
              height={18}
              pins={[...(leftMm === null ? [] : [{ mm: leftMm, kind: 'ink' as const }]), ...(open === null ? [] : [{ mm: open, kind: 'open' as const }])]}
              {...(holds && holds[1] > fromMm && holds[0] < toMm ? { bracket: { fromMm: Math.max(fromMm, holds[0]), toMm: Math.min(toMm, holds[1]) } } : {})}
              title={title}
              usualWidth={240}
            />
          )}
          {marks && !pair && (
            <ol aria-hidden className="flex">
              {marks.shown.map((mark) => (
                <li
                  key={mark}
                  className={`flex h-5 min-w-0 flex-1 items-center justify-center border border-edge text-[12.5px] ${mark === marks.at ? 'bg-ink font-bold text-panel' : 'text-mute'}`}
                >
                  {mark}
                </li>
              ))}
            </ol>
          )}
        </div>
        <div className="flex shrink-0 flex-col gap-1">
          {(pair && apart ? (['left', 'right'] as const) : (['both'] as const)).map((side) => (
            <span key={side} className="flex items-center gap-1">
              {([-1, 1] as const).map((way) => (
                <button
                  key={way}
                  type="button"
                  aria-label={`${strapName(id)}${side === 'both' ? '' : `, ${side}`}: ${way < 0 ? 'shorter' : 'longer'} by ${lengthText(holeMm(look.unit), look, true)}`}
                  onClick={() => onMove(side, way * holeMm(look.unit))}
                  className="h-11 w-11 rounded-[2px] border-2 border-ink bg-panel text-[20px] leading-none font-bold hover:bg-bench"
                >
                  {way < 0 ? '−' : '+'}
                </button>
              ))}
            </span>
          ))}
        </div>
      </div>
    </div>
  )
}
