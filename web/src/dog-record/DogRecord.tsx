import { COAT_CLASSES, findBreed, type Change, type Dog, type DogNote, type Owner, type Weighing } from '@merry-tailor/core'
import type { ReactNode } from 'react'
import { useChangeDogMutation } from '../api/queries'
import { Picker } from '../ui/controls/Picker'
import { SavedField } from '../ui/controls/SavedField'
import { Segmented } from '../ui/controls/Segmented'
import { coatName, dogLine } from '../words/dogs'
import { BornField } from './BornField'
import { BreedField } from './BreedField'
import { OwnerField } from './OwnerField'
import { SparedSwitch } from './SparedSwitch'
import { WeightField } from './WeightField'
import { saveField } from '../state/save-field'
import { useAppSelector } from '../state/store'
import { today } from '../state/today'

interface DogRecordProps {
  dog: Dog
  owner: Owner | null
  notes: readonly DogNote[]
  weighings: readonly Weighing[]
  /** The name alone, the rest behind a line that says what is known: where the work is to come first. */
  folded?: boolean
  /** What stands beside the title. */
  children?: ReactNode
}

/** What is asked of the dog. Every field saves itself when it is left; every one can wait. */
export function DogRecord({ dog, owner, notes, weighings, folded = false, children }: DogRecordProps) {
  const [changeDog] = useChangeDogMutation()
  const send = (changes: Change[]) => changeDog({ id: dog.id, changes })
  const save = (field: keyof Dog, to: unknown, from: unknown = dog[field]) => saveField(send, field, from, to)
  const reference = findBreed(dog.breed)
  const unit = useAppSelector((state) => state.settings.unit)
  const known = [dogLine(dog, today(), unit), owner?.name ?? ''].filter(Boolean).join('; ')
  const rest = (
    <>
      <div className="grid grid-cols-2 gap-3">
        <BreedField label="Breed" value={dog.breed} placeholder="Any words" onSave={(typed, seen) => save('breed', typed, seen)} />
        <BreedField label="Crossed with" value={dog.crossWith} placeholder="If a cross of two" onSave={(typed, seen) => save('crossWith', typed, seen)} />
      </div>
      <div className="grid grid-cols-2 items-start gap-3">
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
        <WeightField dog={dog} weighings={weighings} />
      </div>
      <BornField dog={dog} send={send} />
      <div className="grid grid-cols-2 items-start gap-3">
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
      <SparedSwitch dog={dog} notes={notes} />
      <SavedField label="Body and temper notes" multiline maxLength={2000} value={dog.notes} onSave={(typed, seen) => save('notes', typed, seen)} />
      <OwnerField dog={dog} owner={owner} />
    </>
  )
  return (
    <div className="space-y-3">
      <div className="flex items-baseline justify-between">
        <h2 className="text-[19px] leading-6">The dog</h2>
        {children}
      </div>
      <SavedField
        label="Name"
        value={dog.name}
        maxLength={60}
        onSave={(typed, seen) =>
          typed.trim() ? save('name', typed.trim(), seen) : Promise.resolve({ kept: false, problem: 'A dog has a name. The old one is kept.' })
        }
      />
      {folded ? (
        <details>
          <summary className="flex min-h-11 cursor-pointer items-center justify-between gap-3 border-2 border-ink px-3 font-semibold">
            <span className="min-w-0 truncate">{known || 'Breed, age, weight, coat: not asked yet'}</span>
            <span aria-hidden>more</span>
          </summary>
          <div className="space-y-3 pt-3">{rest}</div>
        </details>
      ) : (
        rest
      )}
    </div>
  )
}
