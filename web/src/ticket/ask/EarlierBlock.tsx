import { wornFor, type Choice, type Item, type Ticket, type WornChoice } from '@merry-tailor/core'
import { Link } from 'react-router'
import { usePiecesQuery, useDogQuery } from '../../api/queries'
import { useActs, useOpenTicket } from '../../bench'
import { longDay } from '../../state/today'
import { Button } from '../../ui/controls/Button'
import { choiceWords } from '../../words/choices'
import { familyName, wayName } from '../../words/stages'

/** More than this of what the dog had before is the dog's page's. */
const SHOWN = 3

/** What stands of this dog on other tickets: one that is open still, and what it got before, to be had again. */
export function EarlierBlock() {
  const { sheet, name } = useOpenTicket()
  const { data } = useDogQuery(sheet.dog?.id ?? '', { skip: !sheet.dog })
  const { data: pieces = [] } = usePiecesQuery(undefined)
  const acts = useActs()
  const others = (data?.tickets ?? []).filter((each) => each.ticket.id !== sheet.ticket.id)
  const open = sheet.ticket.state === 'open' ? others.filter(({ ticket }) => ticket.state === 'open' && ticket.kind === 'real') : []
  const had = others
    .flatMap(({ ticket, items, choices }) => items.filter((item) => !item.removed).flatMap((item) => chosenOf(ticket, item, choices)))
    .sort((a, b) => b.choice.at.localeCompare(a.choice.at))
    .filter((each, i, all) => all.findIndex((other) => other.item.family === each.item.family) === i)
    .filter(({ item }) => !sheet.items.some((own) => !own.removed && own.family === item.family))
    .slice(0, SHOWN)
  if (open.length === 0 && had.length === 0) return null
  return (
    <section aria-label={`${name} on other tickets`} className="-mx-5 mb-2 border-b-2 border-ink bg-bench px-5 py-2">
      {open.map(({ ticket }) => (
        <p key={ticket.id}>
          <b>Ticket {ticket.number}</b> of {longDay(ticket.createdAt.slice(0, 10))} is open too.{' '}
          <Link to={`/tickets/${ticket.id}/measure`} className="inline-flex min-h-11 items-center font-semibold underline">
            Go on there
          </Link>
        </p>
      ))}
      {had.length > 0 && (
        <ul>
          {had.map(({ ticket, item, choice }) => (
            <li key={item.id} className="flex flex-wrap items-center justify-between gap-x-3 py-1">
              <p className="min-w-0 flex-1">
                Had before: <b>{familyName(item.family)}</b>, {wayName(item.way).toLowerCase()}, <b>{choiceWords(choice, pieces)}</b>
                {optionsOf(choice)}.{' '}
                <span className="text-mute">
                  {longDay(choice.at.slice(0, 10))}, ticket {ticket.number}
                </span>
              </p>
              <Button
                onClick={() => void acts.item({ family: item.family, way: item.way, school: item.school })}
                aria-label={`The same again: ${familyName(item.family)}`}
              >
                The same again
              </Button>
            </li>
          ))}
        </ul>
      )}
      {had.length > 0 && <p className="text-[14px] text-mute">The size is judged anew by today’s tapes.</p>}
    </section>
  )
}

function chosenOf(ticket: Ticket, item: Item, choices: readonly Choice[]): { ticket: Ticket; item: Item; choice: WornChoice }[] {
  const choice = wornFor(choices, item.id)
  return choice ? [{ ticket, item, choice }] : []
}

const optionsOf = (choice: WornChoice): string =>
  choice.kind === 'made'
    ? Object.entries(choice.options)
        .map(([name, value]) => `, ${name}: ${value}`)
        .join('')
    : ''
