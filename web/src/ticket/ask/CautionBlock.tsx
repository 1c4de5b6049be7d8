import { cautionKey, readOf, type Caution } from '@merry-tailor/core'
import { useState } from 'react'
import { clock } from '../../state/today'
import { Button } from '../../ui/controls/Button'
import { TextField } from '../../ui/controls/TextField'
import { Mark } from '../../ui/marks/Mark'
import { boundWords, cautionWords } from '../../words/cautions'
import { useOpenTicket, useActs } from '../../bench'

/** One caution or stop with its reason; reading it is kept with who and when, overruling a stop needs a reason. */
export function CautionBlock({ caution, all }: { caution: Caution; all: readonly Caution[] }) {
  const { sheet } = useOpenTicket()
  const { acknowledge } = useActs()
  const [error, setError] = useState<unknown>(null)
  const [reason, setReason] = useState('')
  const [problem, setProblem] = useState<string | null>(null)
  const stop = caution.level === 'stop'
  const { title, text } = cautionWords(caution)
  const ack = readOf(caution, all, sheet.acknowledgements)
  const keep = (): void => {
    if (stop && reason.trim() === '') {
      setProblem('Type why it does not bind here. It is printed on the docket.')
      return
    }
    void acknowledge({ kind: caution.level, code: cautionKey(caution), text: `${title}. ${text}`, reason: reason.trim() }).then((answer) =>
      setError(answer.error ?? null),
    )
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
          {stop ? 'Overruled' : 'Read'} {clock(ack.at)}
          {ack.by ? ` by ${ack.by}` : ''}
          {ack.reason ? `: ${ack.reason}` : ''}
        </p>
      ) : (
        <div className="mt-2">
          {stop && (
            <TextField
              label="To overrule it: why?"
              value={reason}
              maxLength={500}
              problem={problem ?? undefined}
              onChange={(event) => {
                setReason(event.target.value)
                setProblem(null)
              }}
              className="mb-2"
            />
          )}
          <Button tone={stop ? 'snag' : 'quiet'} onClick={keep}>
            {stop ? 'Overrule, with this reason' : 'Read'}
          </Button>
          {error !== null && (
            <p role="alert" className="mt-1 font-semibold text-snag">
              Not saved. Try again; the reason stays here.
            </p>
          )}
        </div>
      )}
    </section>
  )
}
