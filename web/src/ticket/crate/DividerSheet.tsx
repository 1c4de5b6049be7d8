import { insideOf } from '@merry-tailor/core'
import { addDays, differenceInCalendarDays, parseISO } from 'date-fns'
import { useSearchParams } from 'react-router'
import { useGrown, useInsides, useOpenTicket, useSizedBody } from '../../bench'
import { PaperRoom } from '../../frame/PaperRoom'
import { longDay } from '../../state/today'
import { valueStyle } from '../../state/settings'
import { useAppSelector } from '../../state/store'
import { useToday } from '../../state/use-today'
import { Empty } from '../../ui/State'
import { lengthText } from '../../ui/length/length-text'
import { isCrate, KINDS } from './crate-kinds'
import { PITCH, useDivider } from './use-divider'

const dayOf = (on: string, days: number): string => addDays(parseISO(on), days).toISOString().slice(0, 10)

/** Where the divider stands month by month, with a place to write what the puppy measured then. */
export function DividerSheet() {
  const { sheet, name } = useOpenTicket()
  const [asked] = useSearchParams()
  const settings = useAppSelector((state) => state.settings)
  const say = (mm: number): string => lengthText(mm, { ...valueStyle(settings), unit: settings.unit }, true)
  const on = useToday()
  const item =
    sheet.items.find(({ id, removed }) => !removed && id === asked.get('item')) ?? sheet.items.find(({ family, removed }) => !removed && isCrate(family))
  const grown = useGrown(item)
  const insides = useInsides(item?.family)
  const { body } = useSizedBody()
  const label = asked.get('label') ?? '42'
  const inside = insides[label] ?? insideSafe(label)
  const ageWeeks = sheet.dog?.born ? differenceInCalendarDays(parseISO(on), parseISO(sheet.dog.born)) / 7 : null
  const pitch = Number(asked.get('pitch') ?? PITCH)
  const { rows, kg } = useDivider(grown ?? null, ageWeeks, body.M42, inside.lengthMm, Number.isFinite(pitch) && pitch > 0 ? pitch : PITCH)
  return (
    <PaperRoom title={`Divider, ${name}`} back={`/tickets/${sheet.ticket.id}/crate`}>
      {rows.length === 0 ? (
        <Empty title="No divider to set">Its grown length is not known: say the breed under Ask, or weigh {name}.</Empty>
      ) : (
        <section aria-label="Divider by month">
          <header className="mb-3 border-b-2 border-black pb-2">
            <h2 className="text-[26px] leading-8">{name}: where the divider stands</h2>
            <p>
              {`Ticket ${sheet.ticket.number}, ${longDay(on)}. ${item && isCrate(item.family) ? KINDS[item.family] : 'Crate'} ${label}, inside ${say(inside.lengthMm)} long.${kg ? ` Grown about ${Math.round(kg)} kg, foretold.` : ''}`}
            </p>
          </header>
          <table>
            <thead>
              <tr>
                <th>From</th>
                <th>Age</th>
                <th>Divider behind the door</th>
                <th>Four in five</th>
                <th>Nose to tail that day</th>
              </tr>
            </thead>
            <tbody>
              {rows.map(({ ageWeeks: weeks, behindMm, lowMm, highMm }) => (
                <tr key={weeks}>
                  <td>{longDay(dayOf(on, Math.round((weeks - (ageWeeks ?? 0)) * 7)))}</td>
                  <td>{Math.round(weeks)} weeks</td>
                  <td className="text-[19px] font-bold">{behindMm >= inside.lengthMm ? 'out' : say(behindMm)}</td>
                  <td>
                    {say(lowMm)} to {say(highMm)}
                  </td>
                  <td className="write" />
                </tr>
              ))}
            </tbody>
          </table>
          <p className="mt-3">
            Predicted from generic growth bands, no forecast of a breed. Move it when the puppy no longer lies stretched; it never moves back. Measure nose to tail
            base each month and write it here. A crate is never a punishment, and not for all day; ask the vet about a puppy that does not grow.
          </p>
        </section>
      )}
    </PaperRoom>
  ) // prettier-ignore
}

const insideSafe = (label: string) => {
  try {
    return insideOf(label)
  } catch {
    return insideOf('42')
  }
}
