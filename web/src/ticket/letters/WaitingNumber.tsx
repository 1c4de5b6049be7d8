import type { AsWritten } from '@merry-tailor/core'
import { useState } from 'react'
import { useActs } from '../../bench'
import { longDay } from '../../state/today'
import { Button } from '../../ui/controls/Button'
import { measureName } from '../../words/stages'
import { CAME } from './came'
import { TheirAnswer } from './TheirAnswer'

/** A number nobody knows the path of yet: answered by the sender, or struck. */
export function WaitingNumber({ written }: { written: AsWritten }) {
  const { mark } = useActs()
  const [answered, setAnswered] = useState(false)
  return (
    <li className="border-b border-rule px-5 py-3">
      <div className="flex flex-wrap items-center justify-between gap-3">
        <p>
          <b className="text-[19px]">
            “{written.letters}” {written.asWritten}
          </b>{' '}
          <span className="text-mute">
            {CAME[written.came].toLowerCase()}, {longDay(written.at.slice(0, 10))}
            {written.by ? `, kept by ${written.by}` : ''}
            {written.remark ? `; ${written.remark}` : ''}
            {written.wanted ? `; may be ${measureName(written.wanted).toLowerCase()}` : ''}
          </span>
        </p>
        <div className="flex gap-2">
          <Button aria-expanded={answered} onClick={() => setAnswered(!answered)}>
            They answered
          </Button>
          <Button tone="quiet" onClick={() => void mark('as-written', written.id, 'struck', 'No answer, or not needed')}>
            Strike out
          </Button>
        </div>
      </div>
      {answered && <TheirAnswer written={written} />}
    </li>
  )
}
