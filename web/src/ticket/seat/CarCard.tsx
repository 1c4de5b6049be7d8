import { dressingCard, formatLength, formatWeight, PRE_DRIVE, tableOf, wornFor } from '@merry-tailor/core'
import { useCarsQuery, useSizeTablesQuery } from '../../api/queries'
import { useOpenTicket } from '../../bench'
import { PaperRoom } from '../../frame/PaperRoom'
import { valueStyle } from '../../state/settings'
import { useAppSelector } from '../../state/store'
import { longDay, today } from '../../state/today'
import { keptDraft } from '../../state/use-kept-draft'
import { Empty } from '../../ui/State'
import { dressingWords } from '../../words/dressing'
import { FRESH, isSeatState } from './seat-state'
import { PRE_DRIVE_WORDS, STOP_WORDS } from './seat-words'

/** What never drives off, in the order it matters. */
const NEVER = ['air-bag', 'tether', 'collar', 'crashed'] as const

/** A card for the car: six lines before every drive, what never, how the dog gets used to it. */
export function CarCard() {
  const { sheet, name, body } = useOpenTicket()
  const look = useAppSelector((state) => state.settings)
  const say = (mm: number): string => formatLength(mm, { ...valueStyle(look), unit: look.unit }).text
  const { data: cars = [] } = useCarsQuery(undefined)
  const { data: tables = [] } = useSizeTablesQuery(undefined)
  const item = sheet.items.find(({ family, removed }) => !removed && family === 'H24')
  const state = (item && keptDraft(`seat-${item.id}`, isSeatState)) ?? FRESH
  const car = cars.find(({ id }) => id === state.carId)
  const choice = item && wornFor(sheet.choices, item.id)
  const named = choice && tableOf(choice)
  const table = tables.find((each) => each.id === named?.tableId && each.version === named.tableVersion)
  const habits = dressingCard({ family: 'H24', dog: { coat: sheet.dog?.coat ?? null, traits: sheet.ticket.traits }, gear: { build: table?.build ?? null } })
  const kg = body.M00?.mm ?? sheet.dog?.weightKg ?? null
  return (
    <PaperRoom title={`${name} in the car`} back={`/tickets/${sheet.ticket.id}/seat`}>
      {!item && <Empty title="No car harness on this ticket">The six lines hold for any of them.</Empty>}
      <section aria-label="Before every drive">
        <header className="mb-3 border-b-2 border-black pb-2">
          <h2 className="text-[26px] leading-8">{name}: before every drive</h2>
          <p>
            {[
              `Ticket ${sheet.ticket.number}, ${longDay(today())}`,
              ...(kg === null ? [] : [formatWeight(kg, look.unit === 'in' ? 'lb' : 'kg')]),
              ...(car ? [`${car.name}, ${(car.seats[state.seatAt] ?? car.seats[0])?.name.toLowerCase() ?? ''}`] : []),
              ...(table ? [`${table.maker} ${table.name}`] : []),
            ].join('. ')}
            .
          </p>
        </header>
        <ol className="mb-4">
          {PRE_DRIVE.map(({ code }, i) => (
            <li key={code} className="flex items-baseline gap-3 border-b border-black/40 py-2.5 text-[19px] leading-6">
              <b>{i + 1}</b> <span aria-hidden>☐</span> {PRE_DRIVE_WORDS[code]}
            </li>
          ))}
        </ol>
        <div className="mb-4 border-2 border-black px-3 py-2">
          {NEVER.map((code) => (
            <p key={code}>
              <b>{STOP_WORDS[code].title}.</b> {STOP_WORDS[code].what}
            </p>
          ))}
          <p>
            <b>Never left in a parked car.</b> It only gets warmer; no time in it is safe.
          </p>
        </div>
        <p className="mb-4">
          Slack is what a hand can change: draw it out each time{state.slackMm > 0 ? `; it was looked at with ${say(state.slackMm)}` : ''}. No standard was
          written for dogs: what holds in a crash nobody certifies. Local law decides how a dog may travel.
        </p>
        {habits.habituation.length > 0 && (
          <>
            <h3 className="text-[18px]">Getting used to it</h3>
            <ol className="list-decimal pl-5">
              {habits.habituation.map((step, i) => (
                <li key={`${step.code}${i}`}>{dressingWords(step)}</li>
              ))}
            </ol>
          </>
        )}
      </section>
    </PaperRoom>
  )
}
