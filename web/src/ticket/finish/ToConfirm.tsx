import { cautionKey, readOf, type Caution } from '@merry-tailor/core'
import { useState } from 'react'
import { useActs, useOpenTicket } from '../../bench'
import { Button } from '../../ui/controls/Button'
import { cautionWords } from '../../words/cautions'
import { problemWords } from '../../words/problems'

/** One line to confirm before the gear goes out of the door. */
export function ToConfirm({ caution, all }: { caution: Caution; all: readonly Caution[] }) {
  const { sheet } = useOpenTicket()
  const { acknowledge } = useActs()
  const [refused, setRefused] = useState<string | null>(null)
  const { title, text } = cautionWords(caution)
  const ack = readOf(caution, all, sheet.acknowledgements)
  const confirm = (): void =>
    void acknowledge({ kind: 'caution', code: cautionKey(caution), text: `${title}. ${text}`, reason: '' }).then(({ error }) =>
      setRefused(error ? problemWords(error) : null),
    )
  return (
    <li className="flex flex-wrap items-center gap-x-3 border-b border-rule py-1.5 last:border-0">
      <p className="min-w-[200px] flex-1">
        <b>{title}.</b> {text}
        {refused && (
          <span role="alert" className="block font-semibold text-snag">
            Not saved. {refused}
          </span>
        )}
      </p>
      {ack ? <span className="font-semibold text-mute">Confirmed</span> : sheet.ticket.state === 'open' ? <Button onClick={confirm}>Confirm</Button> : null}
    </li>
  )
}
