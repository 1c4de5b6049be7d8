import { ACTIVITIES, FOOTINGS, NEEDS, type Change } from '@merry-tailor/core'
import { useActs, useOpenTicket } from '../../bench'
import { Segmented } from '../../ui/controls/Segmented'
import { Toggles } from '../../ui/controls/Toggles'
import { activityName, footingName, needName } from '../../words/dogs'

/** A list with one thing more or less in it. */
const turned = <T,>(list: readonly T[], one: T): T[] => (list.includes(one) ? list.filter((each) => each !== one) : [...list, one])

/** What the dog will do and what it needs beside: what everything else follows from. */
export function JobsBlock() {
  const { sheet, name } = useOpenTicket()
  const { ticket } = sheet
  const acts = useActs()
  const send = (change: Change): void => void acts.change([change])
  return (
    <section aria-label="What it will do">
      <h1 className="text-[26px] leading-[34px]">What will {name} do?</h1>
      <Toggles
        label="What it will do"
        options={ACTIVITIES.map((value) => ({ value, label: activityName(value) }))}
        isOn={(activity) => ticket.activities.includes(activity)}
        onToggle={(activity) => send({ field: 'activities', from: ticket.activities, to: turned(ticket.activities, activity) })}
        className="mt-1.5"
      />
      <Toggles
        label="What it needs beside"
        options={NEEDS.map((value) => ({ value, label: needName(value) }))}
        isOn={(need) => ticket.needs.includes(need)}
        onToggle={(need) => send({ field: 'needs', from: ticket.needs, to: turned(ticket.needs, need) })}
        className="mt-2.5"
      />
      {ticket.needs.includes('paws') && (
        <div className="mt-2.5 flex flex-wrap items-center gap-3">
          <span className="font-semibold">Paws on</span>
          <Toggles
            label="Paws on"
            options={FOOTINGS.map((value) => ({ value, label: footingName(value) }))}
            isOn={(footing) => ticket.footing.includes(footing)}
            onToggle={(footing) => send({ field: 'footing', from: ticket.footing, to: turned(ticket.footing, footing) })}
          />
        </div>
      )}
      {ticket.activities.length > 1 && (
        <div className="mt-2.5 flex flex-wrap items-center gap-3">
          <span className="font-semibold">One piece for all of it?</span>
          <Segmented<'one' | 'each'>
            label="One piece for all of it?"
            value={ticket.oneForAll === null ? null : ticket.oneForAll ? 'one' : 'each'}
            options={[
              { value: 'one', label: 'One for all' },
              { value: 'each', label: 'One for each' },
            ]}
            onChange={(way) => send({ field: 'oneForAll', from: ticket.oneForAll, to: way === 'one' })}
          />
        </div>
      )}
    </section>
  )
}
