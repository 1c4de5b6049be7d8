import { valueStyle } from '../state/settings'
import { useAppSelector } from '../state/store'
import { Button } from '../ui/controls/Button'
import { KeyCap } from '../ui/controls/KeyCap'
import { Worded } from '../ui/length/Worded'
import { Tape } from '../ui/tape/Tape'
import { tapeRange } from '../ui/tape/scale'

interface QuestionBlockProps {
  title: string
  /** Every reason to ask, a sentence or two each. */
  texts: readonly string[]
  /** What was read and where it was expected; `null` where no tape says it. */
  expected: { mm: number; fromMm: number; toMm: number } | null
  /** A question that may well be nothing. */
  soft?: boolean
  /** The tape in question is the one in hand: its key is shown. */
  inHand: boolean
  /** What taking it again strikes, where that is more than one reading. */
  strikes: string
  /** What the dog is kept as. */
  keep: string
  onAgain: () => void
  onKeep: () => void
}

/** A question about a reading: expected, read, why it may be; take it again, or keep the dog as it is. Never a correction. */
export function QuestionBlock({ title, texts, expected, soft = false, inHand, strikes, keep, onAgain, onKeep }: QuestionBlockProps) {
  const settings = useAppSelector((state) => state.settings)
  const look = { ...valueStyle(settings), unit: settings.unit }
  const range = expected ? tapeRange(settings.unit, [expected.mm, expected.fromMm, expected.toMm]) : null
  return (
    <section aria-label={title} className={`border-b-2 px-[18px] pt-2.5 pb-3 ${soft ? 'border-chalk bg-chalk-bg' : 'border-snag bg-snag-bg'}`}>
      <h3 className="text-[18px] leading-[22px]">{title}</h3>
      {texts.map((text) => (
        <p key={text} className="mt-1">
          <Worded text={text} />
        </p>
      ))}
      {expected && range && (
        <div className="mt-2">
          <Tape
            look={look}
            fromMm={range[0]}
            toMm={range[1]}
            height={24}
            bracket={{ fromMm: expected.fromMm, toMm: expected.toMm, label: 'expected' }}
            pins={[{ mm: expected.mm, kind: 'again', label: 'you read' }]}
            title={`${title}. ${texts.join(' ')}`}
          />
        </div>
      )}
      {strikes !== '' && (
        <p className="mt-1.5 font-semibold">
          <Worded text={strikes} />
        </p>
      )}
      <div className="mt-2.5 flex gap-2">
        <Button className="px-2.5 whitespace-nowrap" onClick={onAgain}>
          Take again {inHand && <KeyCap>R</KeyCap>}
        </Button>
        <Button tone="quiet" className="min-w-0 px-2.5" onClick={onKeep}>
          Keep: {keep}
        </Button>
      </div>
    </section>
  )
}
