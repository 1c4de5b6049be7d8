import type { Suspect } from '@merry-tailor/core'
import { valueStyle } from '../state/settings'
import { useAppSelector } from '../state/store'
import { suspectCode, suspectWords } from '../words/suspects'
import { useActs } from './use-acts'
import { QuestionBlock } from './QuestionBlock'

interface SuspectBlockProps {
  suspect: Suspect
  inHand: boolean
  bare?: boolean
  onAgain: (measure: string) => void
}

/** What this dog's form finds odd: one model speaking. */
export function SuspectBlock({ suspect, inHand, bare = false, onAgain }: SuspectBlockProps) {
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
      expected={bare ? null : { ...expected, mm: suspect.readMm }}
      inHand={inHand}
      keep={keep}
      onAgain={() => onAgain(suspect.measure)}
      onKeep={keepIt}
    />
  )
}
