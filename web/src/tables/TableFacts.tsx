import { families, FAMILY_IDS, hasSchools, strapsOf } from '@merry-tailor/core'
import { Named } from '../ui/controls/Named'
import { Picker } from '../ui/controls/Picker'
import { Segmented } from '../ui/controls/Segmented'
import { TextField } from '../ui/controls/TextField'
import { strapName } from '../words/foretold'
import { BUILDS } from '../words/pieces'
import { wayName } from '../words/stages'
import type { DraftProblem, TableDraft } from './table-draft'

const NONE = 'none'

interface TableFactsProps {
  draft: TableDraft
  problems: readonly DraftProblem[]
  onChange: (change: Partial<TableDraft>) => void
}

/** Whose table it is, for what, and what the maker says of fit. */
export function TableFacts({ draft, problems, onChange }: TableFactsProps) {
  const text = (field: 'maker' | 'name' | 'fingers' | 'weeks' | 'peakWeeks' | 'price' | 'claim', label: string, hint?: string, longest = 80) => (
    <TextField
      label={label}
      hint={hint}
      maxLength={longest}
      value={draft[field] ?? ''}
      problem={problems.find((each) => each.at === field)?.says}
      onChange={(event) => onChange({ [field]: event.target.value })}
    />
  )
  return (
    <div className="grid gap-x-4 gap-y-3 sm:grid-cols-2 xl:grid-cols-3">
      {text('maker', 'Maker')}
      {text('name', 'Table')}
      <Named label="Kind">
        <Picker
          label="Kind"
          value={draft.family}
          options={FAMILY_IDS.map((id) => ({ value: id, label: families[id].name }))}
          onChange={(family) => onChange({ family })}
          className="w-full"
        />
      </Named>
      <Named label="Way">
        <Segmented
          label="Way"
          value={draft.way}
          options={(['stock', 'quick-ship', 'made'] as const).map((way) => ({ value: way, label: wayName(way) }))}
          onChange={(way) => onChange({ way })}
        />
      </Named>
      <Named label="The maker’s unit">
        <Segmented
          label="The maker’s unit"
          value={draft.unit}
          options={[
            { value: 'in', label: 'Inches' },
            { value: 'cm', label: 'Centimetres' },
          ]}
          onChange={(unit) => onChange({ unit })}
        />
      </Named>
      <Named label="Between two sizes the maker says">
        <Segmented
          label="Between two sizes the maker says"
          value={draft.between}
          options={[
            { value: '', label: 'Nothing' },
            { value: 'down', label: 'Down' },
            { value: 'up', label: 'Up' },
          ]}
          onChange={(between) => onChange({ between })}
        />
      </Named>
      {text('fingers', 'Fingers the maker asks for', 'Empty: the maker says nothing.', 12)}
      <Named label="Cut, the maker says">
        <Segmented
          label="Cut, the maker says"
          value={draft.cut}
          options={[
            { value: '', label: 'Nothing' },
            { value: 'roomy', label: 'Roomy' },
            { value: 'true', label: 'True' },
            { value: 'snug', label: 'Snug' },
          ]}
          onChange={(cut) => onChange({ cut })}
        />
      </Named>
      {text('price', 'Price, from and to', 'In the shop’s own money.', 20)}
      {text('weeks', 'Weeks', '0: at hand.', 12)}
      {text('peakWeeks', 'Weeks in the season', 'September to January, where no other months are kept.', 12)}
      {draft.family === 'H24' && (
        <Named label="How it is built">
          <Segmented
            label="How it is built"
            value={draft.build ?? ''}
            options={[{ value: '', label: 'Not said' }, ...BUILDS]}
            onChange={(build) => onChange({ build })}
          />
        </Named>
      )}
      {draft.family === 'H24' && text('claim', 'What the maker says it holds', 'In the maker’s words: speed, mass, force.', 300)}
      {draft.columns
        .filter(({ kind }) => kind === 'strap')
        .map(({ id: word }) => (
          <Named key={word} label={`The maker’s “${word}” is`}>
            <Picker
              label={`The maker’s “${word}” is`}
              value={tiedTo(draft, word)}
              options={[{ value: NONE, label: 'None of its straps' }, ...strapsOf(draft.family).map(({ id }) => ({ value: id, label: strapName(id) }))]}
              onChange={(id) => onChange({ strapWords: { ...draft.strapWords, [word]: id === NONE ? null : id } })}
              className="w-full"
            />
          </Named>
        ))}
      {hasSchools(draft.family) && (
        <Named label="Measuring school">
          <Segmented
            label="Measuring school"
            value={draft.school ?? ''}
            options={[
              { value: '', label: 'None' },
              { value: 'A', label: 'A' },
              { value: 'B', label: 'B' },
            ]}
            onChange={(school) => onChange({ school })}
          />
        </Named>
      )}
    </div>
  )
}

/** The strap a maker’s word stands for: as it was tied, or the one of that very name. */
function tiedTo({ family, strapWords = {} }: TableDraft, word: string): string {
  const id = word in strapWords ? strapWords[word] : word
  return strapsOf(family).some((strap) => strap.id === id) ? (id as string) : NONE
}
