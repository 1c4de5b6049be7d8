import { SPARING_NOTES, type Dog, type DogNote } from '@merry-tailor/core'
import { useChangeDogNoteMutation } from '../api/queries'
import { longDay, today } from '../state/today'
import { Button } from '../ui/controls/Button'
import { noteKindName } from '../words/dogs'
import { NewNote } from './NewNote'

/** What a later measuring must know of: lumps, scars, stitches, whelping and the like, each until it is over. */
export function DogNotes({ dog, notes }: { dog: Dog; notes: readonly DogNote[] }) {
  const [change] = useChangeDogNoteMutation()
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
      <NewNote dog={dog} />
    </section>
  )
}
