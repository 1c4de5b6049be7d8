import type { Stay } from '@merry-tailor/core'
import { format, getHours, getMinutes, parseISO } from 'date-fns'
import { useEffect, useState } from 'react'
import { Link } from 'react-router'
import { clock } from '../state/today'
import { useBox } from '../ui/use-width'
import { stayWords } from '../words/stages'

const [TAPE, LABEL] = [46, 44]
const minuteOf = (at: Date): number => getHours(at) * 60 + getMinutes(at)

/** The day as an upright resting tape: what was done at the bench in brackets beside it, and now as a pin. */
export function DayTape({ stays }: { stays: readonly Stay[] }) {
  const [now, setNow] = useState(() => new Date())
  useEffect(() => {
    const timer = setInterval(() => setNow(new Date()), 30_000)
    return () => clearInterval(timer)
  }, [])
  const [ref, { height }] = useBox<HTMLDivElement>(170, 640)
  const minutes = [minuteOf(now), ...stays.flatMap((stay) => [minuteOf(parseISO(stay.fromAt)), minuteOf(parseISO(stay.toAt))])]
  const from = Math.min(8 * 60, Math.floor(Math.min(...minutes) / 60) * 60)
  const to = Math.max(18 * 60, Math.ceil(Math.max(...minutes) / 60) * 60)
  const y = (minute: number): number => 6 + ((minute - from) / (to - from)) * (height - 12)
  const labels = spaced(stays, y, height)
  const quarters = Array.from({ length: (to - from) / 15 + 1 }, (_, i) => from + i * 15)
  return (
    <div ref={ref} className="relative min-h-0 flex-1 overflow-hidden">
      <svg aria-hidden width={TAPE + 30} height={height} className="absolute top-0 left-0">
        <rect x={8} y={0} width={TAPE} height={height} fill="var(--tape-rest)" />
        <path d={`M8 0V${height}M${8 + TAPE} 0V${height}`} stroke="var(--tape-ink)" strokeWidth={1.5} />
        {quarters.map((minute) => (
          <line
            key={minute}
            x1={8 + TAPE}
            x2={8 + TAPE - (minute % 60 === 0 ? 28 : minute % 30 === 0 ? 18 : 10)}
            y1={y(minute)}
            y2={y(minute)}
            stroke="var(--tape-ink)"
            strokeWidth={minute % 60 === 0 ? 2 : 1.1}
          />
        ))}
        {quarters
          .filter((minute) => minute % 60 === 0 && minute < to)
          .map((minute) => (
            <text key={minute} x={12} y={y(minute) + 15} fontSize={14} fontWeight={700} fill="var(--tape-ink)">
              {minute / 60}
            </text>
          ))}
        {stays.map((stay) => {
          const [top, foot] = [y(minuteOf(parseISO(stay.fromAt))), y(minuteOf(parseISO(stay.toAt)))]
          return (
            <path
              key={`${stay.ticketId}${stay.fromAt}`}
              d={`M${TAPE + 12} ${top - 2}h7V${Math.max(foot, top + 4) + 2}h-7`}
              fill="none"
              stroke="var(--ink)"
              strokeWidth={2}
            />
          )
        })}
        {labels.map(({ stay, top }) => {
          const middle = (y(minuteOf(parseISO(stay.fromAt))) + y(minuteOf(parseISO(stay.toAt)))) / 2
          // A label pushed down keeps a thread to its bracket.
          return Math.abs(top + 10 - middle) < 8 ? null : (
            <path key={`${stay.ticketId}${stay.fromAt}`} d={`M${TAPE + 20} ${middle}L${TAPE + 29} ${top + 11}`} stroke="var(--edge)" strokeWidth={1} />
          )
        })}
        <line x1={4} x2={TAPE + 8} y1={y(minuteOf(now))} y2={y(minuteOf(now))} stroke="var(--tape-ink)" strokeWidth={2} />
        <circle cx={5} cy={y(minuteOf(now))} r={5} fill="var(--ink)" />
      </svg>
      <p className="sr-only">Now {format(now, 'HH:mm')}.</p>
      <ol>
        {labels.map(({ stay, top }) => (
          <li key={`${stay.ticketId}${stay.fromAt}`} className="absolute right-0 left-[76px]" style={{ top }}>
            <Link to={`/tickets/${stay.ticketId}`} className="block min-h-11 hover:bg-panel">
              <span className="block truncate text-[15.5px] leading-[19px] font-bold">{stay.dog ?? 'Counter'}</span>
              <span className="block truncate text-[13.5px] leading-[17px] text-mute">
                <span className="sr-only">{clock(stay.fromAt)}, </span>
                {stayWords(stay)}
              </span>
            </Link>
          </li>
        ))}
      </ol>
      {stays.length === 0 && <p className="absolute top-2 right-2 left-[76px] text-[14px] leading-[18px] text-mute">Nothing done at the bench yet.</p>}
    </div>
  )
}

/** Labels beside their brackets, pushed down where two would lie on each other; what no longer fits is left to the list. */
function spaced(stays: readonly Stay[], y: (minute: number) => number, height: number): { stay: Stay; top: number }[] {
  let free = 0
  return stays
    .map((stay) => {
      const top = Math.max(free, y(minuteOf(parseISO(stay.fromAt))) - 6)
      free = top + LABEL
      return { stay, top }
    })
    .filter(({ top }) => top + LABEL <= height)
}
