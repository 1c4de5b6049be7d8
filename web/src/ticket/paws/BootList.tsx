import { useSearchParams } from 'react-router'
import { families } from '@merry-tailor/core'
import { useOpenTicket } from '../../bench'
import { PaperRoom } from '../../frame/PaperRoom'
import { longDay, today } from '../../state/today'
import { valueStyle } from '../../state/settings'
import { useAppSelector } from '../../state/store'
import { Empty } from '../../ui/State'
import { lengthText } from '../../ui/length/length-text'
import { familyName } from '../../words/stages'
import { strapTitle } from './strap-of'
import { useBoots } from './use-boots'

/** Boots on one page: each paw's tapes, size and strap, how often of each size, and what to look at. */
export function BootList() {
  const { sheet, name } = useOpenTicket()
  const [asked] = useSearchParams()
  const settings = useAppSelector((state) => state.settings)
  const say = (mm: number | null | undefined): string => (mm == null ? '' : lengthText(mm, { ...valueStyle(settings), unit: settings.unit }, true))
  const boots = sheet.items.filter(({ family, removed }) => !removed && families[family].shelf === 'boot')
  const item = boots.find(({ id }) => id === asked.get('item')) ?? boots[0]
  const { offer, paws, rows, counted } = useBoots(item)
  return (
    <PaperRoom title={`Boot list, ${name}`} back={`/tickets/${sheet.ticket.id}/paws`}>
      {!item ? (
        <Empty title="No boots on this ticket">Choose them under Ask.</Empty>
      ) : (
        <section aria-label="Boots">
          <header className="mb-3 border-b-2 border-black pb-2">
            <h2 className="text-[26px] leading-8">{name}: boots, paw by paw</h2>
            <p>{`Ticket ${sheet.ticket.number}, ${longDay(today())}. ${familyName(item.family)}${offer ? `, ${offer.table.maker} ${offer.table.name}` : ''}.`}</p>
          </header>
          <table className="mb-3">
            <thead>
              <tr>
                <th>Paw</th>
                <th>Width</th>
                <th>Length</th>
                <th>Size</th>
                <th>Strap</th>
                <th>Nails</th>
              </tr>
            </thead>
            <tbody>
              {rows.map((row, i) => {
                const own = paws[i]
                return (
                  <tr key={row.paw}>
                    <td className="font-bold">{row.paw}</td>
                    <td>{say(row.widthMm) || 'guessed'}</td>
                    <td>{say(row.lengthMm) || 'guessed'}</td>
                    <td className="text-[19px] font-bold">{row.label || '?'}</td>
                    <td>{own?.leg ? `${strapTitle(own.leg, own.dewclaw)}, ${say(own.leg.place.fromMm)} to ${say(own.leg.place.toMm)} up${own.leg.place.lengthMm === null ? '' : `, ${say(own.leg.place.lengthMm)} long`}` : ''}</td>
                    <td>{row.nails}</td>
                  </tr>
                )
              })}
            </tbody>
          </table>
          <p className="mb-3 text-[19px]">
            <b>To order:</b> {counted === '' ? 'no size yet' : counted}.
          </p>
          <p>
            Sizes are predicted. With the boots on: toes reach nearly to the end and no nail pushes; a boot does not turn by hand; the strap off the dewclaw, a
            finger under it. Straps again after a minute. Look at every paw after each outing; a swollen or rubbed foot goes without boots, and to the vet if it
            stays.
          </p>
        </section>
      )}
    </PaperRoom>
  ) // prettier-ignore
}
