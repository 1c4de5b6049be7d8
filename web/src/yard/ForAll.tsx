import { FAMILY_IDS, type Change, type FamilyId, type ItemWay } from '@merry-tailor/core'
import { useState } from 'react'
import { v7 as uuid } from 'uuid'
import { useActMutation, useAddTicketMutation } from '../api/queries'
import { useAppSelector } from '../state/store'
import { useOnce } from '../state/use-once'
import { Button } from '../ui/controls/Button'
import { Picker } from '../ui/controls/Picker'
import { DayField } from '../ui/date'
import { problemWords } from '../words/problems'
import { familyName, wayName } from '../words/stages'
import type { YardDog } from './use-yard'

const WAYS = ['made', 'stock', 'quick-ship', 'undecided'] as const satisfies readonly ItemWay[]

/** One item, one way and one day put on the ticket of every dog in the line; a dog without an open ticket gets one. */
export function ForAll({ line }: { line: readonly YardDog[] }) {
  const { fitter } = useAppSelector((state) => state.settings)
  const [family, setFamily] = useState<FamilyId | ''>('')
  const [way, setWay] = useState<ItemWay>('made')
  const [day, setDay] = useState('')
  const [said, setSaid] = useState<{ done: boolean; words: string } | null>(null)
  const [addTicket] = useAddTicketMutation()
  const [act] = useActMutation()
  const once = useOnce()
  const put = async (): Promise<boolean> => {
    if (family === '') {
      setSaid({ done: false, words: 'Which item? Choose it first.' })
      return false
    }
    // A ticket not read yet may have the item already: nothing is put on it blindly.
    const unread = line.find(({ sheet, ticketId }) => ticketId !== undefined && sheet === undefined)
    if (unread) {
      setSaid({ done: false, words: `${unread.dog.name}’s ticket is still being fetched. Press once more in a moment.` })
      return false
    }
    let had = 0
    for (const { dog, sheet, ticketId: open } of line) {
      const at = new Date().toISOString()
      const ticketId = open ?? uuid()
      const wants = !sheet?.items.some((item) => !item.removed && item.family === family)
      if (!wants) had += 1
      const acts = [
        ...(open ? [] : [addTicket({ id: ticketId, body: { dogId: dog.id, ownerId: dog.ownerId, kind: 'real', at, by: fitter } })]),
        ...(wants ? [act({ ticketId, act: { act: 'item', id: uuid(), body: { family, way, school: null, at } } })] : []),
        ...(day === ''
          ? []
          : [act({ ticketId, act: { act: 'change', changes: [{ field: 'neededOn', from: sheet?.ticket.neededOn ?? null, to: day } satisfies Change] } })]),
      ]
      const refused = (await Promise.all(acts)).find((answer) => answer.error)
      if (refused) {
        setSaid({ done: false, words: `Stopped at ${dog.name}: ${problemWords(refused.error)} Those before it have it.` })
        return false
      }
    }
    const put = line.length - had
    setSaid({ done: true, words: `${familyName(family)} is on ${put === 1 ? '1 ticket' : `${put} tickets`} more${had > 0 ? `; ${had} had it already` : ''}.` })
    return true
  }
  return (
    <section aria-label="For all of these" className="border-t-2 border-ink px-4 py-3">
      <h2 className="text-[19px] leading-6">For all {line.length}</h2>
      <div className="mt-1.5 grid gap-2">
        <div className="grid grid-cols-2 gap-2">
          <Picker
            label="Item for all"
            value={family}
            placeholder="Item"
            options={FAMILY_IDS.map((id) => ({ value: id, label: familyName(id) }))}
            onChange={(id) => {
              setFamily(id)
              setSaid(null)
            }}
            className="w-full"
          />
          <Picker label="Way for all" value={way} options={WAYS.map((value) => ({ value, label: wayName(value) }))} onChange={setWay} className="w-full" />
        </div>
        <DayField
          label="Needed by"
          value={day}
          onSave={(next) => {
            setDay(next)
            return Promise.resolve({ kept: true as const })
          }}
        />
        <Button onClick={() => void once(put)}>Put it on {line.length === 1 ? 'its ticket' : `all ${line.length} tickets`}</Button>
        {said && (
          <p role={said.done ? 'status' : 'alert'} className={`text-[14px] ${said.done ? '' : 'font-semibold text-snag'}`}>
            {said.words}
          </p>
        )}
      </div>
    </section>
  )
}
