import { useForm } from 'react-hook-form'
import { useNavigate } from 'react-router'
import { v7 as uuid } from 'uuid'
import { useAddDogMutation } from '../api/queries'
import { useOnce } from '../state/use-once'
import { Button } from '../ui/controls/Button'
import { TextField } from '../ui/controls/TextField'
import { problemWords } from '../words/problems'

/** A dog put into the book before there is anything to make: its name, then its page. */
export function NewDog() {
  const { register, handleSubmit, setError, formState } = useForm({ defaultValues: { name: '' } })
  const [addDog] = useAddDogMutation()
  const navigate = useNavigate()
  const once = useOnce()
  const keep = handleSubmit(({ name }) =>
    once(async () => {
      const id = uuid()
      const { error } = await addDog({ id, body: { name: name.trim(), at: new Date().toISOString() } })
      if (error) setError('name', { message: `Not saved. ${problemWords(error)} The name stays here.` })
      else await navigate(`/dogs/${id}`)
      return !error
    }),
  )
  return (
    <form noValidate className="flex max-w-[388px] items-end gap-2 border-b border-rule px-4 py-2" onSubmit={(event) => void keep(event)}>
      <TextField
        label="A new dog’s name"
        maxLength={60}
        autoComplete="off"
        problem={formState.errors.name?.message}
        className="flex-1"
        {...register('name', { validate: (name) => name.trim() !== '' || 'Type the dog’s name first.' })}
      />
      <Button type="submit">Add</Button>
    </form>
  )
}
