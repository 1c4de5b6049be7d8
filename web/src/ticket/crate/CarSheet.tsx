import { roomFor, throughOpening, type Box } from '@merry-tailor/core'
import { useSearchParams } from 'react-router'
import { useOpenTicket } from '../../bench'
import { PaperRoom } from '../../frame/PaperRoom'
import { longDay } from '../../state/today'
import { valueStyle } from '../../state/settings'
import { useAppSelector } from '../../state/store'
import { useToday } from '../../state/use-today'
import { Empty } from '../../ui/State'
import { lengthText } from '../../ui/length/length-text'
import { SpaceViews } from './SpaceViews'
import { useCars } from './use-crate-choices'

const PLAIN_BOX: Box = { lengthMm: 900, widthMm: 600, heightMm: 650 }
const boxOf = (text: string | null): Box => {
  const [lengthMm, widthMm, heightMm] = (text ?? '').split('x').map(Number)
  return lengthMm && widthMm && heightMm && [lengthMm, widthMm, heightMm].every((mm) => mm > 0 && mm < 5000) ? { lengthMm, widthMm, heightMm } : PLAIN_BOX
}

/** The crate in the car on one page: where it stands, what is left, what to look at before driving off. */
export function CarSheet() {
  const { sheet, name } = useOpenTicket()
  const [asked] = useSearchParams()
  const settings = useAppSelector((state) => state.settings)
  const say = (mm: number): string => lengthText(mm, { ...valueStyle(settings), unit: settings.unit }, true)
  const on = useToday()
  const cars = useCars(sheet.owner?.id ?? null)
  const car = cars.find(({ id }) => id === asked.get('car')) ?? cars.find(({ space }) => space !== null)
  const outer = boxOf(asked.get('box'))
  const label = asked.get('label') ?? 'Crate'
  const turn = Number(asked.get('turn')) || 0
  const yaw = (turn / 180) * Math.PI
  const found = (() => {
    if (!car?.space) return null
    try {
      return { room: roomFor(car.space, outer, yaw), opening: car.space.opening ? throughOpening(car.space.opening, outer) : null }
    } catch {
      return null
    }
  })()
  const words = (mm: number): string => (mm >= 0 ? `${say(mm)} free each side` : `${say(-mm)} too big each side`)
  return (
    <PaperRoom title={`Car sheet, ${name}`} back={`/tickets/${sheet.ticket.id}/crate`}>
      {!car?.space || !found ? (
        <Empty title="No load space measured">Measure it under Load space; then this page is filled.</Empty>
      ) : (
        <section aria-label="Crate in the car">
          <header className="mb-3 border-b-2 border-black pb-2">
            <h2 className="text-[26px] leading-8">
              {name}: {label} in {car.name}
            </h2>
            <p>{`Ticket ${sheet.ticket.number}, ${longDay(on)}. Outside ${say(outer.lengthMm)} long, ${say(outer.widthMm)} wide, ${say(outer.heightMm)} high.`}</p>
          </header>
          <div className="keep mb-3 h-[420px] border-2 border-black">
            <SpaceViews space={car.space} boxes={[{ outer, yaw, at: found.room?.at ?? [outer.lengthMm / 2, outer.widthMm / 2], name: label }]} ghosts={[]} strap={[]} say={say} onSpace={null} />
          </div>
          <table className="mb-3">
            <tbody>
              <tr>
                <td>On the floor, turned {turn}°</td>
                <td className="font-bold">{found.room ? words(found.room.roomMm) : 'does not go in'}</td>
              </tr>
              <tr>
                <td>Through the opening, level</td>
                <td className="font-bold">{found.opening ? words(found.opening.roomMm) : 'opening not measured'}</td>
              </tr>
            </tbody>
          </table>
          <ul className="mb-3">
            {['Stands level on its own feet and does not rock', 'Straps over it hooked in, tails tucked away', 'Door shut and free to open from outside', 'Nothing loose around or on it', 'No harness, coat or boots left on in it'].map((line) => (
              <li key={line} className="flex items-baseline gap-3 border-b border-black/40 py-1.5 text-[17px]">
                <span aria-hidden>☐</span> {line}
              </li>
            ))}
          </ul>
          <p>
            Predicted from straight sides as they were measured; a try says whether it goes in. Its size says nothing of a crash, and a strap’s length nothing of
            its strength: makers’ tests and local rules say what may ride. Never left in a parked car.
          </p>
        </section>
      )}
    </PaperRoom>
  ) // prettier-ignore
}
