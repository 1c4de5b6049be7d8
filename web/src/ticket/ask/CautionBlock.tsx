import { cautionKey, HEEDED, isHeeded, readOf, type Caution } from '@merry-tailor/core'
import { useState } from 'react'
import { useActs, useOpenTicket } from '../../bench'
import { clock, today } from '../../state/today'
import { Button } from '../../ui/controls/Button'
import { TextField } from '../../ui/controls/TextField'
import { Mark } from '../../ui/marks/Mark'
import { boundWords, cautionWords } from '../../words/cautions'
import { heedOf } from './heed'
import { Problem } from '../../ui/controls/Problem'

/** A stop or a line to confirm with its reason. A stop is heeded by one tap, or overruled with a reason that is printed. */
export function CautionBlock({ caution, all }: { caution: Caution; all: readonly Caution[] }) {
  const { sheet } = useOpenTicket()
  const acts = useActs()
  const [error, setError] = useState<unknown>(null)
  const [reason, setReason] = useState('')
  const [problem, setProblem] = useState<string | null>(null)
  const stop = caution.level === 'stop'
  const { title, text } = cautionWords(caution)
  const ack = readOf(caution, all, sheet.acknowledgements)
  const heed = stop ? heedOf(caution, sheet, today()) : null
  const say = (why: string): void =>
    void acts
      .acknowledge({ kind: stop ? 'stop' : 'caution', code: cautionKey(caution), text: `${title}. ${text}`, reason: why })
      .then((answer) => setError(answer.error ?? null))
  const overrule = (): void => {
    if (reason.trim() === '') setProblem('Type why it does not bind here. It is printed on the docket.')
    else say(reason.trim())
  }
  const follow = (): void => {
    if (!heed) return
    if (heed.note !== undefined) say(heed.note)
    else void acts.change(heed.changes, heed.itemId).then((answer) => setError(answer.error ?? null))
  }
  return (
    <section aria-label={title} className={`border-b border-rule px-[18px] py-3 ${stop && !ack ? 'border-b-2 border-snag bg-snag-bg' : ''}`}>
      <h3 className="flex items-center gap-2 text-[17px] leading-[22px]">
        {stop && <Mark grade="fails" basis="seen" size={19} />}
        {title}
      </h3>
      <p className="mt-1">{text}</p>
      {stop && <p className="mt-1 font-semibold">{boundWords(caution)}</p>}
      {ack ? (
        <p className="mt-1.5 text-[13.5px] text-mute">
          {!stop ? 'Confirmed' : isHeeded(ack) ? 'Heeded' : 'Overruled'} {clock(ack.at)}
          {ack.by ? ` by ${ack.by}` : ''}
          {ack.reason ? `: ${ack.reason.replace(HEEDED, '').trim()}` : ''}
        </p>
      ) : stop ? (
        <div className="mt-2">
          {heed && (
            <Button className="mb-2 w-full" onClick={follow}>
              {heed.label}
            </Button>
          )}
          <TextField
            label="To overrule it: why?"
            value={reason}
            maxLength={480}
            problem={problem ?? undefined}
            onChange={(event) => {
              setReason(event.target.value)
              setProblem(null)
            }}
            className="mb-2"
          />
          <Button tone="snag" onClick={overrule}>
            Overrule, with this reason
          </Button>
        </div>
      ) : (
        <Button tone="quiet" className="mt-2" onClick={() => say('')}>
          Confirm
        </Button>
      )}
      {error !== null && <Problem className="mt-1">Not saved. Try again; the reason stays here.</Problem>}
    </section>
  )
}
