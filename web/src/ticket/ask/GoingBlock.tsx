import { TEAM_PLACES, TRAITS, type Change, type TeamPlace as Place, type Trait as TraitId } from '@merry-tailor/core'
import { Link } from 'react-router'
import { SavedField } from '../../ui/controls/SavedField'
import { Toggles } from '../../ui/controls/Toggles'
import { Segmented } from '../../ui/controls/Segmented'
import { traitName } from '../../words/dogs'
import { useOpenTicket, useActs } from '../../bench'
import { saveField } from '../../state/save-field'

const PLACES: Readonly<Record<Place, string>> = { lead: 'Lead', middle: 'Middle', wheel: 'Wheel' }
const TEAM_WORK = ['sled-team', 'wheel-place'] as const
const PULLS = ['front-of-runner', 'bike-front', 'bike-side', 'ski-front', 'sled-team', 'wheel-place', 'weight-drag', 'cart'] as const

/** How the dog goes and what else decides: what the choice asks beside the tapes. None of it is compulsory. */
export function GoingBlock() {
  const { sheet, name } = useOpenTicket()
  const { ticket } = sheet
  const acts = useActs()
  const send = (changes: Change[]) => acts.change(changes)
  const toggle = (trait: TraitId): void => {
    const to = ticket.traits.includes(trait) ? ticket.traits.filter((each) => each !== trait) : [...ticket.traits, trait]
    void send([{ field: 'traits', from: ticket.traits, to }])
  }
  const does = (list: readonly string[]): boolean => ticket.activities.some((activity) => list.includes(activity))
  const numberField = (field: 'budget' | 'airC', label: string, hint: string, least: number, most: number) => (
    <SavedField
      label={label}
      hint={hint}
      value={ticket[field] === null ? '' : String(ticket[field])}
      onSave={async (typed, seen) => {
        const value = typed.trim() === '' ? null : Number(typed.replace(',', '.').replace('−', '-'))
        if (value !== null && !(value >= least && value <= most)) return { kept: false, problem: `A number from ${least} to ${most}, or nothing.` }
        return saveField(send, field, seen === '' ? null : Number(seen), value)
      }}
    />
  )
  return (
    <section aria-label="How it goes">
      <h2 className="mt-4 flex flex-wrap items-baseline justify-between gap-x-4 border-t-2 border-ink pt-2 text-[19px] leading-6">
        How {name} goes and dresses
        {does(PULLS) && (
          <Link to={`/tickets/${ticket.id}/hitch`} className="font-text text-[15px] font-bold underline">
            Where the line is fixed
          </Link>
        )}
      </h2>
      <Toggles
        label="How it goes and dresses"
        options={TRAITS.map((value) => ({ value, label: traitName(value) }))}
        isOn={(trait) => ticket.traits.includes(trait)}
        onToggle={toggle}
        className="mt-1.5"
      />
      {does(TEAM_WORK) && (
        <div className="mt-3 flex flex-wrap items-center gap-3">
          <span className="font-semibold">Place in the team</span>
          <Segmented<Place | 'open'>
            label="Place in the team"
            value={ticket.teamPlace ?? 'open'}
            options={[...TEAM_PLACES.map((place) => ({ value: place, label: PLACES[place] })), { value: 'open' as const, label: 'Not said' }]}
            onChange={(place) => void send([{ field: 'teamPlace', from: ticket.teamPlace, to: place === 'open' ? null : place }])}
          />
        </div>
      )}
      <div className="mt-3 grid max-w-[560px] grid-cols-2 gap-4">
        {numberField('budget', 'May cost, for each piece', 'In the shop’s own money.', 0, 100_000)}
        {does(PULLS) && numberField('airC', 'Air at the work, °C', 'Above 10 °C the bench says stop.', -60, 60)}
        <SavedField
          label="Who else will wear it"
          maxLength={200}
          value={ticket.alsoWorn}
          onSave={(typed, seen) => saveField(send, 'alsoWorn', seen, typed)}
          className={does(PULLS) ? 'col-span-2' : ''}
        />
      </div>
    </section>
  )
}
