import type { Inside, SizedBody } from '@merry-tailor/core'
import { daysToIcs } from '@merry-tailor/core/formats'
import { addDays, format, parseISO } from 'date-fns'
import { useState } from 'react'
import { Link } from 'react-router'
import type { GrownDog } from '../../bench'
import { LengthEntry } from '../../length-entry'
import { SaveText } from '../../ui/controls/SaveText'
import { Tape } from '../../ui/tape/Tape'
import type { valueStyle } from '../../state/settings'
import { PITCH, useDivider } from './use-divider'

interface PuppyPaneProps {
  name: string
  label: string
  inside: Inside
  grown: GrownDog
  ageWeeks: number
  /** The day its age is of. */
  on: string
  now: SizedBody['M42']
  itemId: string
  ticketId: string
  look: ReturnType<typeof valueStyle> & { unit: 'in' | 'cm' }
  say: (mm: number) => string
}

/** Where a puppy's divider stands, month by month. */
export function PuppyPane({ name, label, inside, grown, ageWeeks, on, now, itemId, ticketId, look, say }: PuppyPaneProps) {
  const [pitchMm, setPitch] = useState(PITCH)
  const { rows, kg } = useDivider(grown, ageWeeks, now, inside.lengthMm, pitchMm)
  if (rows.length === 0)
    return <p className="p-5">Say the breed under Ask, or weigh {name}: then its grown length, and where the divider stands, can be foretold.</p>
  const first = rows[0]
  const most = inside.lengthMm * 1.03
  return (
    <div className="quiet-scroll h-full overflow-y-auto p-4" tabIndex={0} role="group" aria-label="Divider by month">
      <div className="max-w-[720px] space-y-3 border-2 border-ink bg-panel p-4">
        <p className="text-[17px] leading-[22px]">
          <b>Divider now at {say(first?.behindMm ?? 0)}</b> behind the door of the {label}, for {name} of {Math.round(ageWeeks)} weeks.{' '}
          {kg &&
            `Grown about ${Math.round(kg)} kg${grown.adult ? `, between ${Math.round(grown.adult.lowKg)} and ${Math.round(grown.adult.highKg)} (four in five)` : ''}.`}
        </p>
        <div className="w-[200px]">
          <LengthEntry label="From wire to wire" mm={pitchMm} least={5} most={200} onSet={setPitch} />
        </div>
        <table className="w-full text-[15px]">
          <thead>
            <tr className="border-b-2 border-ink text-left">
              <th className="py-1 pr-2">Week</th>
              <th className="py-1 pr-2">Divider at</th>
              <th className="w-[55%] py-1">Asked, four in five</th>
            </tr>
          </thead>
          <tbody>
            {rows.map(({ ageWeeks: weeks, behindMm, lowMm, highMm }) => (
              <tr key={weeks} className="border-b border-rule">
                <td className="py-1 pr-2">{Math.round(weeks)}</td>
                <td className="py-1 pr-2 font-bold">{behindMm >= inside.lengthMm ? 'open whole' : say(behindMm)}</td>
                <td className="py-1">
                  <Tape
                    look={look}
                    fromMm={0}
                    toMm={most}
                    mini
                    height={14}
                    pins={[{ mm: Math.min(behindMm, most), kind: 'ink' }]}
                    spread={{ fromMm: Math.max(0, lowMm), toMm: Math.min(most, highMm) }}
                    title={`At ${Math.round(weeks)} weeks between ${say(lowMm)} and ${say(highMm)}`}
                    usualWidth={300}
                  />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
        <Link
          className="mr-4 inline-flex min-h-11 items-center font-bold underline"
          to={`/tickets/${ticketId}/crate/divider?${new URLSearchParams({ item: itemId, label, pitch: String(pitchMm) }).toString()}`}
        >
          Divider on paper
        </Link>
        <SaveText
          name={`divider-${name}.ics`}
          type="text/calendar"
          text={() =>
            daysToIcs(
              rows.map(({ ageWeeks: weeks, behindMm }) => ({
                on: format(addDays(parseISO(on), Math.round((weeks - ageWeeks) * 7)), 'yyyy-MM-dd'),
                title: `${name}: divider ${behindMm >= inside.lengthMm ? 'out' : `at ${say(behindMm)}`}`,
                note: 'Predicted. Measure nose to tail again, and look whether it lies stretched.',
              })),
              { name: `${name}’s divider`, stamp: new Date().toISOString() },
            )
          }
        >
          Days
        </SaveText>
        <p className="text-[14px] leading-[18px] text-mute">
          From generic growth bands by grown weight, no forecast of a breed; move it when the puppy no longer lies stretched, and measure again each month. A
          crate is never a punishment and not for all day.
        </p>
      </div>
    </div>
  )
}
