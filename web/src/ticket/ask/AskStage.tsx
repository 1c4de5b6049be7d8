import {
  ACTIVITIES,
  cautionKey,
  cautionsFor,
  families,
  hasSchools,
  suits,
  type Activity as ActivityId,
  type Change,
  FAMILY_IDS,
  type FamilyId,
  type Item,
  type ItemWay,
  type School,
} from '@merry-tailor/core'
import { Link, useNavigate } from 'react-router'
import { useAppSelector } from '../../state/store'
import { today } from '../../state/today'
import { useShop } from '../../state/use-shop'
import { useKeys } from '../../state/use-keys'
import { Button } from '../../ui/controls/Button'
import { KeyCap } from '../../ui/controls/KeyCap'
import { SavedField } from '../../ui/controls/SavedField'
import { Toggles } from '../../ui/controls/Toggles'
import { Segmented } from '../../ui/controls/Segmented'
import { VerdictWord } from '../../said/VerdictWord'
import { activityName } from '../../words/dogs'
import { wrongWords } from '../../words/kinds'
import { wayName } from '../../words/stages'
import { useOpenTicket, useActs } from '../../bench'
import { CautionBlock } from './CautionBlock'
import { DogForm } from './DogForm'
import { DogPicker } from './DogPicker'
import { GoingBlock } from './GoingBlock'
import { saveField } from '../../state/save-field'

/** Ask: the dog, what it will do, which items and in which way; none of it compulsory. */
export function AskStage() {
  const { sheet, name } = useOpenTicket()
  const { ticket, dog } = sheet
  const items = sheet.items.filter((item) => !item.removed)
  const shop = useShop()
  const acts = useActs()
  const navigate = useNavigate()
  const fitter = useAppSelector((state) => state.settings.fitter)
  const send = (changes: Change[]) => acts.change(changes)
  const next = (): void => void navigate(`/tickets/${ticket.id}/measure`)
  useKeys({ Enter: next })

  const toggle = (activity: ActivityId): void => {
    const to = ticket.activities.includes(activity) ? ticket.activities.filter((each) => each !== activity) : [...ticket.activities, activity]
    void send([{ field: 'activities', from: ticket.activities, to }])
  }
  const toggleItem = (family: FamilyId): void => {
    const known = items.find((item) => item.family === family)
    if (known) void acts.change([{ field: 'removed', from: false, to: true }], known.id)
    else void acts.item({ family, way: 'undecided', school: hasSchools(family) && shop.school !== 'both' ? shop.school : null })
  }
  /** Chosen ones, then what suits the work best; with no work named yet, the two asked for most. */
  const near = FAMILY_IDS.filter(
    (family) =>
      items.some((item) => item.family === family) ||
      family === 'H01' ||
      family === 'H11' ||
      ticket.activities.some((activity) => suits(family, activity) === 'first'),
  )
  const cautions = cautionsFor({ dog, activities: ticket.activities, families: items.map((item) => item.family), on: today() })
  const dayField = (field: 'neededOn' | 'promisedOn', label: string, hint: string) => (
    <SavedField
      label={label}
      type="date"
      hint={hint}
      value={ticket[field] ?? ''}
      onSave={(typed, seen) => saveField(send, field, seen || null, typed || null)}
    />
  )

  return (
    <div className="quiet-scroll min-h-0 flex-1 lg:grid lg:grid-cols-[388px_1fr] lg:overflow-hidden bench:grid-cols-[388px_1fr_344px]">
      <section aria-label="The dog" className="quiet-scroll min-h-0 border-ink bg-panel px-4 py-3 lg:border-r-2">
        {dog ? <DogForm key={dog.id} dog={dog} owner={sheet.owner} /> : <DogPicker />}
      </section>
      <section aria-label="The work" className="flex min-h-0 flex-col bg-panel max-lg:border-t-2 max-lg:border-ink">
        <div className="quiet-scroll min-h-0 flex-1 px-5 py-3">
          <h1 className="text-[26px] leading-[34px]">What will {name} do?</h1>
          <Toggles
            label="What it will do"
            options={ACTIVITIES.map((value) => ({ value, label: activityName(value) }))}
            isOn={(activity) => ticket.activities.includes(activity)}
            onToggle={toggle}
            className="mt-1.5"
          />
          <h2 className="mt-3 flex flex-wrap items-baseline justify-between gap-x-4 border-t-2 border-ink pt-2 text-[19px] leading-6">
            Items
            {ticket.activities.length > 0 && (
              <Link to={`/tickets/${ticket.id}/kinds`} className="font-text text-[15px] font-bold underline">
                Which kind suits
              </Link>
            )}
          </h2>
          <ul>
            {near.map((family) => (
              <ItemRow
                key={family}
                family={family}
                item={items.find((each) => each.family === family)}
                activities={ticket.activities}
                onToggle={() => toggleItem(family)}
                onChange={(item, field, from, to) => void acts.change([{ field, from, to }], item.id)}
              />
            ))}
          </ul>
          <details className="border-b border-rule">
            <summary className="flex min-h-12 cursor-pointer items-center font-bold">More harnesses, coats, boots and crates</summary>
            {SHELVES.map(([shelf, title]) => (
              <div key={shelf} role="group" aria-label={title} className="pb-3">
                <p className="mb-1 text-[13.5px] font-semibold text-mute">{title}</p>
                <div className="flex flex-wrap gap-1.5">
                  {FAMILY_IDS.filter((family) => families[family].shelf === shelf && !near.includes(family)).map((family) => (
                    <Button key={family} tone="quiet" onClick={() => toggleItem(family)} title={families[family].build}>
                      {families[family].name}
                    </Button>
                  ))}
                </div>
              </div>
            ))}
          </details>
          <GoingBlock />
          <div className="mt-4 grid max-w-[560px] grid-cols-2 gap-4">
            {dayField('neededOn', 'Needed by', 'First use; the order dates count back from it.')}
            {dayField('promisedOn', 'Promised for', 'The day the ticket is due.')}
          </div>
          <SavedField
            label="Notes for this ticket"
            multiline
            maxLength={2000}
            value={ticket.notes}
            onSave={(typed, seen) => saveField(send, 'notes', seen, typed)}
            className="mt-3 max-w-[560px]"
          />
        </div>
        <footer className="flex shrink-0 items-center justify-between gap-3 border-t-2 border-ink px-5 py-2.5">
          <p className="text-[14px] text-mute">
            {items.length === 0 ? 'Choose an item: it decides which tapes.' : fitter ? `At the bench: ${fitter}` : 'Who is at the bench? Set it in Shop.'}
          </p>
          <Link
            to={`/tickets/${ticket.id}/measure`}
            className="inline-flex min-h-14 items-center gap-3 rounded-[2px] border-2 border-ink bg-tape px-6 text-[18px] font-bold text-tape-ink"
          >
            Take the tapes <KeyCap tone="tape">Enter</KeyCap>
          </Link>
        </footer>
      </section>
      <aside aria-label="Cautions" className="quiet-scroll min-h-0 border-ink bg-panel max-bench:border-t-2 lg:max-bench:col-span-2 bench:border-l-2">
        <h2 className="border-b-2 border-ink px-[18px] py-2 text-[19px] leading-6">Cautions for {name}</h2>
        {cautions.length === 0 ? (
          <p className="px-[18px] py-4 text-mute">None yet. They follow from the dog, the work and the items.</p>
        ) : (
          cautions.map((caution) => <CautionBlock key={cautionKey(caution)} caution={caution} all={cautions} />)
        )}
      </aside>
    </div>
  )
}

