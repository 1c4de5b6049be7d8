import type { Suspect } from '@merry-tailor/core'
import { valueStyle } from '../../app/settings'
import { useAppSelector } from '../../app/store'
import { Button } from '../../ui/controls/Button'
import { KeyCap } from '../../ui/controls/KeyCap'
import { Worded } from '../../ui/length/Worded'
import { Tape } from '../../ui/tape/Tape'
import { tapeRange } from '../../ui/tape/scale'
import { suspectCode, suspectWords } from '../../words/suspects'
import { useActs } from '../use-acts'

/** What this dog's form finds odd: one model speaking. It asks, offers the tape again or keeps the dog as it is. */
export function SuspectBlock({ suspect, inHand, onAgain }: { suspect: Suspect; inHand: boolean; onAgain: (measure: string) => void }) {
  const settings = useAppSelector((state) => state.settings)
  const look = { ...valueStyle(settings), unit: settings.unit }
  const { acknowledge } = useActs()
  const { title, text, keep, expected } = suspectWords(suspect, look)
  const keepIt = (): void => {
    void acknowledge({ kind: 'finding', code: suspectCode(suspect), text: `${title}. ${text}`.slice(0, 1000), reason: keep })
  }
  const range = tapeRange(settings.unit, [suspect.readMm, expected.fromMm, expected.toMm])
  return (
    <section aria-label={title} className="border-b-2 border-snag bg-snag-bg px-[18px] pt-2.5 pb-3">
      <h3 className="text-[18px] leading-[22px]">{title}</h3>
      <p className="mt-1">
        <Worded text={text} />
      </p>
      <div className="mt-2">
        <Tape
          look={look}
          fromMm={range[0]}
          toMm={range[1]}
          height={24}
          bracket={{ ...expected, label: 'expected' }}
          pins={[{ mm: suspect.readMm, kind: 'again', label: 'you read' }]}
          title={`${title}. ${text}`}
        />
      </div>
      <div className="mt-2.5 flex gap-2">
        <Button className="px-2.5 whitespace-nowrap" onClick={() => onAgain(suspect.measure)}>
          Take again {inHand && <KeyCap>R</KeyCap>}
        </Button>
        <Button tone="quiet" className="min-w-0 px-2.5" onClick={keepIt}>
          Keep: {keep}
        </Button>
      </div>
    </section>
  )
}
