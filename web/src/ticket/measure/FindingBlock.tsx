import { findingCode, type Finding } from '@merry-tailor/core'
import { valueStyle } from '../../app/settings'
import { useAppSelector } from '../../app/store'
import { Button } from '../../ui/controls/Button'
import { KeyCap } from '../../ui/controls/KeyCap'
import { Worded } from '../../ui/length/Worded'
import { Tape } from '../../ui/tape/Tape'
import { tapeRange } from '../../ui/tape/scale'
import { findingWords } from '../../words/findings'
import { useOpenTicket } from '../TicketFrame'
import { useActs } from '../use-acts'

/** A question about the readings: what was expected, from what, what was read, and why it may be. Never a correction. */
export function FindingBlock({ finding, inHand, onAgain }: { finding: Finding; inHand: boolean; onAgain: (measure: string) => void }) {
  const { body, name } = useOpenTicket()
  const settings = useAppSelector((state) => state.settings)
  const look = { ...valueStyle(settings), unit: settings.unit }
  const { acknowledge } = useActs()
  const { title, text, expected } = findingWords(finding, body, look)
  const soft = finding.rule === 'same-value'
  const keep = (): void => {
    void acknowledge({ kind: 'finding', code: findingCode(finding, body), text: `${title}. ${text}`.slice(0, 1000), reason: 'kept as the dog’s own' })
  }
  const range = expected ? tapeRange(settings.unit, [expected.mm, expected.fromMm, expected.toMm]) : null
  return (
    <section aria-label={title} className={`border-b-2 px-[18px] pt-2.5 pb-3 ${soft ? 'border-chalk bg-chalk-bg' : 'border-snag bg-snag-bg'}`}>
      <h3 className="text-[18px] leading-[22px]">{title}</h3>
      <p className="mt-1">
        <Worded text={text} />
      </p>
      {expected && range && (
        <div className="mt-2">
          <Tape
            look={look}
            fromMm={range[0]}
            toMm={range[1]}
            height={24}
            bracket={{ fromMm: expected.fromMm, toMm: expected.toMm, label: 'expected' }}
            pins={[{ mm: expected.mm, kind: 'again', label: 'you read' }]}
            title={`${title}. ${text}`}
          />
        </div>
      )}
      <div className="mt-2.5 flex gap-2">
        <Button className="px-2.5 whitespace-nowrap" onClick={() => onAgain(finding.measures[0] ?? '')}>
          Take again {inHand && <KeyCap>R</KeyCap>}
        </Button>
        <Button tone="quiet" className="min-w-0 px-2.5" onClick={keep}>
          Keep: {name} is so
        </Button>
      </div>
    </section>
  )
}
