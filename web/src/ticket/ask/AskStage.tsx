import { type Change } from '@merry-tailor/core'
import { Link, useNavigate } from 'react-router'
import { useActs, useOpenTicket } from '../../bench'
import { DogRecord } from '../../dog-record'
import { saveField } from '../../state/save-field'
import { useAppSelector } from '../../state/store'
import { useKeys } from '../../state/use-keys'
import { KeyCap } from '../../ui/controls/KeyCap'
import { SavedField } from '../../ui/controls/SavedField'
import { DayField } from '../../ui/date'
import { BENCH, useMedia } from '../../ui/use-media'
import { CautionsList, useCautions } from './CautionsList'
import { DogPicker } from './DogPicker'
import { EarlierBlock } from './EarlierBlock'
import { GoingBlock } from './GoingBlock'
import { ItemsBlock } from './ItemsBlock'
import { JobsBlock } from './JobsBlock'
import { SuitsBlock } from './SuitsBlock'
import { useSuggestions } from './use-suggestions'

/** Ask: the dog, what it will do and needs, what suits it, and how it goes; none of it compulsory. */
export function AskStage() {
  const { sheet, name } = useOpenTicket()
  const { ticket, dog } = sheet
  const items = sheet.items.filter((item) => !item.removed)
  const acts = useActs()
  const navigate = useNavigate()
  const wide = useMedia(BENCH)
  const narrow = useMedia('(max-width: 1023px)')
  const fitter = useAppSelector((state) => state.settings.fitter)
  const cautions = useCautions()
  const suggestions = useSuggestions()
  const send = (changes: Change[]) => acts.change(changes)
  useKeys({ Enter: () => void navigate(`/tickets/${ticket.id}/measure`) })
  const dayField = (field: 'neededOn' | 'promisedOn', label: string, hint: string) => (
    <DayField label={label} hint={hint} value={ticket[field] ?? ''} onSave={(day, seen) => saveField(send, field, seen || null, day || null)} />
  )
  const list = <CautionsList cautions={cautions} />
  return (
    <div className="quiet-scroll min-h-0 flex-1 max-lg:flex max-lg:flex-col lg:grid lg:grid-cols-[388px_1fr] lg:overflow-hidden bench:grid-cols-[388px_1fr_344px]">
      <a href="#the-work" className="sr-only focus:not-sr-only focus:absolute focus:z-40 focus:min-h-11 focus:bg-panel focus:px-4 focus:py-2.5 focus:font-bold">
        Skip to the work
      </a>
      <section aria-label="The dog" className="quiet-scroll min-h-0 border-ink bg-panel px-4 py-3 max-lg:shrink-0 lg:border-r-2">
        {dog ? (
          <DogRecord key={dog.id} folded={narrow} dog={dog} owner={sheet.owner} notes={sheet.dogNotes} weighings={sheet.weighings}>
            <Link to={`/dogs/${dog.id}`} className="inline-flex min-h-11 items-center font-semibold underline">
              Dog’s page
            </Link>
          </DogRecord>
        ) : (
          <DogPicker />
        )}
      </section>
      <section id="the-work" tabIndex={-1} aria-label="The work" className="flex min-h-0 flex-col bg-panel max-lg:shrink-0 max-lg:border-t-2 max-lg:border-ink">
        <div className="quiet-scroll min-h-0 flex-1 px-5 py-3">
          <EarlierBlock />
          <JobsBlock />
          {!wide && cautions.length > 0 && (
            // Where there is no room beside the work, what binds it stands right under it.
            <div role="region" aria-label="Cautions" className="-mx-5 mt-3 border-t-2 border-ink">
              {list}
            </div>
          )}
          <ItemsBlock />
          <SuitsBlock suggestions={suggestions} />
          <GoingBlock />
          <div className="mt-4 grid max-w-[560px] gap-4 phone:grid-cols-2">
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
        <footer className="flex shrink-0 items-center justify-between gap-3 border-t-2 border-ink bg-panel px-5 py-2.5 max-lg:sticky max-lg:bottom-0 max-lg:z-10">
          <p className="text-[14px] text-mute">
            {items.length === 0
              ? 'Put an item on the ticket: it decides which tapes.'
              : fitter
                ? `At the bench: ${fitter}`
                : 'Who is at the bench? Set it in Shop.'}
          </p>
          <Link
            to={`/tickets/${ticket.id}/measure`}
            className={`inline-flex min-h-14 shrink-0 items-center gap-3 rounded-[2px] border-2 border-ink px-6 text-[18px] font-bold ${items.length > 0 || suggestions.length === 0 ? 'bg-tape text-tape-ink' : 'bg-panel'}`}
          >
            Take the tapes <KeyCap tone={items.length > 0 || suggestions.length === 0 ? 'tape' : 'paper'}>Enter</KeyCap>
          </Link>
        </footer>
      </section>
      {wide && (
        <aside aria-label="Cautions" className="quiet-scroll min-h-0 border-l-2 border-ink bg-panel">
          <h2 className="border-b-2 border-ink px-[18px] py-2 text-[19px] leading-6">Cautions for {name}</h2>
          {cautions.length === 0 ? <p className="px-[18px] py-4 text-mute">None yet. They follow from the dog, the work and the items.</p> : list}
        </aside>
      )}
    </div>
  )
}
