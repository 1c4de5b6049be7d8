import { measures, standsAside, type Agreed, type Reading } from '@merry-tailor/core'
import { Popover } from 'radix-ui'
import { useState } from 'react'
import { clock, momentWords } from '../../state/today'
import { Button } from '../../ui/controls/Button'
import { TextField } from '../../ui/controls/TextField'
import { circumstances } from '../../words/measuring'
import { RowNumber } from '../../length-entry'

const REASONS = ['Dog moved', 'Wrong place', 'Tape slipped', 'Misread', 'Doubled twice'] as const

interface ReadingsListProps {
  name: string
  readings: readonly Reading[]
  /** What they come to: a reading far off stands aside. */
  agreed: Agreed | undefined
  onStrike: (reading: Reading, why: string) => void
  onRestore: (reading: Reading) => void
}

/** Every reading of one tape, who took it and when; each can be struck out with a reason, none is ever lost. */
export function ReadingsList({ name, readings, agreed, onStrike, onRestore }: ReadingsListProps) {
  const [striking, setStriking] = useState<string | null>(null)
  const [other, setOther] = useState('')
  const kept = readings.filter((reading) => !reading.struck)
  if (readings.length === 0) return <p className="text-[14.5px] leading-[19px] text-mute">No reading yet</p>
  const strike = (reading: Reading, why: string): void => {
    onStrike(reading, why)
    setStriking(null)
    setOther('')
  }
  return (
    <Popover.Root onOpenChange={(open) => !open && setStriking(null)}>
      <Popover.Trigger className="-ml-1 block min-h-11 w-full px-1 text-left text-[14.5px] leading-[19px] text-mute hover:bg-bench">
        {kept.slice(-2).map((reading, i) => (
          <span key={reading.id} className="block truncate">
            {ordinal(kept.length - Math.min(2, kept.length) + i + 1)} <RowNumber measure={reading.measure} mm={reading.mm} fine />
            {reading.side === 'one' ? ' × 2' : ''}
          </span>
        ))}
        {kept.length === 0 && <span className="block">all struck out</span>}
        <span className="block text-[13.5px] underline">{readings.length === 1 ? 'strike it out' : `all ${readings.length}`}</span>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          side="top"
          align="start"
          sideOffset={8}
          aria-label={`Readings of ${name}`}
          className="z-40 w-[min(420px,94vw)] border-2 border-ink bg-panel p-3 text-ink"
        >
          <h3 className="text-[17px] leading-[22px]">{name}: readings</h3>
          <ol className="mt-2">
            {readings.map((reading, i) => (
              <li key={reading.id} className="border-t border-rule py-1.5">
                <div className="flex items-center justify-between gap-3">
                  <span className={reading.struck ? 'text-mute line-through' : ''}>
                    <span className="text-mute">{ordinal(i + 1)}</span>{' '}
                    <b>
                      <RowNumber measure={reading.measure} mm={reading.mm} fine />
                    </b>
                    {reading.side === 'one' ? ' one side' : ''}{' '}
                    <span className="text-[13.5px] text-mute">
                      typed “{reading.asTyped}”, {momentWords(reading.takenAt)}
                      {reading.by ? `, ${reading.by}` : ''}
                      {circumstances(reading) ? `; ${circumstances(reading)}` : ''}
                      {standsAside(reading, agreed) ? '; far off, not counted' : ''}
                      {reading.definition === (measures[reading.measure]?.definition ?? 1) ? '' : `; by definition ${reading.definition}`}
                    </span>
                  </span>
                  {!reading.struck && (
                    <Button tone="quiet" onClick={() => setStriking(striking === reading.id ? null : reading.id)} aria-expanded={striking === reading.id}>
                      Strike out
                    </Button>
                  )}
                </div>
                {reading.struck && (
                  <p className="flex items-center justify-between gap-3 text-[13.5px] text-snag">
                    <span>
                      Struck out {clock(reading.struck.at)}
                      {reading.struck.by ? ` by ${reading.struck.by}` : ''}: {reading.struck.why}
                    </span>
                    <Button tone="quiet" onClick={() => onRestore(reading)}>
                      Put back
                    </Button>
                  </p>
                )}
                {striking === reading.id && (
                  <div className="mt-2">
                    <p className="mb-1 text-[13.5px] text-mute">Why?</p>
                    <div className="flex flex-wrap gap-2">
                      {REASONS.map((why) => (
                        <Button key={why} tone="quiet" onClick={() => strike(reading, why)}>
                          {why}
                        </Button>
                      ))}
                    </div>
                    <form
                      className="mt-2 flex items-end gap-2"
                      onSubmit={(event) => {
                        event.preventDefault()
                        if (other.trim()) strike(reading, other.trim())
                      }}
                    >
                      <TextField label="Or in your words" value={other} maxLength={200} onChange={(event) => setOther(event.target.value)} className="flex-1" />
                      <Button type="submit">Strike out</Button>
                    </form>
                  </div>
                )}
              </li>
            ))}
          </ol>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  )
}

export const ordinal = (n: number): string =>
  `${n}${n % 10 === 1 && n !== 11 ? 'st' : n % 10 === 2 && n !== 12 ? 'nd' : n % 10 === 3 && n !== 13 ? 'rd' : 'th'}`
