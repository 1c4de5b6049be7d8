import { checkById, trustOf, type FamilyId, type FamilyTrust, type ForetoldPair } from '@merry-tailor/core'
import { useState } from 'react'
import { Link } from 'react-router'
import { useForetoldQuery } from '../api/queries'
import { VerdictWord } from '../said/VerdictWord'
import { familyName } from '../words/stages'

const GRADES = ['holds', 'doubt', 'fails'] as const
const percent = (share: number): string => `${Math.round(100 * share)} %`
/** So many kept rounds before a kind’s predictions count (as `trustOf`). */
const ENOUGH = 30

/** How often predictions came true, kind by kind: what was foretold when a round began, beside what was then seen. */
export function Predicted() {
  const { data: pairs = [] } = useForetoldQuery(undefined)
  const trust = trustOf(pairs)
  const families = (Object.keys(trust) as FamilyId[]).sort((a, b) => (trust[b]?.rounds ?? 0) - (trust[a]?.rounds ?? 0))
  return (
    <section aria-label="Predicted" className="border-t-2 border-ink pt-4">
      <h2 className="text-[19px] leading-6">Predicted, and what was seen</h2>
      <p className="mt-1 max-w-[620px] text-mute">
        Kept when a round begins, before the first answer, and never worked out anew. From {ENOUGH} rounds of a kind on, and where it came true often enough,
        its predictions count; before, they only order what to try.
      </p>
      {families.length === 0 && <p className="mt-2">No round has kept a prediction yet. The next one begun under Try on does.</p>}
      <ul className="mt-2 space-y-3">
        {families.map((family) => {
          const own = trust[family]
          return own ? <Kind key={family} family={family} trust={own} pairs={pairs.filter((pair) => pair.family === family)} /> : null
        })}
      </ul>
    </section>
  )
}

function Kind({ family, trust, pairs }: { family: FamilyId; trust: FamilyTrust; pairs: readonly ForetoldPair[] }) {
  const [open, setOpen] = useState(false)
  return (
    <li className="border-[1.5px] border-ink bg-panel px-4 py-2.5">
      <h3 className="flex flex-wrap items-baseline justify-between gap-x-4 text-[17px] leading-6">
        {familyName(family)}
        <span className="font-text text-[15px] font-normal">
          {trust.rounds} {trust.rounds === 1 ? 'round' : 'rounds'}:{' '}
          <b>
            {trust.trusted
              ? 'its predictions count'
              : trust.rounds < ENOUGH
                ? `${ENOUGH - trust.rounds} more before they count`
                : 'not often enough right to count'}
          </b>
        </span>
      </h3>
      <table className="mt-1 w-full max-w-[560px] text-[15px]" aria-label={`${familyName(family)}: how often it came true`}>
        <thead className="text-left text-mute">
          <tr>
            <th className="py-0.5 font-normal">Foretold</th>
            <th className="font-normal">Seen to hold</th>
            <th className="font-normal">Likely between</th>
          </tr>
        </thead>
        <tbody>
          {GRADES.map((grade) => {
            const { n, held, low, high } = trust.byGrade[grade]
            return (
              <tr key={grade} className="border-t border-rule">
                <td className="py-1">
                  <VerdictWord grade={grade} basis="predicted" size={17} />
                </td>
                <td>{n === 0 ? 'never asked' : `${held} of ${n}`}</td>
                <td>{n === 0 ? '–' : `${percent(low)} and ${percent(high)}`}</td>
              </tr>
            )
          })}
        </tbody>
      </table>
      <button type="button" aria-expanded={open} onClick={() => setOpen(!open)} className="min-h-11 font-bold underline">
        {open ? 'Fold the pairs' : `All ${pairs.length} pairs`}
      </button>
      {open && (
        <ul className="max-h-[420px] overflow-y-auto" tabIndex={0} role="group" aria-label="Kept pairs">
          {pairs.map((pair) => (
            <li key={`${pair.round} ${pair.check} ${pair.state}`} className="border-t border-rule">
              <Link to={`/tickets/${pair.ticketId}/try-on?round=${pair.round}`} className="flex min-h-11 flex-wrap items-center gap-x-4 py-1">
                <span className="min-w-[180px] flex-1">
                  <b>{checkById(pair.check)?.name ?? pair.check}</b>{' '}
                  <span className="text-mute">
                    {pair.state}; {pair.label} on {pair.dog || 'a counter dog'}, {pair.at.slice(0, 10)}
                  </span>
                </span>
                <VerdictWord grade={pair.predicted} basis="predicted" size={16} />
                <VerdictWord grade={pair.seen} basis="seen" size={16} />
              </Link>
            </li>
          ))}
        </ul>
      )}
    </li>
  )
}
