import { DUE, formatLength, formatWeight, measures, wornFor, readingsOf, type Choice, type FamilyId, type SizeTable } from '@merry-tailor/core'
import { Link } from 'react-router'
import { useSizeTablesQuery } from '../../api/queries'
import { StrapList, useOpenTicket } from '../../bench'
import { PaperRoom } from '../../frame/PaperRoom'
import { longDay } from '../../state/today'
import { dogLine } from '../../words/dogs'
import { PathDrawing } from '../../ui/plates/PathDrawing'
import { Empty } from '../../ui/State'
import { familyName } from '../../words/stages'

type Made = Extract<Choice, { kind: 'made' }>

/** A number as the maker's own table reads it, and in the other unit beside it. */
function inMakersUnit(id: string, value: number, unit: SizeTable['unit']): [own: string, other: string] {
  if (id === 'M00') return unit === 'in' ? [formatWeight(value, 'lb'), formatWeight(value)] : [formatWeight(value), formatWeight(value, 'lb')]
  const inches = formatLength(value, { unit: 'in', step: 0.125 }).text
  const cm = formatLength(value, { unit: 'cm', step: 0.1 }).text
  return unit === 'in' ? [inches, cm] : [cm, inches]
}

/** The order to a maker: exactly the tapes the maker cuts by, by path, with options, dates and the readings behind each. */
export function OrderSheet() {
  const { sheet, name } = useOpenTicket()
  const { data: tables = [] } = useSizeTablesQuery(undefined)
  const items = sheet.items.filter((item) => !item.removed)
  const orders = items.flatMap((item) => {
    const choice = wornFor(sheet.choices, item.id)
    return choice?.kind === 'made' ? [{ item, choice }] : []
  })
  return (
    <PaperRoom title={`Order sheet, ${name}`} back={`/tickets/${sheet.ticket.id}/choose`}>
      {orders.length === 0 && (
        <Empty
          title="Nothing is ordered yet"
          action={
            <Link className="font-bold underline" to={`/tickets/${sheet.ticket.id}/choose`}>
              To Choose
            </Link>
          }
        >
          An order sheet is made when a piece is ordered made to measure.
        </Empty>
      )}
      {orders.map(({ item, choice }) => (
        <Order
          key={item.id}
          family={item.family}
          choice={choice}
          table={tables.find((each) => each.id === choice.tableId && each.version === choice.tableVersion)}
        />
      ))}
    </PaperRoom>
  )
}

function Order({ family, choice, table }: { family: FamilyId; choice: Made; table: SizeTable | undefined }) {
  const { sheet, name } = useOpenTicket()
  const { dog, ticket, owner } = sheet
  const taken = readingsOf(sheet.readings)
  const unit = table?.unit ?? 'cm'
  const { [DUE]: due, ...options } = choice.options
  return (
    <section className="mb-6">
      <header className="mb-3 flex items-end justify-between gap-6 border-b-2 border-black pb-2">
        <div>
          <h2 className="text-[22px] leading-7">{familyName(family)}, made to measure</h2>
          <p>
            To {table?.maker ?? 'the maker'}
            {table ? `, by “${table.name}”, version ${table.version}${table.school ? `, school ${table.school}` : ''}` : ''}
          </p>
        </div>
        <p className="text-right">
          Ticket {ticket.number || 'new'}
          <br />
          Ordered {longDay(choice.at.slice(0, 10))}
          {choice.by ? `, ${choice.by}` : ''}
        </p>
      </header>
      <p className="mb-2">
        For <b>{name}</b>
        {dog ? `, ${dogLine(dog, choice.at, unit === 'in' ? 'in' : 'cm')}` : ''}
        {owner ? `. Owner: ${owner.name}` : ''}
      </p>
      <table>
        <thead>
          <tr>
            <th className="w-[150px]">Path</th>
            <th>Measure, as it was taken</th>
            <th>Cut by</th>
            <th>Readings</th>
          </tr>
        </thead>
        <tbody>
          {Object.entries(choice.numbers).map(([id, value]) => {
            const [own, other] = inMakersUnit(id, value, unit)
            return (
              <tr key={id}>
                <td>
                  <PathDrawing measure={id} place={null} width={140} height={76} />
                </td>
                <td>
                  <b>
                    {id} {measures[id]?.name}
                  </b>
                  <br />
                  {measures[id]?.path}
                  {measures[id]?.doubling ? '. The whole of it, both sides.' : ''}
                </td>
                <td className="text-[19px] font-bold whitespace-nowrap">
                  {own}
                  <span className="block text-[13px] font-normal">{other}</span>
                </td>
                <td>
                  {(taken[id] ?? [])
                    .filter((reading) => !reading.struck)
                    .map(
                      (reading) =>
                        `${reading.asTyped}${/[a-z"']/i.test(reading.asTyped) ? '' : ` ${reading.unit}`}${reading.side === 'one' ? ' one side' : ''}`,
                    )
                    .join('; ')}
                </td>
              </tr>
            )
          })}
        </tbody>
      </table>
      <div className="mt-3">
        <StrapList family={family} />
      </div>
      <dl className="mt-3">
        {Object.entries(options).map(([title, value]) => (
          <div key={title} className="flex gap-2">
            <dt className="font-bold">{title}:</dt>
            <dd>{/^\d{4}-\d\d-\d\d$/.test(value) ? longDay(value) : value}</dd>
          </div>
        ))}
        {due && (
          <div className="flex gap-2">
            <dt className="font-bold">Expected:</dt>
            <dd>{due.split(' to ').map(longDay).join(' to ')}</dd>
          </div>
        )}
      </dl>
      <p className="mt-3">Cut by these numbers along these paths. Where the maker’s own definition differs, ask before cutting; nothing here was converted.</p>
    </section>
  )
}
