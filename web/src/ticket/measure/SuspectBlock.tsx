import type { Suspect } from '@merry-tailor/core'
import { valueStyle } from '../../state/settings'
import { useAppSelector } from '../../state/store'
import { suspectCode, suspectWords } from '../../words/suspects'
import { useActs } from '../../bench'
import { QuestionBlock } from './QuestionBlock'

/** What this dog's form finds odd: one model speaking. */
export function SuspectBlock({ suspect, inHand, onAgain }: { suspect: Suspect; inHand: boolean; onAgain: (measure: string) => void }) {
  const settings = useAppSelector((state) => state.settings)
  const { acknowledge } = useActs()
  const { title, text, keep, expected } = suspectWords(suspect, { ...valueStyle(settings), unit: settings.unit })
  const keepIt = (): void => {
    void acknowledge({ kind: 'finding', code: suspectCode(suspect), text: `${title}. ${text}`.slice(0, 1000), reason: keep })
  }
  return (
    <QuestionBlock
      title={title}
      text={text}
      expected={{ ...expected, mm: suspect.readMm }}
      inHand={inHand}
      keep={keep}
      onAgain={() => onAgain(suspect.measure)}
      onKeep={keepIt}
    />
  )
}