const SHELVES = [
  ['walking', 'Walking'],
  ['pulling', 'Pulling'],
  ['drafting', 'Drafting'],
  ['car', 'Car'],
  ['coat', 'Coats'],
  ['boot', 'Boots'],
  ['crate', 'Crates'],
] as const

const SUITS = {
  first: ['holds', 'Suits'],
  works: ['holds', 'Works'],
  conditions: ['doubt', 'Only under conditions'],
  wrong: ['fails', 'Not for this'],
  pointless: ['none', 'Pointless'],
} as const
const BEST = ['first', 'works', 'conditions', 'pointless'] as const

interface ItemRowProps {
  family: FamilyId
  item: Item | undefined
  activities: readonly ActivityId[]
  onToggle: () => void
  onChange: (item: Item, field: string, from: string | null, to: string | null) => void
}

function ItemRow({ family, item, activities, onToggle, onChange }: ItemRowProps) {
  const about = families[family]
  const named = (fit: keyof typeof SUITS): ActivityId[] => activities.filter((activity) => suits(family, activity) === fit)
  const best = BEST.find((fit) => named(fit).length > 0)
  const said = [...(best ? [best] : []), ...(named('wrong').length > 0 ? (['wrong'] as const) : [])]
  return (
    <li className="border-b border-rule py-2.5">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
        <Button aria-pressed={item !== undefined} onClick={onToggle} className="min-w-[170px] justify-start aria-pressed:bg-ink aria-pressed:text-panel">
          {item ? '✓ ' : ''}
          {about.name}
        </Button>
        {said.map((fit) => (
          <span key={fit} className="flex items-center gap-2">
            <VerdictWord grade={SUITS[fit][0]} basis="predicted" word={SUITS[fit][1]} />{' '}
            <span className="text-mute">{named(fit).map(activityName).join(', ').toLowerCase()}</span>
          </span>
        ))}
      </div>
      <p className="mt-1.5 max-w-[560px] text-mute">
        {about.build} {said.includes('wrong') ? wrongWords(about.wrong) : about.right}
      </p>
      {item && (
        <div className="mt-2 flex flex-wrap gap-3">
          <Segmented<ItemWay>
            label={`Way to get the ${about.name}`}
            value={item.way}
            options={(['stock', 'quick-ship', 'made', 'undecided'] as const).map((way) => ({ value: way, label: wayName(way) }))}
            onChange={(way) => onChange(item, 'way', item.way, way)}
          />
          {hasSchools(family) && (item.way === 'made' || item.way === 'undecided') && (
            <Segmented<School | 'both'>
              label="Measuring school"
              value={item.school ?? 'both'}
              options={[
                { value: 'A', label: 'School A' },
                { value: 'B', label: 'School B' },
                { value: 'both', label: 'Both' },
              ]}
              onChange={(school) => onChange(item, 'school', item.school, school === 'both' ? null : school)}
            />
          )}
        </div>
      )}
    </li>
  )
}
