import { foldedName, type Change, type Dog, type Owner } from '@merry-tailor/core'
import { useForm, useWatch } from 'react-hook-form'
import { v7 as uuid } from 'uuid'
import { useAddOwnerMutation, useChangeDogMutation, useChangeOwnerMutation, useDogsQuery, useOwnersQuery } from '../api/queries'
import { Button } from '../ui/controls/Button'
import { Picker } from '../ui/controls/Picker'
import { SavedField } from '../ui/controls/SavedField'
import { TextField } from '../ui/controls/TextField'
import { saveField } from '../state/save-field'
import { useOnce } from '../state/use-once'
import { problemWords } from '../words/problems'

/** The owner: known, new, or still to be asked. */
export function OwnerField({ dog, owner }: { dog: Dog; owner: Owner | null }) {
  const { data: owners = [] } = useOwnersQuery(undefined)
  const [addOwner] = useAddOwnerMutation()
  const [changeDog] = useChangeDogMutation()
  const [changeOwner] = useChangeOwnerMutation()
  const { data: dogs = [] } = useDogsQuery(undefined)
  const once = useOnce()
  const { register, control, handleSubmit, setError, formState } = useForm({ defaultValues: { name: '' } })
  const name = useWatch({ control, name: 'name' })
  // Names are the same in any case, however they are spaced.
  const same = owners.find((each) => foldedName(each.name) === foldedName(name))
  const theirs = same ? dogs.filter(({ ownerId }) => ownerId === same.id).map((each) => each.name) : []
  const give = (id: string | null) => changeDog({ id: dog.id, changes: [{ field: 'ownerId', from: dog.ownerId, to: id }] })
  const send = (changes: Change[]) => changeOwner({ id: owner?.id ?? '', changes })

  const take = handleSubmit(({ name: typed }) =>
    once(async () => {
      const id = uuid()
      const { error } = await addOwner({ id, body: { name: typed.trim(), at: new Date().toISOString() } })
      if (error) setError('name', { message: `Not saved. ${problemWords(error)} The name stays here.` })
      else await give(id)
      return !error
    }),
  )

  if (owner) {
    return (
      <div className="space-y-3 border-t-2 border-ink pt-3">
        <div className="flex items-baseline justify-between">
          <h2 className="text-[19px] leading-6">Owner</h2>
          <button type="button" className="min-h-11 px-2 font-semibold underline" onClick={() => void give(null)}>
            Somebody else
          </button>
        </div>
        <SavedField
          label="Owner’s name"
          value={owner.name}
          maxLength={80}
          onSave={(typed, seen) =>
            typed.trim() ? saveField(send, 'name', seen, typed.trim()) : Promise.resolve({ kept: false, problem: 'An owner has a name. The old one is kept.' })
          }
        />
        <SavedField label="Where to reach them" value={owner.contact} onSave={(typed, seen) => saveField(send, 'contact', seen, typed)} />
      </div>
    )
  }
  return (
    <form noValidate className="space-y-3 border-t-2 border-ink pt-3" onSubmit={(event) => void take(event)}>
      <h2 className="text-[19px] leading-6">Owner</h2>
      {owners.length > 0 && (
        <Picker
          label="Known owner"
          value=""
          placeholder="Somebody known"
          options={owners.map((each) => ({ value: each.id, label: each.name }))}
          onChange={(id) => void give(id)}
          className="w-full"
        />
      )}
      <div className="flex items-start gap-2">
        <TextField
          label="Or a new owner’s name"
          maxLength={80}
          problem={formState.errors.name?.message}
          {...register('name', { validate: (typed) => typed.trim() !== '' || 'Type the owner’s name, or leave it for later.' })}
          className="flex-1"
        />
        <Button type="submit" className="mt-[22px]">
          {same ? 'Add another' : 'Add'}
        </Button>
      </div>
      {same && (
        <p className="flex flex-wrap items-center justify-between gap-2 border-l-[5px] border-ink pl-3">
          <span>
            There is {same.name} already
            {theirs.length > 0 ? `, with ${theirs.slice(0, 4).join(', ')}` : ''}.
          </span>
          <Button type="button" onClick={() => void give(same.id)}>
            That is who it is
          </Button>
        </p>
      )}
    </form>
  )
}
