import { Link } from 'react-router'
import { usePiecesQuery } from '../api/queries'
import { RETIRED, STATES } from '../words/pieces'
import { familyName } from '../words/stages'

/** The pieces this dog wears, as far as they are in the shop's book. */
export function GearWorn({ dogId }: { dogId: string }) {
  const { data: pieces = [] } = usePiecesQuery(undefined)
  const worn = pieces.filter((piece) => piece.wearerId === dogId)
  if (worn.length === 0) return null
  return (
    <section aria-label="Gear worn" className="border-t-2 border-ink">
      <h2 className="px-4 pt-2 text-[19px] leading-6">Gear worn</h2>
      <ul>
        {worn.map((piece) => (
          <li key={piece.id} className="border-b border-rule last:border-b-0">
            <Link to={`/gear?piece=${piece.id}`} className="flex min-h-12 items-baseline justify-between gap-3 px-4 py-2 hover:bg-bench">
              <span>
                <b>{piece.tag}</b> <span className="text-mute">{familyName(piece.family)}</span>
              </span>
              <span className="font-semibold">{piece.retired ? RETIRED[piece.retired.why] : STATES[piece.state]}</span>
            </Link>
          </li>
        ))}
      </ul>
    </section>
  )
}
