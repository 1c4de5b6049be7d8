import { Link } from 'react-router'
import { useOpenTicket } from '../../bench'
import { useAppSelector } from '../../state/store'
import { valueStyle } from '../../state/settings'
import { KeyCap } from '../../ui/controls/KeyCap'
import { lengthText } from '../../ui/length/length-text'
import { Worded } from '../../ui/length/Worded'
import { moveWords } from './move-words'
import { NEW_ROUND } from './new-round-id'
import type { StrapPlan } from './use-strap-plan'

const YELLOW = 'flex min-h-[68px] w-full flex-col justify-center rounded-[2px] border-2 border-ink bg-tape px-3 py-1.5 text-left text-tape-ink'
const QUIET = 'px-1 text-[14.5px] leading-[18px] text-mute'

interface NextMoveProps {
  plan: StrapPlan | null
  holds: boolean
  /** A check failed, and nothing can be set. */
  fails: boolean
  /** What was tried last was another size: this one is not tried a second time. */
  resized: boolean
  /** The test in a safe place is still to come. */
  testOpen: boolean
  pulls: boolean
  /** Straps were moved since the round began: it is looked at again in a new one. */
  moved: boolean
  onPress: () => void
  onTest: () => void
  /** Where a round is begun elsewhere. */
  onAgain?: () => void
}

/** The one thing to do next, in yellow: a slider, the safe place, another size; else why nothing is to be moved. */
export function NextMove({ plan, holds, fails, resized, testOpen, pulls, moved, onPress, onTest, onAgain }: NextMoveProps) {
  const { sheet } = useOpenTicket()
  const look = useAppSelector((state) => state.settings)
  const say = (mm: number): string => lengthText(mm, valueStyle(look), true)
  if (sheet.ticket.state === 'closed') return null
  if (holds && testOpen)
    return (
      <button type="button" onClick={onTest} className={YELLOW}>
        <b className="text-[20px] leading-6">Safe-place test</b>
        <span className="text-[15px]">every ring and buckle on, then tails</span>
      </button>
    )
  if (holds) return <p className={QUIET}>Every check was seen to hold. What works is kept as it is.</p>
  if (resized) return <AnotherSize why="what failed by its size is not tried again" />
  if (plan && (plan.isUnset || plan.next)) {
    const words = plan.next && moveWords(plan.next, say)
    return (
      <button type="button" onClick={onPress} className={YELLOW}>
        <b className="text-[19px] leading-[23px]">{words ? <Worded text={words.strap} /> : 'Start here: set every strap to its mark'}</b>
        <span className="flex items-center justify-between gap-2 text-[15.5px] leading-5">
          <span>
            {words ? <Worded text={words.slider} /> : 'every strap let out, then to its open pin'}
            {words && pulls && <span className="block text-[14px]">then pull the end back by hand</span>}
          </span>
          <KeyCap>Enter</KeyCap>
        </span>
      </button>
    )
  }
  if (moved && plan?.isThere)
    return (
      <button type={onAgain ? 'button' : 'submit'} form={onAgain ? undefined : NEW_ROUND} onClick={onAgain} className={YELLOW}>
        <b className="text-[19px] leading-[23px]">Again: a new round</b>
        <span className="text-[15px]">{pulls ? 'pull the end back by hand, then look once more' : 'look once more, as it is set now'}</span>
      </button>
    )
  if (fails && (!plan || plan.straps.length === 0 || plan.isThere))
    return <AnotherSize why={plan?.isThere ? 'every strap stands at its mark' : 'nothing on it can be set'} />
  if (plan?.isThere) return <p className={QUIET}>Every strap stands where it is foretold to hold. The hand decides: answer what is left.</p>
  return null
}

function AnotherSize({ why }: { why: string }) {
  const { sheet } = useOpenTicket()
  return (
    <Link to={`/tickets/${sheet.ticket.id}/choose`} className={YELLOW}>
      <b className="text-[19px] leading-[23px]">Choose another size</b>
      <span className="text-[15px]">{why}</span>
    </Link>
  )
}
