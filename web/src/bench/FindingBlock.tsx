import { findingCode, type Finding } from '@merry-tailor/core'
import { valueStyle } from '../state/settings'
import { useAppSelector } from '../state/store'
import { findingWords } from '../words/findings'
import { useOpenTicket } from './open-ticket'
import { useActs } from './use-acts'
import { QuestionBlock } from './QuestionBlock'

interface FindingBlockProps {
  finding: Finding
  inHand: boolean
  /** Without the tape drawn: where there is little room. */
  bare?: boolean
  onAgain: (measure: string) => void
}

/** A rule's question about the readings: what was expected, from what, what was read, and why it may be. */
export function FindingBlock({ finding, inHand, bare = false, onAgain }: FindingBlockProps) {
  const { body, name } = useOpenTicket()
  const settings = useAppSelector((state) => state.settings)
  const { acknowledge } = useActs()
  const { title, text, expected } = findingWords(finding, body, { ...valueStyle(settings), unit: settings.unit })
  const keep = (): void => {
    void acknowledge({ kind: 'finding', code: findingCode(finding, body), text: `${title}. ${text}`.slice(0, 1000), reason: 'kept as the dog’s own' })
  }
  return (
    <QuestionBlock
      title={title}
      text={text}
      expected={bare ? null : expected}
      soft={finding.soft === true}
      inHand={inHand}
      keep={`${name} is so`}
      onAgain={() => onAgain(finding.measures[0] ?? '')}
      onKeep={keep}
    />
  )
}
