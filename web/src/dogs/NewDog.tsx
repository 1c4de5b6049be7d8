import { useState } from 'react'
import { useNavigate } from 'react-router'
import { v7 as uuid } from 'uuid'
import { useAddDogMutation } from '../api/queries'
import { useOnce } from '../state/use-once'
import { Button } from '../ui/controls/Button'
import { TextField } from '../ui/controls/TextField'
import { problemWords } from '../words/problems'

/** A dog put into the book before there is anything to make: its name, then its page. */
export function NewDog() {
  const [name, setName] = useState('')
  const [problem, setProblem] = useState<string | null>(null)
  const [addDog] = useAddDogMutation()
  const navigate = useNavigate()
  const once = useOnce()
  const keep = async (): Promise<boolean> => {
    if (name.trim() === '') {
      setProblem('Type the dog’s name first.')
      return false
    }
    const id = uuid()
    const { error } = await addDog({ id, body: { name: name.trim(), at: new Date().toISOString() } })
    if (error) {
      setProblem(`Not saved. ${problemWords(error)} The name stays here.`)
      return false
    }
    await navigate(`/dogs/${id}`)
    return true
  }
  return (
    <form
      className="flex max-w-[388px] items-end gap-2 border-b border-rule px-4 py-2"
      onSubmit={(event) => {
        event.preventDefault()
        void once(keep)
      }}
    >
      <TextField
        label="A new dog’s name"
        value={name}
        maxLength={60}
        autoComplete="off"
        problem={problem ?? undefined}
        onChange={(event) => {
          setName(event.target.value)
          setProblem(null)
        }}
        className="flex-1"
      />
      <Button type="submit">Add</Button>
    </form>
  )
}
