import { families, hasSchools, type Item, type ItemWay, type School } from '@merry-tailor/core'
import { useActs, useOpenTicket } from '../../bench'
import { saveField } from '../../state/save-field'
import { useShop } from '../../state/use-shop'
import { Button } from '../../ui/controls/Button'
import { SavedField } from '../../ui/controls/SavedField'
import { Segmented } from '../../ui/controls/Segmented'
import { familyName, wayName } from '../../words/stages'
import { useAddItem } from './use-add-item'

/** What is on the ticket: each piece, the way to get it, and whose or what for where there are several of a kind. */
export function ItemsBlock() {
  const { sheet } = useOpenTicket()
  const items = sheet.items.filter((item) => !item.removed)
  if (items.length === 0) return null
  return (
    <section aria-label="On this ticket">
      <h2 className="mt-3 border-t-2 border-ink pt-2 text-[19px] leading-6">On this ticket</h2>
      <ul>
        {items.map((item) => (
          <ItemRow key={item.id} item={item} several={items.filter((each) => each.family === item.family).length > 1} />
        ))}
      </ul>
    </section>
  )
}

function ItemRow({ item, several }: { item: Item; several: boolean }) {
  const acts = useActs()
  const add = useAddItem()
  const { school } = useShop()
  const about = families[item.family]
  // Where the shop has one maker's school, it is asked only of an item of the other.
  const asksSchool = hasSchools(item.family) && (item.way === 'made' || item.way === 'undecided') && (school === 'both' || item.school !== school)
  const change = (field: string, from: unknown, to: unknown) => acts.change([{ field, from, to }], item.id)
  return (
    <li aria-label={about.name} className="border-b border-rule py-2.5 last:border-0">
      <div className="flex flex-wrap items-center gap-x-3 gap-y-2">
        <b className="min-w-[170px] flex-1 text-[17px]">{about.name}</b>
        <Button tone="quiet" onClick={() => void add(item.family)}>
          One more
        </Button>
        <Button tone="quiet" aria-label={`Remove the ${about.name}`} onClick={() => void change('removed', false, true)}>
          Remove
        </Button>
      </div>
      {several && (
        <SavedField
          label="Whose, or what for"
          value={item.purpose}
          maxLength={120}
          placeholder="Over the coat; for the brother"
          onSave={(typed, seen) => saveField((changes) => acts.change(changes, item.id), 'purpose', seen, typed)}
          className="mt-1 max-w-[560px]"
        />
      )}
      <div className="mt-2 flex flex-wrap gap-3">
        <Segmented<ItemWay>
          label={`Way to get the ${about.name}`}
          value={item.way}
          options={(['stock', 'quick-ship', 'made', 'undecided'] as const).map((way) => ({ value: way, label: wayName(way) }))}
          onChange={(way) => void change('way', item.way, way)}
        />
        {asksSchool && <SchoolSwitch item={item} />}
      </div>
    </li>
  )
}

/** The two ways makers count a pulling harness, said in words beside their letters. */
function SchoolSwitch({ item }: { item: Item }) {
  const acts = useActs()
  return (
    <div>
      <Segmented<School | 'both'>
        label={`Measuring school of the ${familyName(item.family)}`}
        value={item.school ?? 'both'}
        options={[
          { value: 'A', label: 'School A' },
          { value: 'B', label: 'School B' },
          { value: 'both', label: 'Both' },
        ]}
        onChange={(school) => void acts.change([{ field: 'school', from: item.school, to: school === 'both' ? null : school }], item.id)}
      />
      <p className="mt-1 text-[13.5px] text-mute">A: from the breastbone, under. B: from the withers, over the side. The maker’s sheet says which.</p>
    </div>
  )
}
