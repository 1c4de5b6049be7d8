import { giveFrom, GRAVITY, parseLength, parseWeight } from '@merry-tailor/core'
import { useState } from 'react'
import { Button } from '../../ui/controls/Button'
import { TextField } from '../../ui/controls/TextField'
import { Problem } from '../../ui/controls/Problem'

const NO_PULLS = [
  { pull: '', long: '' },
  { pull: '', long: '' },
  { pull: '', long: '' },
]

/** What coat, flesh and harness of this dog give, by two or three pulls with a luggage scale. */
export function OwnGive({
  giveNpm,
  unit,
  weightUnit,
  onSet,
}: {
  giveNpm: number | null
  unit: 'in' | 'cm'
  weightUnit: 'kg' | 'lb'
  onSet: (npm: number | null) => void
}) {
  const [typed, setTyped] = useState(NO_PULLS)
  const [problem, setProblem] = useState<string | null>(null)
  const put = (i: number, over: Partial<(typeof NO_PULLS)[number]>): void => setTyped((was) => was.map((each, k) => (k === i ? { ...each, ...over } : each)))
  const find = (): void => {
    const read = typed
      .filter(({ pull, long }) => pull.trim() !== '' || long.trim() !== '')
      .map(({ pull, long }) => ({
        weight: parseWeight(pull, weightUnit),
        length: /^\s*0+\s*$/.test(long) ? ({ ok: true, mm: 0 } as const) : parseLength(long, unit),
      }))
    if (read.length < 2) return setProblem('Two pulls at least, each with how far it came.')
    const pulls = read.flatMap(({ weight, length }) => (weight.ok && length.ok ? [{ pullN: weight.kg * GRAVITY, mm: length.mm }] : []))
    if (pulls.length < read.length) return setProblem(`Each a weight in ${weightUnit} and a length in ${unit}.`)
    try {
      onSet(giveFrom(pulls))
      setProblem(null)
    } catch (found) {
      if (!(found instanceof RangeError)) throw found
      setProblem('These pulls say no give: more pull has to come further.')
    }
  }
  return (
    <details className="border-t border-rule">
      <summary className="flex min-h-11 cursor-pointer items-center justify-between font-bold">
        Its own give <span className="text-[14px] font-normal text-mute">{giveNpm === null ? 'not tried' : `${(giveNpm / 1000).toFixed(1)} N per mm`}</span>
      </summary>
      <div className="space-y-2 pb-2">
        <p className="text-[14px] leading-[18px] text-mute">
          In harness, standing square: pull a side ring back with a luggage scale, read scale and tape, twice or three times.
        </p>
        {typed.map((each, i) => (
          <div key={i} className="grid grid-cols-2 gap-2">
            <TextField
              label={`Pull ${i + 1} (${weightUnit})`}
              inputMode="decimal"
              value={each.pull}
              onChange={(event) => put(i, { pull: event.target.value })}
            />
            <TextField label={`It came (${unit})`} inputMode="decimal" value={each.long} onChange={(event) => put(i, { long: event.target.value })} />
          </div>
        ))}
        <Problem>{problem}</Problem>
        <p className="flex flex-wrap gap-2">
          <Button onClick={find}>Take it</Button>
          {giveNpm !== null && (
            <Button tone="quiet" onClick={() => onSet(null)}>
              Back to three gives
            </Button>
          )}
        </p>
      </div>
    </details>
  )
}
