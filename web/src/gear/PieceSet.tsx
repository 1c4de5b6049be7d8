import { settingOrder, unevenSides, type Piece } from '@merry-tailor/core'
import { Link } from 'react-router'
import { useSetOnDogsQuery } from '../api/queries'
import { valueStyle } from '../state/settings'
import { useAppSelector } from '../state/store'
import { longDay } from '../state/today'
import { lengthText } from '../ui/length/length-text'
import { Worded } from '../ui/length/Worded'
import { strapName } from '../words/foretold'

/** How this piece is set on each dog that wore it: two dogs in one piece have two sets. */
export function PieceSet({ piece }: { piece: Piece }) {
  const { data: sets = [] } = useSetOnDogsQuery(piece.family)
  const settings = useAppSelector((state) => state.settings)
  const say = (mm: number): string => lengthText(mm, valueStyle(settings), true)
  const own = sets.filter(({ of }) => 'pieceId' in of && of.pieceId === piece.id)
  if (own.length === 0) return null
  const order: readonly string[] = settingOrder(piece.family)
  return (
    <section aria-label="As it is set" className="border-t-2 border-ink pt-3">
      <h2 className="text-[19px] leading-6">As it is set</h2>
      <ul>
        {own.map(({ dogId, dog, at, straps }) => (
          <li key={dogId} className="border-b border-rule py-1.5">
            <p className="flex flex-wrap items-baseline gap-x-3">
              <Link to={`/dogs/${dogId}`} className="inline-flex min-h-11 items-center font-bold underline">
                On {dog}
              </Link>
              <span className="text-mute">{longDay(at.slice(0, 10))}</span>
              {unevenSides(straps).length > 0 && <b className="text-chalk">left and right differ</b>}
            </p>
            <dl className="flex flex-wrap gap-x-6">
              {Object.entries(straps)
                .sort(([a], [b]) => order.indexOf(a) - order.indexOf(b))
                .map(([id, { leftMm, rightMm }]) => (
                  <div key={id} className="flex gap-2">
                    <dt className="text-mute">{strapName(id)}</dt>
                    <dd className="font-semibold">
                      <Worded text={rightMm === null || Math.abs(rightMm - leftMm) < 1 ? say(leftMm) : `left ${say(leftMm)}, right ${say(rightMm)}`} />
                    </dd>
                  </div>
                ))}
            </dl>
          </li>
        ))}
      </ul>
    </section>
  )
}
