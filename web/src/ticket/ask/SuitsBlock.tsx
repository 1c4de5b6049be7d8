import { FAMILY_IDS, families, type FamilyId, type Suggestion } from '@merry-tailor/core'
import { useState } from 'react'
import { Link } from 'react-router'
import { OnTheDog, useBenchForm, useOpenTicket } from '../../bench'
import { Button } from '../../ui/controls/Button'
import { Mark } from '../../ui/marks/Mark'
import { jobName } from '../../words/dogs'
import { lowerFirst } from '../../words/first-letter'
import { RANK_GRADES, rankWords, reasonWords, stopWords, wrongWords } from '../../words/kinds'
import { problemWords } from '../../words/problems'
import { familyName } from '../../words/stages'
import { useAddItem } from './use-add-item'
import { Problem } from '../../ui/controls/Problem'

const SHELVES = [
  ['walking', 'Walking'],
  ['pulling', 'Pulling'],
  ['drafting', 'Drafting'],
  ['car', 'Car'],
  ['coat', 'Coats'],
  ['boot', 'Boots'],
  ['crate', 'Crates'],
] as const
const COLOUR = { holds: 'text-holds', doubt: 'text-chalk', fails: 'text-snag', none: 'text-mute' } as const
const GOOD = ['first', 'works', 'conditions'] as const
const isGood = ({ rank }: Suggestion): boolean => (GOOD as readonly string[]).includes(rank)

/** Three best for this dog and all it will do, each with a sketch and a reason; the rest, what does not suit, and every kind. */
export function SuitsBlock({ suggestions }: { suggestions: readonly Suggestion[] }) {
  const { sheet, name } = useOpenTicket()
  const { form } = useBenchForm()
  const add = useAddItem()
  const [refused, setRefused] = useState<string | null>(null)
  const items = sheet.items.filter((item) => !item.removed)
  const has = (family: FamilyId): boolean => items.some((item) => item.family === family)
  const put = (family: FamilyId): void =>
    void add(family).then(({ error }) => {
      setRefused(error ? `Not put on the ticket. ${problemWords(error)}` : null)
    })
  const good = suggestions.filter(isGood)
  const free = good.filter((each) => each.stops.length === 0)
  // Where a stop forbids the work, what may be done with this dog comes first.
  const led = [...free, ...good.filter((each) => each.stops.length > 0)]
  const [best, more] = [led.slice(0, 3), led.slice(3)]
  const wrong = suggestions.filter((each) => each.rank === 'wrong')
  const { ticket } = sheet
  const jobs = [...ticket.activities, ...ticket.needs.filter((need) => need !== 'paws' || ticket.footing.length > 0)]
  const uncovered = jobs.filter((job) => !good.some((each) => each.jobs.includes(job)))
  const asked = ticket.activities.length + ticket.needs.length > 0
  const named = new Set([...led, ...wrong].map((each) => each.family))
  return (
    <section aria-label="What suits">
      <h2 className="mt-3 flex flex-wrap items-baseline justify-between gap-x-4 border-t-2 border-ink pt-2 text-[19px] leading-6">
        What suits {name}
        {ticket.activities.length > 0 && (
          <Link to={`/tickets/${ticket.id}/kinds`} className="inline-flex min-h-11 items-center font-text text-[15px] font-bold underline">
            Which kind suits
          </Link>
        )}
      </h2>
      <Problem barred className="mt-1">
        {refused}
      </Problem>
      {!asked && (
        <p className="mt-1 text-mute">Tick what {name} will do; the three best kinds show here with their reasons. Or take one from the list below.</p>
      )}
      {uncovered.length > 0 && (
        <p className="mt-1 font-semibold">
          Nothing here for: {uncovered.map((job) => lowerFirst(jobName(job))).join(', ')}. Why stands below under “Not for this”.
        </p>
      )}
      {ticket.needs.includes('paws') && ticket.footing.length === 0 && (
        <p className="mt-1 font-semibold">What do the paws go on? Tick it above; then boots show here.</p>
      )}
      <ul className="mt-1.5 grid grid-cols-1 gap-3 md:grid-cols-3">
        {best.map((each, i) => (
          <li key={each.family} aria-label={familyName(each.family)} className="flex min-w-0 flex-col border-[1.5px] border-ink bg-panel px-3 py-2">
            <h3 className="text-[18px] leading-[22px]">{familyName(each.family)}</h3>
            <RankLine suggestion={each} />
            <OnTheDog form={form} family={each.family} name={name} height={(width) => Math.min(120, width * 0.5)} className="mat my-1.5" />
            <p className="flex-1 text-[14.5px] leading-[19px]">
              {families[each.family].right} <span className="text-mute">{reasonWords(each)}</span>
            </p>
            {each.stops.length > 0 && <p className="mt-1 font-semibold text-snag">{stopWords(each.stops)}</p>}
            {has(each.family) ? (
              <p className="mt-2 flex min-h-11 items-center font-bold">On this ticket</p>
            ) : (
              <Button
                tone={i === 0 && items.length === 0 && each.stops.length === 0 ? 'primary' : 'plain'}
                className="mt-2 w-full"
                onClick={() => put(each.family)}
              >
                Put {lowerFirst(familyName(each.family))} on the ticket
              </Button>
            )}
          </li>
        ))}
      </ul>
      {more.length > 0 && (
        <Folded title={`${more.length} more that would do`}>
          <ul>
            {more.map((each) => (
              <Row key={each.family} suggestion={each} has={has(each.family)} onPut={put} said={`${families[each.family].right} ${reasonWords(each)}`} />
            ))}
          </ul>
        </Folded>
      )}
      {wrong.length > 0 && (
        <Folded title={`Not for this: ${wrong.length}`}>
          <ul>
            {wrong.map((each) => (
              <Row
                key={each.family}
                suggestion={each}
                has={has(each.family)}
                onPut={put}
                said={`${wrongWords(families[each.family].wrong)} ${reasonWords(each)}`}
              />
            ))}
          </ul>
        </Folded>
      )}
      <Folded title={asked ? 'Every other kind' : 'Every harness, coat, boot and crate'} open={!asked}>
        {SHELVES.map(([shelf, title]) => {
          const kinds = FAMILY_IDS.filter((family) => families[family].shelf === shelf && !(asked && named.has(family)) && !has(family))
          return kinds.length === 0 ? null : (
            <div key={shelf} role="group" aria-label={title} className="pb-3">
              <p className="mb-1 text-[13.5px] font-semibold text-mute">{title}</p>
              <div className="flex flex-wrap gap-1.5">
                {kinds.map((family) => (
                  <Button key={family} tone="quiet" onClick={() => put(family)} title={families[family].build}>
                    {families[family].name}
                  </Button>
                ))}
              </div>
            </div>
          )
        })}
      </Folded>
    </section>
  )
}

