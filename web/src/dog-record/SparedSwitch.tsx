import { isSpared, SPARING_NOTES, type Dog, type DogNote } from '@merry-tailor/core'
import { v7 as uuid } from 'uuid'
import { useAddDogNoteMutation, useChangeDogMutation, useChangeDogNoteMutation } from '../api/queries'
import { useAppSelector } from '../state/store'
import { longDay, today } from '../state/today'
import { SwitchBox } from '../ui/controls/SwitchBox'
import { noteKindName } from '../words/dogs'

/** Injury, stitches or whelping: the switch is the dog's open notes of it, so that the two never differ. */
export function SparedSwitch({ dog, notes }: { dog: Dog; notes: readonly DogNote[] }) {
  const by = useAppSelector((state) => state.settings.fitter)
  const [add] = useAddDogNoteMutation()
  const [close] = useChangeDogNoteMutation()
  const [changeDog] = useChangeDogMutation()
  const open = notes.filter((note) => note.over === null && SPARING_NOTES.includes(note.kind))
  const on = isSpared(dog, open.map((note) => note.kind)) // prettier-ignore
  const turn = (): void => {
    if (!on) {
      void add({ dogId: dog.id, id: uuid(), body: { kind: 'injury', text: '', on: today(), at: new Date().toISOString(), by } })
      return
    }
    for (const note of open) void close({ dogId: dog.id, id: note.id, changes: [{ field: 'over', from: null, to: today() }] })
    if (dog.sparing) void changeDog({ id: dog.id, changes: [{ field: 'sparing', from: true, to: false }] })
  }
  return (
    <div>
      <SwitchBox label="Injury, stitches or pregnancy" checked={on} onChange={turn} className="w-full" />
      {open.map((note) => (
        <p key={note.id} className="mt-1 text-[13.5px] text-mute">
          {noteKindName(note.kind)} {note.text} since {longDay(note.on)}. Kind and words stand on the dog’s page.
        </p>
      ))}
    </div>
  )
}
