import { foldedName, type Dog, type DogSheet } from '@merry-tailor/core'
import { useMemo, useState } from 'react'
import { v7 as uuid } from 'uuid'
import { useAddDogJoinMutation, useChangeDogJoinMutation, useDogsQuery, useOwnersQuery } from '../api/queries'
import { useAppSelector } from '../state/store'
import { longDay, today } from '../state/today'
import { useOnce } from '../state/use-once'
import { Button } from '../ui/controls/Button'
import { TextField } from '../ui/controls/TextField'
import { dogLine } from '../words/dogs'
import { problemWords } from '../words/problems'
import { Problem } from '../ui/controls/Problem'

/** So many records are offered at once. */
const SHOWN = 5

/** Two records of one dog: the other is put into this one, and can be taken out again. */
export function OneDog({ dog, joins }: { dog: Dog; joins: DogSheet['joins'] }) {
  const { data: dogs = [] } = useDogsQuery(undefined)
  const { data: owners = [] } = useOwnersQuery(undefined)
  const { unit, fitter } = useAppSelector((state) => state.settings)
  const [join] = useAddDogJoinMutation()
  const [change] = useChangeDogJoinMutation()
  const once = useOnce()
  const [typed, setTyped] = useState('')
  const [sure, setSure] = useState<Dog | null>(null)
  const [refused, setRefused] = useState<string | null>(null)
  const wanted = foldedName(typed) || foldedName(dog.name)
  const alike = useMemo(
    () =>
      dogs
        .filter((each) => each.id !== dog.id && (typed.trim() === '' ? foldedName(each.name) === wanted : foldedName(each.name).startsWith(wanted)))
        .slice(0, SHOWN),
    [dogs, dog.id, typed, wanted],
  )
  const told = (error: unknown): boolean => {
    setRefused(error ? `Not done. ${problemWords(error)}` : null)
    return !error
  }
  const put = (other: Dog): Promise<boolean> =>
    join({ dogId: dog.id, id: uuid(), body: { otherId: other.id, at: new Date().toISOString(), by: fitter } }).then(({ error }) => {
      if (!error) setSure(null)
      return told(error)
    })
  const apart = (id: string): Promise<boolean> =>
    change({ dogId: dog.id, id, changes: [{ field: 'undone', from: null, to: new Date().toISOString() }] }).then(({ error }) => told(error))
  const whose = (each: Dog): string => owners.find((owner) => owner.id === each.ownerId)?.name ?? 'owner not asked'
  return (
    <section aria-label="The same dog twice" className="border-t border-rule pt-3">
      <h3 className="text-[17px] leading-[22px]">The same dog twice?</h3>
      {joins.map((each) => (
        <p key={each.id} className="flex flex-wrap items-center justify-between gap-x-3 border-b border-rule py-1">
          <span>
            <b>{each.otherName}</b> was put in here {longDay(each.at.slice(0, 10))}
            {each.by ? `, ${each.by}` : ''}
          </span>
          <Button tone="quiet" aria-label={`Take ${each.otherName} out again`} onClick={() => void once(() => apart(each.id))}>
            Take it out again
          </Button>
        </p>
      ))}
      <TextField
        label="Name on the other record"
        value={typed}
        placeholder={dog.name}
        maxLength={60}
        autoComplete="off"
        hint={alike.length === 0 ? (typed.trim() === '' ? `No other ${dog.name} here.` : 'No record by that name.') : undefined}
        onChange={(event) => {
          setTyped(event.target.value)
          setSure(null)
        }}
        className="mt-1"
      />
      {alike.length > 0 && (
        <ul aria-label="Other records" className="mt-1">
          {alike.map((each) => (
            <li key={each.id} className="border-b border-rule py-1">
              <p className="flex flex-wrap items-center justify-between gap-x-3">
                <span>
                  <b>{each.name}</b>, {whose(each)} <span className="text-mute">{dogLine(each, today(), unit)}</span>
                </span>
                {sure?.id !== each.id && (
                  <Button tone="quiet" aria-label={`${each.name}, ${whose(each)}: the same dog`} onClick={() => setSure(each)}>
                    The same dog
                  </Button>
                )}
              </p>
              {sure?.id === each.id && (
                <div className="border-l-[5px] border-ink bg-bench px-3 py-2">
                  <p>
                    Tickets, readings, weighings, notes, pictures and gear of that record come here; what this one says stays, and what it leaves open is taken
                    from there. It can be taken apart again.
                  </p>
                  <p className="mt-2 flex flex-wrap gap-2">
                    <Button onClick={() => void once(() => put(each))}>Make them one</Button>
                    <Button tone="quiet" onClick={() => setSure(null)}>
                      Leave it
                    </Button>
                  </p>
                </div>
              )}
            </li>
          ))}
        </ul>
      )}
      <Problem className="mt-1">{refused}</Problem>
    </section>
  )
}
