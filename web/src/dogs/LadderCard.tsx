import { formatWeight, RUNGS } from '@merry-tailor/core'
import { useParams } from 'react-router'
import { useDogQuery } from '../api/queries'
import { PaperRoom } from '../frame/PaperRoom'
import { PlaceFrame } from '../frame/Strip'
import { useAppSelector } from '../state/store'
import { longDay, today } from '../state/today'
import { Snag, Unrolling } from '../ui/State'
import { dogLine } from '../words/dogs'
import { problemWords } from '../words/problems'
import { BECAUSE, RUNG_NAMES } from './ladder-words'
import { useLadder } from './use-ladder'
import type { Dog, Outing } from '@merry-tailor/core'

/** Lines to write outings on by hand. */
const BLANK = 10

/** The ladder on paper: where the dog stands, what comes next, room for what will be. */
export function LadderCard() {
  const { dogId = '' } = useParams()
  const { data, error } = useDogQuery(dogId)
  const unit = useAppSelector((state) => state.settings.unit)
  return (
    <PlaceFrame name={data?.dog.name ?? 'Dog'} detail={data ? dogLine(data.dog, today(), unit) : ''}>
      {error ? <Snag title="This dog can’t be opened.">{problemWords(error)}</Snag> : data ? <Card dog={data.dog} outings={data.outings} /> : <Unrolling />}
    </PlaceFrame>
  )
}

function Card({ dog, outings }: { dog: Dog; outings: readonly Outing[] }) {
  const { unit } = useAppSelector((state) => state.settings)
  const kg = (mass: number): string => formatWeight(mass, unit === 'in' ? 'lb' : 'kg')
  const next = useLadder(dog, outings)
  const standing = outings.filter(({ removed }) => !removed)
  return (
    <PaperRoom title={`${dog.name} learns to draw`} back={`/dogs/${dog.id}`}>
      <header className="mb-3 border-b-2 border-black pb-2">
        <h2 className="text-[24px] leading-8">{dog.name} learns to draw</h2>
        <p>
          {next
            ? `Next: ${RUNG_NAMES[next.rung].toLowerCase()}${next.loadKg === null ? '' : `, ${kg(next.loadKg)}`}. ${BECAUSE[next.because]}`
            : `Weigh ${dog.name} first: a load goes by its weight.`}
        </p>
      </header>
      <ol className="mb-3 list-decimal pl-5">
        {RUNGS.map((rung) => (
          <li key={rung}>{RUNG_NAMES[rung]}</li>
        ))}
      </ol>
      <p className="mb-3">
        Three calm days in a row, then one rung up; twice not calm, one down. A first load is a quarter of the dog’s weight, then a quarter more. Under 18
        months, giants under 24, lines at most. From memory, unverified; the vet and local rules go before this paper.
      </p>
      <table className="w-full border-collapse text-[15px]">
        <thead>
          <tr className="border-b-2 border-black text-left">
            <th className="py-1">Day</th>
            <th>What</th>
            <th>Calm</th>
            <th>Minutes</th>
            <th>Seen</th>
          </tr>
        </thead>
        <tbody>
          {standing.slice(0, 14).map((outing) => (
            <tr key={outing.id} className="border-b border-black/30">
              <td className="py-1">{longDay(outing.on)}</td>
              <td>
                {RUNG_NAMES[outing.rung]}
                {outing.loadKg === null ? '' : `, ${kg(outing.loadKg)}`}
              </td>
              <td>{outing.calm ? 'yes' : 'no'}</td>
              <td>{outing.minutes ?? ''}</td>
              <td>{outing.note}</td>
            </tr>
          ))}
          {Array.from({ length: BLANK }, (_, i) => (
            <tr key={i} className="border-b border-black/30">
              {[0, 1, 2, 3, 4].map((cell) => (
                <td key={cell} className="h-8">
                  {' '}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </PaperRoom>
  )
}
