import { DOG_NOTE_KINDS, SPARING_NOTES, type DogNoteKind, type Dog, type DogNote } from '@merry-tailor/core'
import { useState } from 'react'
import { v7 as uuid } from 'uuid'
import { useAddDogNoteMutation, useChangeDogNoteMutation } from '../api/queries'
import { useAppSelector } from '../state/store'
import { longDay, today } from '../state/today'
import { Button } from '../ui/controls/Button'
import { Picker } from '../ui/controls/Picker'
import { TextField } from '../ui/controls/TextField'
import { DayField } from '../ui/date'
import { noteKindName } from '../words/dogs'
import { Problem } from '../ui/controls/Problem'

/** Notes nobody writes of a male. */
const OF_FEMALES: readonly DogNoteKind[] = ['pregnant', 'whelped']

/** What a later measuring must know of: lumps, scars, stitches, whelping and the like, each until it is over. */
export function DogNotes({ dog, notes }: { dog: Dog; notes: readonly DogNote[] }) {
  const by = useAppSelector((state) => state.settings.fitter)
  const [add] = useAddDogNoteMutation()
  const [change] = useChangeDogNoteMutation()
  const [kind, setKind] = useState<DogNoteKind | ''>('')
  const [text, setText] = useState('')
  const [on, setOn] = useState(today())
  const [problem, setProblem] = useState<string | null>(null)
  const keep = async (): Promise<void> => {
    if (kind === '') return setProblem('What kind of note is it?')
    const answer = await add({ dogId: dog.id, id: uuid(), body: { kind, text: text.trim(), on, at: new Date().toISOString(), by } })
    if (answer.error) return setProblem('Not saved. The words stay here; try again.')
    setText('')
    setKind('')
    setProblem(null)
  }
  const open = notes.filter((note) => note.over === null)
  const over = notes.filter((note) => note.over !== null)
  return (
    <section aria-label="Notes" className="border-t-2 border-ink">
      <h2 className="border-b border-rule px-4 py-2 text-[19px] leading-6">Notes</h2>
      {dog.notes && <p className="border-b border-rule px-4 py-2">{dog.notes}</p>}
      <ul>
        {open.map((note) => (
          <li key={note.id} className="flex items-center justify-between gap-3 border-b border-rule px-4 py-2">
            <p>
              <b>{noteKindName(note.kind)}</b> {note.text}
              <span className="block text-[13.5px] text-mute">
                since {longDay(note.on)}
                {note.by ? `, ${note.by}` : ''}
                {SPARING_NOTES.includes(note.kind) ? '. No measuring stress: use the tapes there are, and ask the vet.' : ''}
              </span>
            </p>
            <Button tone="quiet" onClick={() => void change({ dogId: dog.id, id: note.id, changes: [{ field: 'over', from: null, to: today() }] })}>
              Over
            </Button>
          </li>
        ))}
        {over.slice(0, 4).map((note) => (
          <li key={note.id} className="border-b border-rule px-4 py-1.5 text-[14px] text-mute">
            {noteKindName(note.kind)} {note.text}, {longDay(note.on)} to {note.over ? longDay(note.over) : ''}
          </li>
        ))}
      </ul>
      <form
        className="space-y-2 px-4 py-3"
        onSubmit={(event) => {
          event.preventDefault()
          void keep()
        }}
      >
        <div className="grid grid-cols-[150px_1fr] items-end gap-2">
          <Picker
            label="Kind of note"
            value={kind}
            placeholder="Choose"
            options={DOG_NOTE_KINDS.filter((each) => dog.sex !== 'male' || !OF_FEMALES.includes(each)).map((each) => ({
              value: each,
              label: noteKindName(each),
            }))}
            onChange={(each) => {
              setKind(each)
              setProblem(null)
            }}
            className="w-full"
          />
          <TextField label="Where, how" value={text} maxLength={500} onChange={(event) => setText(event.target.value)} />
        </div>
        <div className="flex items-end gap-2">
          <DayField
            label="Since"
            value={on}
            className="flex-1"
            onSave={(day) => {
              if (day === '') return Promise.resolve({ kept: false, problem: 'Since which day?' })
              setOn(day)
              return Promise.resolve({ kept: true })
            }}
          />
          <Button type="submit">Add note</Button>
        </div>
        <Problem>{problem}</Problem>
      </form>
    </section>
  )
}
