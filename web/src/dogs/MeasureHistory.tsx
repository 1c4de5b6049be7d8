import { agree, measures, tapeKey, type AgreeRules, type Reading } from '@merry-tailor/core'
import { format, parseISO } from 'date-fns'
import { useState } from 'react'
import { valueStyle } from '../state/settings'
import { useAppSelector } from '../state/store'
import { RowNumber } from '../length-entry'
import { Tape } from '../ui/tape/Tape'
import { tapeRange } from '../ui/tape/scale'
import { circumstances, tapeName } from '../words/measuring'

/** So many days are shown at once; the rest opens on demand, so that years of readings open as fast as one. */
const SHOWN = 3
/** As many pins as one tape can carry. */
const PINS = 24

interface MeasureHistoryProps {
  readings: readonly Reading[]
  row: number
  rules: AgreeRules
}

/** One tape over all visits: agreed values as pins on one tape, and every reading under it. */
export function MeasureHistory({ readings, row, rules }: MeasureHistoryProps) {
  const settings = useAppSelector((state) => state.settings)
  const look = { ...valueStyle(settings), unit: settings.unit }
  const [all, setAll] = useState(false)
  const first = readings[0]
  if (!first) return null
  const { measure: id } = first
  const place = (measures[id]?.places.length ?? 0) > 0 ? first.place : null
  const byDay = new Map<string, Reading[]>()
  for (const reading of readings) {
    const on = reading.takenAt.slice(0, 10)
    byDay.set(on, [...(byDay.get(on) ?? []), reading])
  }
  const visits = [...byDay].sort(([a], [b]) => a.localeCompare(b)).map(([on, of]) => ({ on, readings: of, agreed: agree(id, of, rules) }))
  const known = visits.filter((visit) => visit.agreed.mm !== null && visit.agreed.mm > 0)
  const values = known.flatMap((visit) => (visit.agreed.mm === null ? [] : [visit.agreed.mm]))
  const mass = measures[id]?.quantity === 'mass'
  const [fromMm, toMm] = tapeRange(settings.unit, values.length > 0 ? values : [300])
  const last = known.at(-1)
  // Years of pins carry no days: they stand under the tape.
  const crowded = known.length > 4
  const shown = all ? [...visits].reverse() : [...visits].reverse().slice(0, SHOWN)
  return (
    <article className="border-b border-rule px-4 py-2.5" id={`history-${tapeKey(id, place)}`}>
      <div className="flex items-baseline justify-between gap-3">
        <h3 className="font-text text-[17px] leading-[21px] font-bold">
          <span className="mr-2 text-mute">{row}</span>
          {tapeName(id, place)} <span className="text-[13.5px] font-normal text-mute">{measures[id]?.path}</span>
        </h3>
        {last?.agreed.mm ? (
          <span className="text-[22px] leading-7 font-bold">
            <RowNumber measure={id} mm={last.agreed.mm} stacked />
          </span>
        ) : null}
      </div>
      {!mass && values.length > 0 && (
        <Tape
          look={look}
          fromMm={fromMm}
          toMm={toMm}
          height={24}
          pins={known.slice(-PINS).map((visit, i, pinned) => ({
            mm: visit.agreed.mm ?? 0,
            kind: i === pinned.length - 1 ? ('ink' as const) : ('open' as const),
            ...(crowded ? {} : { label: format(parseISO(visit.on), 'd MMM yy') }),
          }))}
          title={`${tapeName(id, place)} by date`}
          usualWidth={520}
        />
      )}
      <ul className="mt-1 text-[14.5px]">
        {shown.map((visit) => (
          <li key={visit.on} className="flex flex-wrap gap-x-3">
            <span className="text-mute">{format(parseISO(visit.on), 'd MMM yyyy')}</span>
            {visit.readings.slice(0, all ? undefined : 6).map((reading) => (
              <span
                key={reading.id}
                className={reading.struck ? 'text-mute line-through' : ''}
                title={
                  reading.struck
                    ? `Struck out${reading.struck.by ? ` by ${reading.struck.by}` : ''}: ${reading.struck.why}`
                    : `Typed ${reading.asTyped}${reading.by ? `, by ${reading.by}` : ''}`
                }
              >
                <RowNumber measure={id} mm={reading.mm} fine />
                {reading.side === 'one' ? ' × 2' : ''}
                {circumstances(reading) ? <span className="text-[13px] text-mute"> {circumstances(reading)}</span> : ''}
              </span>
            ))}
          </li>
        ))}
      </ul>
      {visits.length > SHOWN && (
        <button type="button" onClick={() => setAll(!all)} className="min-h-11 text-[14px] font-semibold underline">
          {all ? 'Fewer days' : `All ${visits.length} days`}
        </button>
      )}
    </article>
  )
}
