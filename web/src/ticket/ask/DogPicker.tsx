import { NewDog } from '@merry-tailor/core/schemas'
import { zodResolver } from '@hookform/resolvers/zod'
import { useEffect } from 'react'
import { useForm, useWatch } from 'react-hook-form'
import { v7 as uuid } from 'uuid'
import { useAddDogMutation, useDogsQuery, useOwnersQuery } from '../../api/queries'
import { useAppSelector } from '../../state/store'
import { today } from '../../state/today'
import { caughtUp, typedAhead } from '../../state/typed-ahead'
import { useOnce } from '../../state/use-once'
import { Button } from '../../ui/controls/Button'
import { TextField } from '../../ui/controls/TextField'
import { dogLine } from '../../words/dogs'
import { problemWords } from '../../words/problems'
import { useOpenTicket, useActs } from '../../bench'

const Form = NewDog.pick({ name: true })

/** A ticket without a dog: give it a known one or a new one. It can also wait. */
export function DogPicker() {
  const { sheet } = useOpenTicket()
  const { data: dogs = [] } = useDogsQuery(undefined)
  const { data: owners = [] } = useOwnersQuery(undefined)
  const unit = useAppSelector((state) => state.settings.unit)
  const [addDog] = useAddDogMutation()
  const acts = useActs()
  const once = useOnce()
  const { register, handleSubmit, control, setError, formState } = useForm({ resolver: zodResolver(Form), defaultValues: { name: typedAhead() } })
  useEffect(caughtUp, [])
  const typed = useWatch({ control, name: 'name' }).trim().toLowerCase()
  const known = typed === '' ? [] : dogs.filter((dog) => dog.name.toLowerCase().startsWith(typed)).slice(0, 5)
  const give = async (dogId: string): Promise<void> => {
    const answer = await acts.change([{ field: 'dogId', from: sheet.ticket.dogId, to: dogId }])
    if (answer.error) setError('name', { message: `Not saved. ${problemWords(answer.error)} The name stays here.` })
  }
  const create = handleSubmit(async ({ name }) => {
    const id = uuid()
    const answer = await addDog({ id, body: { name, at: new Date().toISOString() } })
    if (answer.error) setError('name', { message: `Not saved. ${problemWords(answer.error)} The name stays here.` })
    else await give(id)
  })
  return (
    <div>
      <h2 className="text-[19px] leading-6">Which dog?</h2>
      <p className="mt-1 mb-3 text-mute">
        {sheet.ticket.kind === 'counter'
          ? 'A counter ticket needs no record. Give it a dog when there is time.'
          : 'Type the name. It can wait; tapes and sizes work without it.'}
      </p>
      <form
        onSubmit={(event) => {
          event.preventDefault()
          void once(() => create(event).then(() => false))
        }}
        noValidate
      >
        <TextField
          label="Dog’s name"
          autoComplete="off"
          maxLength={60}
          autoFocus
          problem={
            formState.errors.name
              ? formState.errors.name.message?.startsWith('Not saved')
                ? formState.errors.name.message
                : 'Type the dog’s name first.'
              : undefined
          }
          {...register('name')}
        />
        {known.length > 0 && (
          <ul aria-label="Known dogs" className="mt-2 border-2 border-ink">
            {known.map((dog) => (
              <li key={dog.id} className="border-b border-rule last:border-0">
                <button
                  type="button"
                  onClick={() => void give(dog.id)}
                  className="flex min-h-12 w-full flex-wrap items-center justify-between gap-x-3 px-3 py-1.5 text-left hover:bg-bench"
                >
                  <span>
                    <b>{dog.name}</b>, {owners.find((owner) => owner.id === dog.ownerId)?.name ?? 'owner not asked'}
                  </span>
                  <span className="text-mute">{dogLine(dog, today(), unit)}</span>
                </button>
              </li>
            ))}
          </ul>
        )}
        <Button type="submit" className="mt-3">
          New dog
        </Button>
      </form>
    </div>
  )
}
