import { DOG_NOTE_KINDS, type Dog, type DogNoteKind } from '@merry-tailor/core'
import { Controller, useForm } from 'react-hook-form'
import { v7 as uuid } from 'uuid'
import { useAddDogNoteMutation } from '../api/queries'
import { useAppSelector } from '../state/store'
import { today } from '../state/today'
import { useOnce } from '../state/use-once'
import { Button } from '../ui/controls/Button'
import { Choice } from '../ui/controls/Choice'
import { Picker } from '../ui/controls/Picker'
import { Problem } from '../ui/controls/Problem'
import { TextField } from '../ui/controls/TextField'
import { DayField } from '../ui/date'
import { noteKindName } from '../words/dogs'
import { problemWords } from '../words/problems'

/** Notes nobody writes of a male. */
const OF_FEMALES: readonly DogNoteKind[] = ['pregnant', 'whelped']

/** A note of a dog: what kind, where and how, and since when. */
export function NewNote({ dog }: { dog: Dog }) {
  const by = useAppSelector((state) => state.settings.fitter)
  const [add] = useAddDogNoteMutation()
  const once = useOnce()
  const { register, control, handleSubmit, setError, reset, formState } = useForm<{ kind: DogNoteKind | ''; text: string; on: string }>({
    defaultValues: { kind: '', text: '', on: today() },
  })
  const keep = handleSubmit(({ kind, text, on }) =>
    once(async () => {
      if (kind === '') return false
      const { error } = await add({ dogId: dog.id, id: uuid(), body: { kind, text: text.trim(), on, at: new Date().toISOString(), by } })
      if (error) setError('root', { message: `Not saved. ${problemWords(error)} The words stay here.` })
      else reset({ kind: '', text: '', on })
      return !error
    }),
  )
  return (
    <form noValidate className="space-y-2 px-4 py-3" onSubmit={(event) => void keep(event)}>
      <div className="grid grid-cols-[150px_1fr] gap-2">
        <div>
          <p className="mb-1 text-[13.5px] font-semibold text-mute">What it is</p>
          <Choice control={control} name="kind" must={(kind) => kind !== '' || 'What kind of note is it?'}>
            {(choice) => (
              <Picker
                label="Kind of note"
                {...choice}
                options={DOG_NOTE_KINDS.filter((each) => dog.sex !== 'male' || !OF_FEMALES.includes(each)).map((each) => ({
                  value: each,
                  label: noteKindName(each),
                }))}
                className="w-full"
              />
            )}
          </Choice>
        </div>
        <TextField label="Where, how" maxLength={500} {...register('text')} />
      </div>
      <div className="flex items-end gap-2">
        <Controller
          control={control}
          name="on"
          render={({ field }) => (
            <DayField
              label="Since"
              value={field.value}
              className="flex-1"
              onSave={(day) => {
                if (day === '') return Promise.resolve({ kept: false, problem: 'Since which day?' })
                field.onChange(day)
                return Promise.resolve({ kept: true })
              }}
            />
          )}
        />
        <Button type="submit">Add note</Button>
      </div>
      <Problem>{formState.errors.root?.message}</Problem>
    </form>
  )
}
