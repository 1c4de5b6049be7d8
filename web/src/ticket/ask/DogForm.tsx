import { ageInMonths, COAT_CLASSES, findBreed, formatWeight, parseWeight, type Change, type Dog, type Owner } from '@merry-tailor/core'
import { Link } from 'react-router'
import { useChangeDogMutation } from '../../api/queries'
import { today } from '../../state/today'
import { Picker } from '../../ui/controls/Picker'
import { SavedField } from '../../ui/controls/SavedField'
import { Segmented } from '../../ui/controls/Segmented'
import { SwitchBox } from '../../ui/controls/SwitchBox'
import { ageWords, coatName } from '../../words/dogs'
import { weightProblemWords } from '../../words/problems'
import { BreedField } from './BreedField'
import { OwnerField } from './OwnerField'
import { saveField } from '../../state/save-field'

/** What is asked of the dog. Every field saves itself when it is left; every one can wait. */
export function DogForm({ dog, owner }: { dog: Dog; owner: Owner | null }) {
  const [changeDog] = useChangeDogMutation()
  const send = (changes: Change[]) => changeDog({ id: dog.id, changes })
  const save = (field: keyof Dog, to: unknown, from: unknown = dog[field]) => saveField(send, field, from, to)
  const age = ageWords(ageInMonths(dog, today()))
  const reference = findBreed(dog.breed)
  return (
    <div className="space-y-3">
      <div className="flex items-baseline justify-between">
        <h2 className="text-[19px] leading-6">The dog</h2>
        <Link to={`/dogs/${dog.id}`} className="inline-flex min-h-11 items-center font-semibold underline">
          Dog’s page
        </Link>
      </div>
      <SavedField
        label="Name"
        value={dog.name}
        maxLength={60}
        onSave={(typed, seen) =>
          typed.trim() ? save('name', typed.trim(), seen) : Promise.resolve({ kept: false, problem: 'A dog has a name. The old one is kept.' })
        }
      />
      <div className="grid grid-cols-2 gap-3">
        <BreedField label="Breed" value={dog.breed} placeholder="Any words" onSave={(typed, seen) => save('breed', typed, seen)} />
        <BreedField label="Crossed with" value={dog.crossWith} placeholder="If a cross of two" onSave={(typed, seen) => save('crossWith', typed, seen)} />
      </div>
      <div className="grid grid-cols-2 items-end gap-3">
        <div>
          <p className="mb-1 text-[13.5px] font-semibold text-mute">Sex</p>
          <Segmented
            label="Sex"
            value={dog.sex}
            options={[
              { value: 'female', label: 'Female' },
              { value: 'male', label: 'Male' },
            ]}
            onChange={(sex) => void save('sex', sex)}
          />
        </div>
        <SavedField
          label="Weight"
          value={dog.weightKg === null ? '' : formatWeight(dog.weightKg)}
          placeholder="27.3 kg or 60 lb"
          onSave={(typed) => {
            if (typed.trim() === '') return save('weightKg', null)
            const read = parseWeight(typed)
            return read.ok ? save('weightKg', Math.round(read.kg * 100) / 100) : Promise.resolve({ kept: false, problem: weightProblemWords(read.problem) })
          }}
        />
      </div>
      <div className="grid grid-cols-2 gap-3">
        <SavedField
          label="Born"
          type="date"
          value={dog.born ?? ''}
          hint={age || undefined}
          onSave={(typed, seen) =>
            typed > today() ? Promise.resolve({ kept: false, problem: 'That day has not come yet.' }) : save('born', typed || null, seen || null)
          }
        />
        <SavedField
          label="Or age, in months"
          value={dog.ageMonths === null ? '' : String(dog.ageMonths)}
          hint={dog.born ? 'The birth date counts.' : undefined}
          onSave={async (typed) => {
            if (typed.trim() === '') return save('ageMonths', null)
            const months = Number(typed.replace(',', '.'))
            if (!Number.isFinite(months) || months < 0 || months > 360) return { kept: false, problem: 'Months as a number, 5 or 30.' }
            const said = await save('ageMonths', Math.round(months))
            return said.kept ? save('ageSaidOn', today()) : said
          }}
        />
      </div>
      <div className="grid grid-cols-2 items-end gap-3">
        <div>
          <p className="mb-1 text-[13.5px] font-semibold text-mute">Coat</p>
          <Picker
            label="Coat"
            value={dog.coat ?? ''}
            options={COAT_CLASSES.map((coat) => ({ value: coat, label: coatName(coat) }))}
            onChange={(coat) => void save('coat', coat)}
            className="w-full"
          />
        </div>
        <div>
          <p className="mb-1 text-[13.5px] font-semibold text-mute">Flat face</p>
          <Segmented
            label="Flat face"
            value={dog.flatFace === null ? null : dog.flatFace ? 'yes' : 'no'}
            options={[
              { value: 'no', label: 'No' },
              { value: 'yes', label: 'Yes' },
            ]}
            onChange={(face) => void save('flatFace', face === 'yes')}
          />
          {dog.flatFace === null && reference && (
            <p className="mt-1 text-[13.5px] text-mute">{reference.flatFace ? 'The breed says yes.' : 'The breed says no.'}</p>
          )}
        </div>
      </div>
      <SwitchBox label="Injury, stitches or pregnancy" checked={dog.sparing} onChange={(on) => void save('sparing', on)} className="w-full" />
      <SavedField label="Body and temper notes" multiline maxLength={2000} value={dog.notes} onSave={(typed, seen) => save('notes', typed, seen)} />
      <OwnerField dog={dog} owner={owner} />
    </div>
  )
}
