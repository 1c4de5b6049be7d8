import { useState } from 'react'
import { measures, type Act, type Change, type NewReading } from '@merry-tailor/core'
import { formatLength } from '@merry-tailor/core'
import type { RefusedWrite, WriteRequest } from '../api/kept'
import { outbox } from '../api/outbox'
import { Button } from '../ui/controls/Button'
import { readingStyle } from '../state/settings'
import { useAppSelector } from '../state/store'
import { upperFirst } from '../words/first-letter'

const FIELDS: Readonly<Record<string, string>> = {
  weightKg: 'Weight',
  neededOn: 'Needed by',
  promisedOn: 'Promised for',
  nextLookOn: 'Next look',
  born: 'Born',
  flatFace: 'Flat face',
  crossWith: 'Cross with',
  ageMonths: 'Age in months',
  ownerId: 'Owner',
  dogId: 'Dog',
  wholeBody: 'Whole body sheet',
}
const fieldName = (field: string): string => FIELDS[field] ?? upperFirst(field)
const valueWords = (value: unknown): string =>
  value === null || value === ''
    ? 'nothing'
    : typeof value === 'boolean'
      ? value
        ? 'yes'
        : 'no'
      : Array.isArray(value)
        ? value.join(', ') || 'nothing'
        : typeof value === 'string'
          ? value
          : JSON.stringify(value)

/** What was done, in a line, so that somebody can decide on it later. */
function useDoneWords(): (write: RefusedWrite) => string {
  const look = readingStyle(useAppSelector((state) => state.settings))
  return (write) => {
    const act = (write.arg as { act?: Act }).act
    if (act?.act === 'read') {
      const body: NewReading = act.body
      const value = body.measure === 'M00' ? `${body.mm.toFixed(1)} kg` : formatLength(body.mm, look).text
      return `${measures[body.measure]?.name ?? body.measure} ${value}`
    }
    if (act?.act === 'mark') return act.body.kind === 'struck' ? `Strike: ${act.body.why}` : 'Put back'
    const changes = (write.arg as { changes?: Change[] }).changes
    if (changes) return changes.map((change) => `${fieldName(change.field)}: ${valueWords(change.to)}`).join(', ')
    return write.endpoint.replace(/([A-Z])/g, ' $1').toLowerCase()
  }
}

/**
 * Writes of earlier that the server refused when they were sent. A field that somebody else changed meanwhile shows
 * both values and asks; anything else says why, and can be sent again or let go. Nothing goes by itself.
 */
export function RefusedList() {
  const { refused, held } = useAppSelector((state) => state.saving)
  const words = useDoneWords()
  return (
    <section
      aria-label="Kept here, refused there"
      className="quiet-scroll max-h-[40dvh] shrink-0 border-b-2 border-l-[5px] border-ink border-l-snag bg-snag-bg px-4 py-2 print:hidden"
    >
      <h2 className="text-[17px] leading-[22px]">
        {refused.length === 1 ? 'One thing done here could not go in' : `${refused.length} things done here could not go in`}
      </h2>
      <ul>
        {refused.map((write) => (
          <li key={write.seq} className="flex flex-wrap items-center justify-between gap-x-4 gap-y-1 border-t border-rule py-1.5">
            <Decision write={write} said={words(write)} held={held[write.seq] ?? 0} />
          </li>
        ))}
      </ul>
    </section>
  )
}

function Decision({ write, said, held }: { write: RefusedWrite; said: string; held: number }) {
  const conflicts = write.problem.conflicts ?? []
  const [stuck, setStuck] = useState(false)
  const decide = (again: WriteRequest | null): void => void outbox.decide(write.seq, again).catch(() => setStuck(true))
  const drop = (): void => decide(null)
  const full = stuck && (
    <span role="alert" className="block font-semibold text-snag">
      This device could not put it in line. It stays here; make room on the device and press once more.
    </span>
  )
  if (conflicts.length > 0) {
    const { changes } = write.request.body as { changes: Change[] }
    /** Ours once more, now against the value that is there. */
    const mine: WriteRequest = {
      ...write.request,
      body: {
        changes: changes.map((change) => ({
          ...change,
          from: conflicts.find((each) => each.field === change.field)?.theirs ?? change.from,
        })),
      },
    }
    return (
      <>
        <p>
          {conflicts.map((conflict) => (
            <span key={conflict.field} className="block">
              <b>{fieldName(conflict.field)}</b>: meanwhile somebody set it to “{valueWords(conflict.theirs)}”; here it was set to “{valueWords(conflict.yours)}
              ”.
            </span>
          ))}
          <HeldBack held={held} />
          {full}
        </p>
        <span className="flex gap-2">
          <Button onClick={() => decide(mine)}>Keep mine</Button>
          <Button tone="quiet" onClick={drop}>
            Take theirs
          </Button>
        </span>
      </>
    )
  }
  return (
    <>
      <p>
        <b>{said}</b>: {write.problem.detail ?? write.problem.title ?? 'the server refused it.'}
        <HeldBack held={held} />
        {full}
      </p>
      <span className="flex gap-2">
        <Button onClick={() => decide(write.request)}>Send again</Button>
        <Button tone="quiet" onClick={drop}>
          Let it go
        </Button>
      </span>
    </>
  )
}

/** What waits behind a refused write, in a word. */
function HeldBack({ held }: { held: number }) {
  return held === 0 ? null : <span className="text-mute"> {held === 1 ? '1 thing hangs on it and waits.' : `${held} things hang on it and wait.`}</span>
}
