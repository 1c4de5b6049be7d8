import type { RoundVerdict } from '@merry-tailor/core'
import { useOpenTicket } from '../../bench'
import { VerdictWord } from '../../said/VerdictWord'
import { clock } from '../../state/today'
import { KeyCap } from '../../ui/controls/KeyCap'
import { roundWord } from '../../words/verdicts'
import { StateKeys } from './StateKeys'
import type { TryOnInHand } from './use-try-on'

/** What is on the dog, what was seen of it in words, and the state it is looked at in. */
export function RoundTitle({ hand }: { hand: TryOnInHand }) {
  const { name } = useOpenTicket()
  const { round, verdict } = hand
  return (
    <header className="flex shrink-0 flex-wrap items-center gap-x-4 gap-y-1 border-b-2 border-ink bg-bench px-4 py-2">
      <div className="min-w-0 flex-1">
        <h1 className="text-[24px] leading-[28px]">{round ? `${round.label} on ${name}` : 'Put a size on'}</h1>
        {round && verdict && (
          <p className="flex flex-wrap items-center gap-x-3 text-[15px] leading-5">
            <VerdictWord grade={verdict.grade} basis="seen" word={roundWord(verdict)} />{' '}
            <span className="text-mute">
              {verdict.word
                ? `${verdict.word.by || 'The fitter'}’s word, ${clock(verdict.word.at)}`
                : verdict.wanted > 0
                  ? seenWords(verdict)
                  : `on since ${clock(round.at)}`}
            </span>
          </p>
        )}
      </div>
      {hand.states.length > 1 && (
        <div className="flex items-center gap-2">
          <StateKeys hand={hand} />
          <KeyCap>P</KeyCap>
        </div>
      )}
    </header>
  )
}

/** “9 of 11 seen: 8 hold, 1 doesn’t”. */
function seenWords({ seen, wanted, troubles }: RoundVerdict): string {
  if (seen === 0) return `0 of ${wanted} seen`
  const fails = troubles.filter(({ grade }) => grade === 'fails').length
  const again = troubles.length - fails
  const held = seen - troubles.length
  const parts = [
    ...(held > 0 ? [`${held} ${held === 1 ? 'holds' : 'hold'}`] : []),
    ...(again > 0 ? [`${again} to look at again`] : []),
    ...(fails > 0 ? [`${fails} ${fails === 1 ? 'doesn’t' : 'don’t'}`] : []),
  ]
  return `${seen} of ${wanted} seen: ${parts.join(', ')}`
}
