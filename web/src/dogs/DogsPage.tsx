import { aboutDog, type Body, type Dog } from '@merry-tailor/core'
import { Link, useNavigate, useSearchParams } from 'react-router'
import { useDayQuery, useOwnersQuery } from '../api/queries'
import { PlaceFrame } from '../frame/Strip'
import { useAppSelector } from '../state/store'
import { today } from '../state/today'
import { useToday } from '../state/use-today'
import { DogOutline } from '../form'
import { Empty, Snag, Unrolling } from '../ui/State'
import { dogLine } from '../words/dogs'
import { problemWords } from '../words/problems'
import { useMemo } from 'react'
import { NewDog } from './NewDog'
import { DogFinder, MoreDogs } from './DogFinder'
import { useDogsPage } from './use-dogs-page'

/** Every dog in the book, by name. */
export function DogsPage() {
  const { data: owners = [] } = useOwnersQuery(undefined)
  const { data: day } = useDayQuery(useToday())
  const [search, setSearch] = useSearchParams()
  const navigate = useNavigate()
  const ownerId = search.get('owner')
  const owner = owners.find((each) => each.id === ownerId)
  const { finding, total, error } = useDogsPage(ownerId)
  const bodies = useMemo(() => new Map((day?.rows ?? []).flatMap((row): [string, Body][] => (row.dog ? [[row.dog.id, row.body]] : []))), [day])
  return (
    <PlaceFrame name="Dogs" detail={owner ? `of ${owner.name}${owner.contact ? `, ${owner.contact}` : ''}` : finding ? `${total} in the book` : ''}>
      <div className="quiet-scroll min-h-0 flex-1 bg-panel" tabIndex={-1}>
        <div className="flex flex-wrap gap-x-5 border-b border-rule px-4">
          <Link to="/dogs/bring-in" className="inline-flex min-h-11 items-center font-semibold underline">
            Bring dogs in
          </Link>
          <Link to="/round" className="inline-flex min-h-11 items-center font-semibold underline">
            Team round
          </Link>
        </div>
        {!owner && <NewDog />}
        {owner && (
          <button type="button" className="min-h-11 px-4 font-semibold underline" onClick={() => setSearch({})}>
            All dogs
          </button>
        )}
        {error ? (
          <div className="p-4">
            <Snag title="The dogs can’t be read.">{problemWords(error)}</Snag>
          </div>
        ) : !finding ? (
          <Unrolling />
        ) : total === 0 && finding.typed === '' && finding.shown.length === 0 ? (
          <Empty
            action={
              <button
                type="button"
                onClick={() => void navigate('/')}
                className="inline-flex min-h-11 items-center border-2 border-ink bg-tape px-4 font-bold text-tape-ink"
              >
                To Today
              </button>
            }
          >
            No dog here yet. A dog comes into the book with its first ticket.
          </Empty>
        ) : (
          <>
            {finding.useful && (
              <div className="border-b border-rule px-4 py-2">
                <DogFinder finding={finding} />
              </div>
            )}
            <ul className="grid content-start md:grid-cols-2 bench:grid-cols-3">
              {finding.shown.map((dog) => (
                <DogRow key={dog.id} dog={dog} owner={owners.find((each) => each.id === dog.ownerId)?.name} body={bodies.get(dog.id) ?? {}} />
              ))}
            </ul>
            <MoreDogs finding={finding} />
          </>
        )}
      </div>
    </PlaceFrame>
  )
}

function DogRow({ dog, owner, body }: { dog: Dog; owner: string | undefined; body: Body }) {
  const unit = useAppSelector((state) => state.settings.unit)
  const about = useMemo(() => aboutDog(dog, today()), [dog])
  return (
    <li className="border-r border-b border-rule">
      <Link to={`/dogs/${dog.id}`} className="flex min-h-[86px] items-center gap-4 px-4 py-2 hover:bg-bench">
        <DogOutline body={body} about={about} width={96} height={64} />
        <span className="min-w-0">
          <span className="block font-display text-[19px] leading-6 font-bold">{dog.name}</span>
          <span className="block text-[14px] leading-[18px] text-mute">{dogLine(dog, today(), unit)}</span>
          {owner && <span className="block text-[14px] leading-[18px]">{owner}</span>}
        </span>
      </Link>
    </li>
  )
}
