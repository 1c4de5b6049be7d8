import { symptomName, symptomsFor, TEAM_PLACES, TRAITS, type Change, type SymptomId, type TeamPlace as Place, type Trait as TraitId } from '@merry-tailor/core'
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
/** Work whose warmth matters. */
const RUNS = [...PULLS, 'beside-runner'] as const
/** What people say of what the dog wears now. */
const TROUBLES = [...new Map([...symptomsFor('H01'), ...symptomsFor('H11')].map((each) => [each.id, each.id])).values()]

/** How the dog goes, what it wears now, and what else decides beside the tapes. None of it is compulsory. */
export function GoingBlock() {
  const { sheet, name } = useOpenTicket()
  const { ticket } = sheet
  const acts = useActs()
  const send = (changes: Change[]) => acts.change(changes)
  const turn = <T,>(field: 'traits' | 'wearsTrouble', list: readonly T[], one: T): void =>
    void send([{ field, from: list, to: list.includes(one) ? list.filter((each) => each !== one) : [...list, one] }])
  const does = (list: readonly string[]): boolean => ticket.activities.some((activity) => list.includes(activity))
  const numberField = (field: 'budget' | 'airC' | 'humidity', label: string, hint: string, least: number, most: number) => (
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
          <Link to={`/tickets/${ticket.id}/hitch`} className="inline-flex min-h-11 items-center font-text text-[15px] font-bold underline">
            Where the line is fixed
          </Link>
        )}
      </h2>
      {does(PULLS) && (
        <div className="mt-2 flex flex-wrap items-center gap-3">
          <span className="font-semibold">Does it pull yet?</span>
          <Segmented<'yes' | 'no'>
            label="Does it pull yet?"
            value={ticket.pulls === null ? null : ticket.pulls ? 'yes' : 'no'}
            options={[
              { value: 'yes', label: 'It pulls' },
              { value: 'no', label: 'Not yet' },
            ]}
            onChange={(said) => void send([{ field: 'pulls', from: ticket.pulls, to: said === 'yes' }])}
          />
          {ticket.pulls === false && <span className="text-mute">Fit shows only under load: start with a stock piece, made to measure once it pulls.</span>}
        </div>
      )}
      <Toggles
        label="How it goes and dresses"
        options={TRAITS.map((value) => ({ value, label: traitName(value) }))}
        isOn={(trait) => ticket.traits.includes(trait)}
        onToggle={(trait: TraitId) => turn('traits', ticket.traits, trait)}
        className="mt-2"
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
      <div className="mt-3 grid max-w-[560px] gap-4 phone:grid-cols-2">
        <SavedField
          label="What it wears now"
          maxLength={200}
          placeholder="Strap over the chest, too tight"
          value={ticket.wears}
          onSave={(typed, seen) => saveField(send, 'wears', seen, typed)}
        />
        <SavedField label="Who else will wear it" maxLength={200} value={ticket.alsoWorn} onSave={(typed, seen) => saveField(send, 'alsoWorn', seen, typed)} />
      </div>
      <details className="mt-1 max-w-[560px] border-b border-rule" open={ticket.wearsTrouble.length > 0}>
        <summary className="flex min-h-12 cursor-pointer items-center font-bold">What is wrong with what it wears now</summary>
        <Toggles
          label="What is wrong with what it wears now"
          options={TROUBLES.map((value) => ({ value, label: symptomName(value) }))}
          isOn={(symptom) => ticket.wearsTrouble.includes(symptom)}
          onToggle={(symptom: SymptomId) => turn('wearsTrouble', ticket.wearsTrouble, symptom)}
          className="pb-3"
        />
      </details>
      <div className="mt-3 grid max-w-[560px] gap-4 phone:grid-cols-2">
        {numberField('budget', 'May cost, for each piece', 'In the shop’s own money.', 0, 100_000)}
        {does(RUNS) && numberField('airC', 'Air at the work, °C', 'Above 10 °C the bench says stop.', -60, 60)}
        {does(RUNS) && numberField('humidity', 'Humidity of that air, %', 'Damp air lowers the limit.', 0, 100)}
      </div>
    </section>
  )
}
