import { families, tableOf, wornFor, type Item } from '@merry-tailor/core'
import { Link } from 'react-router'
import { usePiecesQuery, useSizeTablesQuery } from '../../api/queries'
import { DressingSteps, useBenchForm, useOpenTicket } from '../../bench'
import { PaperRoom } from '../../frame/PaperRoom'
import { GearSketch } from '../../ui/plates/GearSketch'
import { Empty } from '../../ui/State'
import { familyName } from '../../words/stages'

/** A card for each item, a page each: how it goes on, is set, comes off, and how the dog gets used to it. */
export function DressingCards() {
  const { sheet, name } = useOpenTicket()
  const items = sheet.items.filter((item) => !item.removed)
  return (
    <PaperRoom title={`How it goes on ${name}`} back={`/tickets/${sheet.ticket.id}/try-on`}>
      {items.length === 0 && (
        <Empty
          title="No item on this ticket"
          action={
            <Link className="font-bold underline" to={`/tickets/${sheet.ticket.id}/ask`}>
              To Ask
            </Link>
          }
        >
          A card is made for each item.
        </Empty>
      )}
      {items.map((item, i) => (
        <Card key={item.id} item={item} last={i === items.length - 1} />
      ))}
    </PaperRoom>
  )
}

function Card({ item, last }: { item: Item; last: boolean }) {
  const { sheet, name } = useOpenTicket()
  const { form } = useBenchForm()
  const { data: tables = [] } = useSizeTablesQuery(undefined)
  const { data: pieces = [] } = usePiecesQuery(undefined)
  const home = families[item.family].shelf === 'crate'
  const choice = wornFor(sheet.choices, item.id)
  const named = choice && tableOf(choice)
  const table = tables.find((each) => each.id === named?.tableId && each.version === named.tableVersion)
  const piece = choice?.kind === 'gear' ? pieces.find((each) => each.id === choice.pieceId) : undefined
  return (
    <section aria-label={familyName(item.family)} className={last ? '' : 'mb-8 break-after-page'}>
      <header className="mb-3 flex items-end justify-between gap-6 border-b-2 border-black pb-2">
        <div>
          <h2 className="text-[24px] leading-8">
            {familyName(item.family)} {home ? 'for' : 'on'} {name}
          </h2>
          <p>{families[item.family].build}</p>
        </div>
        <GearSketch form={form} family={item.family} width={170} height={110} label={`${familyName(item.family)} on ${name}`} />
      </header>
      <DressingSteps family={item.family} build={piece?.build ?? table?.build ?? null} />
      <p>
        Where the dog pants hard, {home ? 'digs, bites the door or wets itself, let it out and go back a step' : 'limps, coughs or rubs, take it off'}. Local
        rules, the carrier and the vet go before this paper.
      </p>
    </section>
  )
}
