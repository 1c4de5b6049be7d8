import { FindingBlock } from './FindingBlock'
import { SuspectBlock } from './SuspectBlock'
import type { Question } from './use-question'

/** One question, in little room. */
export function OneQuestion({ question, inHand, onAgain }: { question: Question; inHand: string; onAgain: (measure: string) => void }) {
  return 'finding' in question ? (
    <FindingBlock bare finding={question.finding} inHand={question.finding.measures[0] === inHand} onAgain={onAgain} />
  ) : (
    <SuspectBlock bare suspect={question.suspect} inHand={question.suspect.measure === inHand} onAgain={onAgain} />
  )
}