function RankLine({ suggestion }: { suggestion: Suggestion }) {
  const grade = RANK_GRADES[suggestion.rank]
  return (
    <p className="mt-0.5 text-[14.5px] leading-[19px]">
      <span className={`inline-flex items-center gap-1.5 font-bold ${COLOUR[grade]}`}>
        <Mark grade={grade} basis="predicted" size={17} /> {rankWords(suggestion)}
      </span>{' '}
      <span className="text-mute">{suggestion.jobs.map((job) => lowerFirst(jobName(job))).join(', ')}</span>
    </p>
  )
}

function Row({ suggestion, has, onPut, said }: { suggestion: Suggestion; has: boolean; onPut: (family: FamilyId) => void; said: string }) {
  const { family } = suggestion
  return (
    <li aria-label={familyName(family)} className="flex flex-wrap items-center gap-x-3 border-b border-rule py-1.5 last:border-0">
      <div className="min-w-[240px] flex-1">
        <b>{familyName(family)}</b>
        <RankLine suggestion={suggestion} />
        <p className="text-[14px] leading-[18px] text-mute">{said}</p>
        {suggestion.stops.length > 0 && isGood(suggestion) && <p className="text-[14px] font-semibold text-snag">{stopWords(suggestion.stops)}</p>}
      </div>
      {has ? (
        <span className="font-bold">On this ticket</span>
      ) : (
        <Button tone="quiet" aria-label={`Put ${lowerFirst(familyName(family))} on the ticket`} onClick={() => onPut(family)}>
          Put it on
        </Button>
      )}
    </li>
  )
}

function Folded({ title, open = false, children }: { title: string; open?: boolean; children: React.ReactNode }) {
  return (
    <details open={open} className="border-b border-rule">
      <summary className="flex min-h-12 cursor-pointer items-center font-bold">{title}</summary>
      {children}
    </details>
  )
}
